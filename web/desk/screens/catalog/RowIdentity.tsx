import { X } from 'lucide-react';
import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';

/** Where no column is an id or a SKU: by which columns rows are known, from this file to the next. */
export function RowIdentity({ mapping, change }: { readonly mapping: Mapping; change(mapping: Mapping): void }) {
  if (mapping.columns.some(({ as }) => as === 'id' || as === 'sku')) return null;
  const identity = mapping.identity ?? [];
  const set = (next: readonly string[]): void => {
    const { identity: _, ...rest } = mapping;
    change(next.length > 0 ? { ...rest, identity: [...next] } : rest);
  };
  const others = mapping.columns.map(({ column }) => column).filter((column) => !identity.includes(column));
  return (
    <div className={`${shelfRow(false)} mt-3 px-3 py-2`}>
      <p>
        <span className="font-semibold">The file has no id.</span>{' '}
        <span className="text-soft">
          Each row gets one from the columns below. A row whose value there changes in a later file counts as a new one.
        </span>
      </p>
      <div className="mt-1.5 flex flex-wrap items-center gap-1.5">
        {identity.map((column) => (
          <span key={column} className="inline-flex items-center gap-1 rounded-md bg-press-soft py-0.5 pr-0.5 pl-2">
            {column}
            <IconButton
              label={`Do not tell rows apart by “${column}”`}
              onClick={() => set(identity.filter((each) => each !== column))}
            >
              <X size={14} aria-hidden />
            </IconButton>
          </span>
        ))}
        {others.length > 0 && (
          <Choice
            label="Tell rows apart by another column"
            value=""
            options={[['', 'Add a column'], ...others.map((column) => [column, column] as const)]}
            change={(column) => column && set([...identity, column])}
          />
        )}
      </div>
    </div>
  );
}
