import type { Setup } from '../../../../core/setup/schema.ts';
import { count } from '../../../look/price.ts';
import { Choice, Switch } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { ConditionSayings } from './ConditionSayings.tsx';

const key = 'recognised';
export type RecognisedEntry = Extract<Setup['vocabulary'][string], { what: 'recognised' }>;
type Way = 'no' | 'strong' | 'filter';

/** Saves what is recognised; where that is nothing, there is no entry. */
function save(entry: RecognisedEntry): void {
  const { price, attributes = {}, conditions = [] } = entry;
  const isEmpty = !price && Object.keys(attributes).length === 0 && conditions.length === 0;
  void edit({ part: 'vocabulary', key, value: isEmpty ? null : entry });
}

/** What a search's words are taken for besides words: prices, values of the catalog, sayings with a condition. */
export function RecognisedWords() {
  const { setup } = useDeskState();
  const isChanged = useChanged('vocabulary')(key);
  const { attributes } = useAttributes();
  const known = setup.vocabulary[key];
  const entry: RecognisedEntry = known?.what === 'recognised' ? known : { what: 'recognised', price: false };
  const ways = entry.attributes ?? {};
  const setWay = (attribute: string, way: Way): void => {
    const { [attribute]: _, ...others } = ways;
    save({ ...entry, attributes: way === 'no' ? others : { ...others, [attribute]: way } });
  };
  const choosable = (attributes ?? []).filter(
    ({ canFilter, isNumeric, key: own }) => canFilter && !isNumeric && own !== 'availability',
  );
  return (
    <Section
      title="Values recognised in a search"
      note="“Red round brush size 6 under 20” names a colour, a size and a price. Shoppers are told what was understood, and can take it off; where nothing is found so, the words are just words."
    >
      <ul className={`${shelfRow(isChanged)} divide-y divide-line`} aria-label="Values recognised in a search">
        <li className="px-3 py-2">
          <Switch
            label="Limits of price narrow the results"
            isOn={entry.price}
            change={(price) => save({ ...entry, price })}
            shown={
              <>
                <b className="font-semibold">Limits of price narrow the results.</b>{' '}
                <span className="text-soft">“brush under 20”, “between 5 and 10”.</span>
              </>
            }
          />
        </li>
        {choosable.map(({ key: attribute, label, samples, values }) => (
          <li key={attribute} className="flex items-center gap-3 px-3 py-1">
            <span className="min-w-0 flex-1 truncate">
              <b className="font-semibold">{label}</b>{' '}
              <span className="text-[13px] text-soft">
                {count(values)} {values === 1 ? 'value' : 'values'}
                {samples.length > 0 && `, such as ${samples.slice(0, 3).join(', ')}`}
              </span>
            </span>
            <Choice<Way>
              label={`A value of ${label} in a search`}
              value={ways[attribute] ?? 'no'}
              options={[
                ['no', 'treated as plain words'],
                ['strong', 'a strong match'],
                ['filter', 'narrows the results'],
              ]}
              className="w-[196px] shrink-0"
              change={(way) => setWay(attribute, way)}
            />
          </li>
        ))}
      </ul>
      <ConditionSayings
        sayings={entry.conditions ?? []}
        change={(conditions) => save({ ...entry, conditions: [...conditions] })}
      />
    </Section>
  );
}
