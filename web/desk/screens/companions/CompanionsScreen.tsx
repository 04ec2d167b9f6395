import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Card } from '../../../../core/answer/answer.ts';
import type { Companions } from '../../../../core/setup/parts/companions.ts';
import { companionShelfTexts, companionShelves, mostOnShelf } from '../../../../core/setup/terms/companionTerms.ts';
import { counted } from '../../../look/price.ts';
import { NumberField, Switch } from '../../parts/Controls.tsx';
import { ProductLine, useProducts } from '../../parts/ProductLine.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { useChanged, useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const rowHeight = 58;
/** Products whose names are looked up at once; beyond, they are found by their ids. */
const mostNamed = 500;

/** Arrange: what goes with products and what stands in for them, where it shows, and what was chosen by hand. */
export function CompanionsScreen() {
  const { setup } = useDeskState();
  const navigate = useNavigate();
  const [sought, setSought] = useState('');
  const chosen = Object.entries(setup.companions);
  const cards = useProducts(chosen.slice(0, mostNamed).map(([id]) => id));
  const nameOf = (id: string): string => cards?.get(id)?.title ?? id;
  const text = sought.trim().toLowerCase();
  const rows = chosen
    .filter(([id]) => `${nameOf(id)} ${id}`.toLowerCase().includes(text))
    .sort(([a], [b]) => (nameOf(a) < nameOf(b) ? -1 : 1));
  return (
    <>
      <ScreenHead title="Companions">
        Companions go with a product, alternatives stand in for it. Those you choose stand first; the rest is worked out
        from what shoppers take and open together, and from the catalog.
      </ScreenHead>
      <div className="mb-4">
        <ProductPicker
          label="Choose a product"
          chosen={new Set()}
          choose={({ id }) => void navigate(`/companions/${encodeURIComponent(id)}`)}
        />
      </div>
      <Section title="Products with choices of your own">
        <div className="-mt-1 mb-2">
          <RulesFile part="companions" />
        </div>
        {chosen.length > 10 && (
          <input
            type="search"
            aria-label="Find among these products"
            placeholder="Find"
            className="mb-2 rounded-md border bg-surface px-2 py-[3px] hover:border-edge"
            value={sought}
            onChange={({ target }) => setSought(target.value)}
          />
        )}
        {rows.length === 0 ? (
          <Nothing>
            {text === ''
              ? 'None yet: all companions and alternatives are worked out.'
              : 'None of them has these letters.'}
          </Nothing>
        ) : (
          <ShelfList label="Products with choices of your own" items={rows} keyOf={([id]) => id} rowHeight={rowHeight}>
            {([id, value]) => <ProductRow id={id} value={value} known={cards?.get(id)} />}
          </ShelfList>
        )}
      </Section>
      <WhereShown />
    </>
  );
}

function ProductRow({
  id,
  value,
  known,
}: {
  readonly id: string;
  readonly value: Companions;
  readonly known: Card | undefined;
}) {
  const looked = useProducts(known ? [] : [id]);
  const card = known ?? looked?.get(id);
  const isChanged = useChanged('companions')(id);
  const { companions, alternatives, never } = value;
  const said = [
    companions.length > 0 && counted(companions.length, 'companion'),
    alternatives.length > 0 && counted(alternatives.length, 'alternative'),
    never.length > 0 && `${never.length} never shown`,
  ].filter(Boolean);
  return (
    <div className={`${shelfRow(isChanged)} flex items-center gap-3 py-1.5 pr-3 pl-3`}>
      <span className="min-w-0 flex-1">
        <ProductLine id={id} card={card} isKnown={looked !== undefined} />
      </span>
      <span className="text-right text-[13px] text-soft">{said.join(', ')}</span>
      <Link
        className="text-[13px]"
        to={`/companions/${encodeURIComponent(id)}`}
        aria-label={`Open the companions of ${card?.title ?? id}`}
      >
        Open
      </Link>
    </div>
  );
}

function WhereShown() {
  const { setup } = useDeskState();
  const { shown } = setup.companionShelves;
  const isChanged = useItemChanged('companionShelves', 'shown');
  const save = (change: Partial<typeof shown>): void =>
    void edit({ part: 'companionShelves', key: 'shown', value: { ...shown, ...change } });
  const ofField = (field: keyof typeof shown) => isChanged((entry) => (entry as typeof shown | null)?.[field]);
  return (
    <>
      <Section title="Where they show" note="How many at most; none where it is 0.">
        <ul className="space-y-[5px]" aria-label="Where they show">
          {companionShelves.map((shelf) => (
            <li key={shelf} className={`${shelfRow(ofField(shelf))} flex items-center gap-3 py-2 pr-3 pl-3`}>
              <span className="min-w-0 flex-1">
                <span className="block font-semibold">{companionShelfTexts[shelf].name}</span>
                <span className="block text-[12.5px] text-soft">{companionShelfTexts[shelf].says}</span>
              </span>
              <NumberField
                label={`${companionShelfTexts[shelf].name}, at most`}
                value={shown[shelf]}
                least={0}
                most={mostOnShelf}
                className="w-[56px]"
                change={(to) => save({ [shelf]: Math.round(to) })}
              />
            </li>
          ))}
        </ul>
      </Section>
      <Section title="What they are worked out from">
        <div className="space-y-2 text-[13.5px]">
          <p>
            <Switch
              label="From what shoppers took and opened together"
              shown="What shoppers took and opened together, more than chance would have it"
              isOn={shown.fromLog}
              change={(fromLog) => save({ fromLog })}
            />
          </p>
          <p>
            <Switch
              label="From the catalog"
              shown="What the catalog says, where the log does not say enough"
              isOn={shown.fromCatalog}
              change={(fromCatalog) => save({ fromCatalog })}
            />
          </p>
        </div>
      </Section>
    </>
  );
}
