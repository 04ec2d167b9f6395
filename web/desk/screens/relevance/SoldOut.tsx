import type { SoldOutWay, StockPlace } from '../../../../core/setup/terms/placeTerms.ts';
import { Choice } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const places: readonly (readonly [StockPlace, string])[] = [
  ['results', 'In search results'],
  ['box', 'In the search box, while typing'],
  ['collections', 'On collection pages'],
];
const ways: readonly (readonly [SoldOutWay, string])[] = [
  ['asItIs', 'left where it is'],
  ['last', 'after everything in stock'],
  ['notAtAll', 'not at all'],
];

/** Where products that are sold out stand, place by place. */
export function SoldOut() {
  const { setup } = useDeskState();
  const isChanged = useItemChanged('relevance', 'soldOut');
  const { soldOut } = setup.relevance;
  return (
    <Section
      title="Sold out"
      note="A product is sold out when none of its variants is in stock. Where it does not show at all, single variants that are sold out do not show either. A pin keeps its place."
    >
      <ul className="space-y-[5px]">
        {places.map(([place, label]) => (
          <li
            key={place}
            className={`${shelfRow(isChanged((entry) => (entry as typeof soldOut)[place]))} flex items-center gap-3 py-1.5 pr-2 pl-3`}
          >
            <span className="flex-1">{label}</span>
            <Choice
              label={`${label}, what is sold out stands`}
              value={soldOut[place]}
              options={ways}
              change={(way) => void edit({ part: 'relevance', key: 'soldOut', value: { ...soldOut, [place]: way } })}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}
