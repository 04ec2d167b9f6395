import { most } from '../../../../core/setup/terms/limits.ts';
import { usualAges } from '../../../../core/values/bands.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { Loading, Section } from '../../parts/Screen.tsx';
import { Ends } from './Ends.tsx';
import type { OfFilter } from './Looks.tsx';
import { changeFilter, useAttributeValues } from './useFilterData.ts';

const ascending = (list: readonly number[]): number[] =>
  [...new Set(list)].sort((a, b) => a - b).slice(0, most.thresholds);

/** Reads numbers typed with commas, semicolons or spaces between them. */
const numbersIn = (text: string): number[] =>
  ascending(
    text
      .split(/[;\s]+|,\s+|,(?=\d{3,})/)
      .map((part) => Number(part.replace(',', '.')))
      .filter((number) => Number.isFinite(number)),
  );

/** Where a filter's own ranges end: typed, proposed, or dragged on a histogram of the whole catalog. */
export function Ranges({ filterKey, filter, isDate }: OfFilter & { readonly isDate: boolean }) {
  const { data } = useAttributeValues(filter.attribute);
  const set = (thresholds: readonly number[]): void =>
    changeFilter(filterKey, { thresholds: thresholds.length > 0 ? ascending(thresholds) : undefined });
  const thresholds = filter.thresholds ?? (isDate ? usualAges : []);
  const typed = (
    <TextField
      key={thresholds.join()}
      label={isDate ? 'Ages in days' : 'Where ranges end'}
      mayBeEmpty
      className="w-72"
      maxLength={200}
      value={thresholds.join('; ')}
      placeholder="5; 10; 25"
      change={(text) => set(numbersIn(text))}
    />
  );
  if (isDate)
    return (
      <Section title="Ages" note="In days, the youngest first: 30 is “Last 30 days”.">
        {typed}
      </Section>
    );
  const amounts = data?.amounts;
  return (
    <Section
      title="Ranges"
      note="Drag an end along the histogram, or type where each range ends and the next begins."
      aside={
        amounts && (
          <span className="flex gap-1">
            <Button tone="quiet" onClick={() => set(amounts.round)}>
              Round numbers
            </Button>
            <Button tone="quiet" onClick={() => set(amounts.equal)}>
              Equal counts
            </Button>
          </span>
        )
      }
    >
      {!data ? (
        <Loading what="Looking at the amounts" />
      ) : amounts ? (
        <Ends amounts={amounts} thresholds={thresholds} set={set} />
      ) : (
        <p className="text-soft">The catalog has no amounts here.</p>
      )}
      <div className="mt-2">{typed}</div>
    </Section>
  );
}
