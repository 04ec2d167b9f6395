import { useState } from 'react';
import { useNavigate } from 'react-router';
import { freeKey } from '../../../../core/setup/freeKey.ts';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { knownState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useFilterList } from './FilterList.tsx';
import { kindsFor } from './filterWords.ts';

const keyFor = (name: string): string => freeKey(knownState()?.setup.filters ?? {}, name);

/** A filter of any attribute, as often as one likes, or of the tags that begin alike. */
export function AnySource() {
  const go = useNavigate();
  const { attributes = [] } = useAttributes();
  const filters = useFilterList();
  const [prefix, setPrefix] = useState('');
  const add = (
    key: string,
    setting: Pick<FilterSetting, 'attribute' | 'label' | 'kind'> & Partial<FilterSetting>,
  ): void => {
    const order = Math.max(0, ...filters.map((filter) => filter.order)) + 1;
    void edit({ part: 'filters', key, value: { order, counts: true, valueOrder: 'count', ...setting } });
    void go(`/filters/${encodeURIComponent(key)}`);
  };
  const usable = attributes.filter((row) => row.canFilter || row.isNumeric);
  const hasTags = attributes.some(({ key, coverage }) => key === 'tags' && coverage > 0);
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Picker label="An attribute" find="Attributes" placeholder="Type a name">
        {(typed, close) =>
          usable
            .filter(({ label }) => label.toLowerCase().includes(typed.toLowerCase()))
            .map((row) => (
              <PickerItem
                key={row.key}
                value={row.key}
                isChosen={false}
                choose={() => {
                  close();
                  add(keyFor(row.key), { attribute: row.key, label: row.label, kind: kindsFor(row)[0]! });
                }}
              >
                <span className="font-semibold">{row.label}</span>
                <span className="truncate text-[12.5px] text-soft">{row.samples.slice(0, 3).join(' · ')}</span>
              </PickerItem>
            ))
        }
      </Picker>
      {hasTags && (
        <span className="flex items-center gap-2 text-[13px]">
          or tags that begin with
          <TextField
            label="Tags that begin with"
            mayBeEmpty
            maxLength={longest.prefix}
            className="w-28"
            value={prefix}
            change={setPrefix}
            placeholder="level:"
          />
          <Button
            tone="quiet"
            disabled={prefix === ''}
            onClick={() => {
              const name = prefix.replace(/[^\p{L}\d]+$/u, '') || prefix;
              add(keyFor(`tags-${name}`), {
                attribute: 'tags',
                label: name.charAt(0).toUpperCase() + name.slice(1),
                kind: 'ticks',
                prefix,
              });
            }}
          >
            Add
          </Button>
        </span>
      )}
    </div>
  );
}
