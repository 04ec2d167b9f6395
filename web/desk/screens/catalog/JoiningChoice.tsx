import type { Examined } from '../../../../api/catalogEndpoints.ts';
import { withJoining } from '../../../../core/catalog/mapping.ts';
import type { Joining, Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { count, counted } from '../../../look/price.ts';
import { shelfRow } from '../../parts/Screen.tsx';

const ways = {
  column: (_: Joining, column: string | null) =>
    column ? `By “${column}”, a column that names the product` : 'By a column that names the product',
  sku: (joining: Joining) =>
    joining.by === 'sku' && joining.cut === 'letters'
      ? 'By part numbers that differ in their last letters'
      : 'By part numbers that differ in their last group',
  title: () => 'By titles that are the same but for the options',
  none: () => 'Not at all: every row is a product',
} as const;

const names = { largest: 'Largest', leastAlike: 'Least alike', typical: 'Typical' } as const;
/** A way that was chosen though the rows looked at did not suggest it. */
export const untried = {
  ...{ column: null, families: 0, records: 0, several: 0, largest: 0, alike: 0 },
  ...{ examples: [], reason: '' },
};

const same = (a: Joining, b: Joining): boolean => JSON.stringify(a) === JSON.stringify(b);

/** How variants are put together: each way with what it makes of the rows looked at, the likeliest first. */
export function JoiningChoice({
  joinings,
  mapping,
  change,
}: {
  readonly joinings: Examined['joinings'];
  readonly mapping: Mapping;
  change(mapping: Mapping): void;
}) {
  const shown = joinings.some(({ joining }) => same(joining, mapping.families))
    ? joinings
    : [{ ...untried, joining: mapping.families }, ...joinings];
  return (
    <fieldset className="space-y-[5px]">
      <legend className="sr-only">How variants are put together</legend>
      {shown.map(({ joining, column, families, records, several, largest, alike, examples }) => (
        <label key={JSON.stringify(joining)} className={`${shelfRow(false)} flex cursor-pointer gap-3 px-3 py-2`}>
          <input
            type="radio"
            name="joining"
            className="mt-1"
            checked={same(joining, mapping.families)}
            onChange={() => change(withJoining(mapping, joining, column))}
          />
          <span className="min-w-0">
            <span className="font-semibold">{ways[joining.by](joining, column)}</span>
            {records > 0 && (
              <span className="block text-[12.5px] text-soft">
                {counted(families, 'product')} of the first {counted(records, 'record')}
                {several > 0 &&
                  `; ${count(several)} with several variants, at most ${count(largest)}. ${Math.round(alike * 100)}% of these are plausibly one product: like titles, one brand, prices in reason`}
              </span>
            )}
            {examples.map(({ which, variants, titles }) => (
              <span key={which} className="block truncate text-[12.5px] text-soft" title={titles.join(' / ')}>
                {names[which]}, {counted(variants, 'variant')}: {titles.join(' / ')}
                {variants > titles.length && ' / …'}
              </span>
            ))}
          </span>
        </label>
      ))}
    </fieldset>
  );
}
