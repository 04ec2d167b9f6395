import type { Examined } from '../../../../api/catalogEndpoints.ts';
import { withTitle } from '../../../../core/catalog/mapping.ts';
import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { shelfRow } from '../../parts/Screen.tsx';

/** Asked where two columns may be the title: it weighs most in the search, so a wrong one costs most. */
export function TitleQuestion({
  examined,
  mapping,
  change,
}: {
  readonly examined: Examined;
  readonly mapping: Mapping;
  change(mapping: Mapping): void;
}) {
  if (!examined.titleDoubt) return null;
  const title = mapping.columns.find(({ as }) => as === 'title')?.column;
  return (
    <fieldset className="mb-4">
      <legend className="mb-1.5 font-display font-semibold text-[14.5px]">
        Which of these is the title that shoppers read?
      </legend>
      <div className="space-y-[5px]">
        {examined.titleDoubt.columns.map((column) => (
          <label key={column} className={`${shelfRow(false)} flex cursor-pointer gap-3 px-3 py-2`}>
            <input
              type="radio"
              name="title"
              className="mt-1"
              checked={title === column}
              onChange={() => change(withTitle(mapping, column))}
            />
            <span className="min-w-0">
              <span className="font-semibold">{column}</span>
              <span className="block truncate text-[12.5px] text-soft">
                {examined.columns.find((each) => each.column === column)?.samples.join(' · ')}
              </span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
