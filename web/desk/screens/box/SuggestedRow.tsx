import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { OfferedSearch } from '../../../../core/setup/parts/suggestedSearches.ts';
import { suggestionKey } from '../../../../core/setup/suggestionKey.ts';
import { spanInWords } from '../../../../core/setup/terms/span.ts';
import { mostPriority } from '../../../../core/setup/terms/suggestionTerms.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { NumberField, Switch } from '../../parts/Controls.tsx';
import { WhenFields } from '../../parts/rule/WhenFields.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { TrySearch } from '../../parts/TrySearch.tsx';
import { useChanged } from '../../state/changed.ts';

/** A search of one's own: how far up it stands, when, and whether it is offered before anything is typed. */
export function SuggestedRow({
  entry,
  save,
  drop,
}: {
  readonly entry: OfferedSearch;
  save(entry: OfferedSearch): void;
  drop(): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const isChanged = useChanged('suggestedSearches')(suggestionKey(entry));
  const { text, on, priority, always = false } = entry;
  const dates = spanInWords(entry);
  return (
    <div className={`${shelfRow(isChanged)} w-full py-1.5 pr-2 pl-3`}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[13px]">
        <TrySearch search={text} className="min-w-0 basis-full truncate text-left font-semibold text-[14px]" />
        <span>
          priority{' '}
          <NumberField
            label={`Priority of ${text}`}
            value={priority}
            least={1}
            most={mostPriority}
            className="w-[56px]"
            change={(to) => save({ ...entry, priority: Math.round(to) })}
          />
        </span>
        <Switch
          label={`Offer ${text} before typing too`}
          shown="before typing too"
          isOn={always}
          change={(to) => save({ ...entry, always: to })}
        />
        <Switch label={`${text} offered`} isOn={on} change={(to) => save({ ...entry, on: to })} />
        <Button
          tone="quiet"
          className="px-2"
          aria-expanded={isOpen}
          aria-label={`When ${text} is offered`}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Done' : dates || 'Dates'}
        </Button>
        <IconButton label={`Take ${text} off the list`} onClick={drop}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      {isOpen && (
        <div className="mt-2 mb-1 border-t pt-2.5">
          <WhenFields
            of={text}
            value={entry}
            change={({ from, until, yearly }) => save({ ...entry, from, until, yearly })}
          />
        </div>
      )}
    </div>
  );
}
