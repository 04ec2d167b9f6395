import type { Examined } from '../../../../api/catalogEndpoints.ts';
import { attributeReading, usualReading, withReading } from '../../../../core/catalog/mapping.ts';
import type { ColumnReading, Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { type Role, roles } from '../../../../core/catalog/roles.ts';
import { standardColumn } from '../../../../core/catalog/standardColumns.ts';
import { type Writing, writings } from '../../../../core/catalog/writing.ts';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';

const special: Partial<Record<Role, string>> = {
  id: 'Id: different in every row',
  family: 'Product it is a variant of',
  option: 'Option of the variants',
  tags: 'Tags',
  boost: 'Boost factor',
  hidden: 'Hidden, yes or no',
  parts: 'Parts of a set',
};
const meanings: readonly (readonly [ColumnReading['as'], string])[] = [
  ['attribute', 'An attribute of its own'],
  ...roles.map((role) => [role, special[role] ?? standardColumn.get(role)?.label ?? role] as const),
  ['skip', 'Not taken'],
];
const splits = [
  ['', 'one value'],
  ['|', 'several, by |'],
  [';', 'several, by ;'],
  [',', 'several, by ,'],
  ['/', 'several, by /'],
  ['>', 'several, by >'],
] as const;
const pathSplits = [
  ['>', 'levels by >'],
  ['/', 'levels by /'],
  ['|', 'levels by |'],
  ['»', 'levels by »'],
  [';', 'levels by ;'],
  ['', 'one level'],
] as const;

const numberWritings = [
  ['decimal-comma', 'numbers: 1.234,5'],
  ['decimal-point', 'numbers: 1,234.5'],
] as const;
const ownWritings = [['yes-no', 'yes or no'], ...numberWritings] as const;
const isWriting = (choice: string): choice is Writing => (writings as readonly string[]).includes(choice);
/** Roles whose values are numbers. */
const isNumber = (as: ColumnReading['as']): boolean => {
  const kind = standardColumn.get(as)?.kind;
  return kind === 'number' || kind === 'price';
};

const sureness = (confidence: number): string =>
  confidence >= 0.85 ? 'Sure' : confidence >= 0.55 ? 'Likely' : 'A guess';

type Column = Partial<Omit<Examined['columns'][number], 'column' | 'samples'>> & {
  readonly column: string;
  readonly samples: readonly string[];
};

/** One row a column of the file: its name and samples, and what it is for the shop. */
export function ColumnRows({
  columns,
  mapping,
  problems,
  change,
}: {
  readonly columns: readonly Column[];
  readonly mapping: Mapping;
  readonly problems: readonly { readonly column: string; readonly message: string }[];
  change(mapping: Mapping): void;
}) {
  const set = (reading: ColumnReading): void => change(withReading(mapping, reading));
  return (
    <ul aria-label="Columns of the file" className="space-y-[5px]">
      {columns.map((column) => {
        const reading = mapping.columns.find((each) => each.column === column.column);
        if (!reading) return null;
        const problem = problems.find((each) => each.column === column.column);
        return (
          <li
            key={column.column}
            className={`${shelfRow(false)} px-3 py-2 ${reading.as === 'skip' ? 'opacity-75' : ''}`}
          >
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
              <div className="min-w-[180px] flex-1">
                <p className="truncate font-semibold">{column.column}</p>
                <p className="truncate text-[12.5px] text-soft" title={column.samples.join(' · ')}>
                  {column.samples.slice(0, 3).join(' · ') || (column.filled === 0 ? 'empty' : '\u00a0')}
                </p>
              </div>
              <Choice
                label={`What “${column.column}” is`}
                value={reading.as}
                options={meanings}
                className="w-[220px]"
                change={(as) =>
                  set({
                    ...usualReading(column.column, as),
                    ...(reading.language && { language: reading.language }),
                    ...(as !== 'skip' && reading.otherwise && { otherwise: reading.otherwise }),
                    ...((as === 'attribute' || as === 'option') && { key: ownKey(reading, mapping) }),
                  })
                }
              />
              {hasDetails(reading) ? (
                <Details reading={reading} set={set} />
              ) : (
                <p className="w-[356px] text-[12.5px] text-soft">
                  {reasonFor(column, reading) || standsInFor(reading, mapping)}
                </p>
              )}
            </div>
            {mayBeFilledUp(reading, mapping) && <FilledUp reading={reading} mapping={mapping} set={set} />}
            {problem && (
              <p role="alert" className="mt-1 text-[12.5px] text-wrong">
                {problem.message}
              </p>
            )}
            {!problem && hasDetails(reading) && reasonFor(column, reading) && (
              <p className="mt-0.5 text-[12.5px] text-soft">{reasonFor(column, reading)}</p>
            )}
          </li>
        );
      })}
    </ul>
  );
}

const filledUp: ReadonlySet<ColumnReading['as']> = new Set(['title', 'description', 'price', 'former_price', 'stock']);
/** Whether a column may be filled up from another one: where the file says the same in several languages or for several shops. */
const mayBeFilledUp = ({ as, otherwise }: ColumnReading, { columns }: Mapping): boolean =>
  otherwise !== undefined ||
  (filledUp.has(as) && columns.some((each) => each.otherwise !== undefined || each.language !== undefined));

/** What is taken where a column's cell is empty. */
function FilledUp({
  reading,
  mapping,
  set,
}: {
  readonly reading: ColumnReading;
  readonly mapping: Mapping;
  set(reading: ColumnReading): void;
}) {
  const { column, otherwise } = reading;
  const others = mapping.columns.filter((each) => each.column !== column);
  return (
    <p className="mt-1 flex items-center justify-end gap-2 text-[12.5px] text-soft">
      Where it is empty
      <Choice
        label={`What is taken where “${column}” is empty`}
        value={otherwise ?? ''}
        options={[
          ['', 'nothing is taken'],
          ...others.map((each) => [each.column, `“${each.column}” is taken`] as const),
        ]}
        className="w-[220px]"
        change={(next) => {
          const { otherwise: _, ...rest } = reading;
          set(next === '' ? rest : { ...rest, otherwise: next });
        }}
      />
    </p>
  );
}

/** Which column takes this one's cells where its own are empty, though it is no attribute itself. */
function standsInFor({ as, column }: ColumnReading, { columns }: Mapping): string {
  const filled = columns.find(({ otherwise }) => otherwise === column);
  return as === 'skip' && filled ? `Taken where “${filled.column}” is empty` : '';
}

/** How sure the guess is and why, while it stands. */
function reasonFor(column: Column, reading: ColumnReading): string {
  if (column.reason === undefined || column.as !== reading.as) return '';
  const filled =
    column.filled !== undefined && column.filled < 0.995
      ? `; filled in ${Math.round(column.filled * 100)}% of the rows`
      : '';
  return `${sureness(column.confidence ?? 0)}: ${column.reason}${filled}`;
}

const hasDetails = ({ as }: ColumnReading): boolean =>
  as === 'attribute' || as === 'option' || as === 'tags' || as === 'parts' || as === 'category' || isNumber(as);

const ownKey = (reading: ColumnReading, mapping: Mapping): string =>
  reading.as === 'attribute' || reading.as === 'option' || reading.as === 'skip'
    ? reading.key
    : attributeReading(reading.column, mapping).key;

/** How the values of a column may stand in it. */
function valueChoices({ as, split }: ColumnReading): readonly (readonly [string, string])[] {
  if (isNumber(as)) return [['', 'as they are'], ...numberWritings];
  const known: readonly (readonly [string, string])[] = as === 'category' ? pathSplits : splits;
  const all = known.some(([each]) => each === split) ? known : [...known, [split, `by ${split}`] as const];
  return as === 'attribute' || as === 'option' ? [...all, ...ownWritings] : all;
}

/** What else is to be said of a column: the attribute's name, how its values stand in it, what bare numbers are. */
function Details({ reading, set }: { readonly reading: ColumnReading; set(reading: ColumnReading): void }) {
  const { as, column, key, split, pattern, writing } = reading;
  const isOwn = as === 'attribute' || as === 'option';
  return (
    <div className="flex w-[356px] items-center gap-2 text-[13px]">
      {isOwn && (
        <TextField
          label={`Name of the attribute from “${column}”`}
          value={key}
          maxLength={80}
          className="w-[112px]"
          change={(text) => set({ ...reading, key: text.toLowerCase().replace(/\s+/g, '_') })}
        />
      )}
      <Choice
        label={`Values in “${column}”`}
        value={writing ?? (isNumber(as) ? '' : split)}
        options={valueChoices(reading)}
        className={isNumber(as) ? 'w-[160px]' : 'w-[112px]'}
        change={(next) => {
          const { writing: _, ...rest } = reading;
          set(isWriting(next) ? { ...rest, writing: next } : isNumber(as) ? rest : { ...rest, split: next });
        }}
      />
      {isOwn && (
        <TextField
          label={`What a bare number in “${column}” means, such as {value} gsm`}
          value={pattern}
          mayBeEmpty
          maxLength={80}
          placeholder="{value} gsm"
          className="w-[120px]"
          change={(text) =>
            set({ ...reading, pattern: text === '' || text.includes('{value}') ? text : `{value} ${text}` })
          }
        />
      )}
    </div>
  );
}
