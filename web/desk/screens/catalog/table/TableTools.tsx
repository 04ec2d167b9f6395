import { useQuery } from '@tanstack/react-query';
import { Columns3, Download, X } from 'lucide-react';
import { DropdownMenu, Popover } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import { filePaths } from '../../../../../api/paths.ts';
import { own } from '../../../../../core/base/named.ts';
import { addressOf, call } from '../../../../client/call.ts';
import { Menu, MenuItem } from '../../../../look/Menu.tsx';
import { PopoverPanel } from '../../../../look/PopoverPanel.tsx';
import { count, counted } from '../../../../look/price.ts';
import { Choice } from '../../../parts/Controls.tsx';
import { Picker, PickerItem } from '../../../parts/Picker.tsx';
import { type ListState, useProductTable } from '../../../state/productTable.ts';

const states: readonly (readonly [ListState, string])[] = [
  ['all', 'Every product'],
  ['decided', 'Changed here'],
  ['hidden', 'Hidden'],
  ['soldOut', 'Sold out (no variant in stock)'],
];
const button =
  'inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3 py-1.5 font-semibold hover:border-edge';

/** What the table lists: search, filters, state; and which columns it has. */
export function TableTools({
  attributes,
  columns,
  total,
  products,
}: {
  readonly attributes: readonly AttributeRow[];
  readonly columns: readonly string[];
  readonly total: number;
  readonly products: number;
}) {
  const { state, kind, filters, missing, set } = useProductTable();
  const labelOf = (key: string): string => attributes.find((row) => row.key === key)?.label ?? key;
  const chips = [
    ...Object.entries(filters).flatMap(([key, values]) =>
      values.map((value) => ({
        text: `${labelOf(key)}: ${value}`,
        remove: () => {
          const left = values.filter((each) => each !== value);
          const { [key]: _, ...others } = filters;
          set({ filters: left.length > 0 ? { ...others, [key]: left } : others });
        },
      })),
    ),
    ...missing.map((key) => ({
      text: `Without ${labelOf(key)}`,
      remove: () => set({ missing: missing.filter((each) => each !== key) }),
    })),
  ];
  return (
    <div className="mb-2">
      <div className="flex flex-wrap items-center gap-2">
        <SearchField />
        <FilterPicker attributes={attributes} />
        <Choice label="Which products" value={state} options={states} change={(next) => set({ state: next })} />
        <Choice
          label="One row a product or a variant"
          value={kind}
          options={[
            ['products', 'A row a product'],
            ['variants', 'A row a variant'],
          ]}
          change={(next) => set({ kind: next })}
        />
        <ColumnChooser attributes={attributes} columns={columns} />
        <ExportMenu />
        <p role="status" className="ml-auto text-[13px] text-soft">
          {counted(products, 'product')}
          {total !== products && `, ${counted(total, 'variant')}`}
        </p>
      </div>
      {chips.length > 0 && (
        <ul aria-label="Filters of the table" className="mt-2 flex flex-wrap gap-1.5">
          {chips.map(({ text, remove }) => (
            <li
              key={text}
              className="flex items-center gap-1 rounded-full bg-press-soft py-0.5 pr-1 pl-2.5 text-[13px]"
            >
              {text}
              <button
                type="button"
                aria-label={`Take off: ${text}`}
                className="rounded-full p-0.5 hover:bg-surface"
                onClick={remove}
              >
                <X size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function SearchField() {
  const { query, set } = useProductTable();
  const [text, setText] = useState(query);
  useEffect(() => {
    const wait = setTimeout(() => text !== query && set({ query: text }), 200);
    return () => clearTimeout(wait);
  }, [text, query, set]);
  return (
    <input
      type="search"
      aria-label="Search the catalog"
      placeholder="Search the catalog"
      className="w-[190px] rounded-lg border bg-surface px-3 py-1.5 placeholder:text-soft hover:border-edge"
      value={text}
      onChange={(event) => setText(event.target.value)}
    />
  );
}

/** First an attribute, then one of its values, or none at all. */
function FilterPicker({ attributes }: { readonly attributes: readonly AttributeRow[] }) {
  const { filters, missing, set } = useProductTable();
  const [attribute, setAttribute] = useState<AttributeRow | null>(null);
  const choosable = attributes.filter(({ canFilter }) => canFilter);
  return (
    <Picker
      label="Filter"
      find={attribute ? `A value of ${attribute.label}` : 'An attribute'}
      placeholder={
        attribute ? `A value of ${attribute.label}${attribute.isNumeric ? ', such as 5..20' : ''}` : 'An attribute'
      }
      closed={() => setAttribute(null)}
    >
      {(typed, close) =>
        attribute === null ? (
          choosable
            .filter(({ label }) => label.toLowerCase().includes(typed.toLowerCase()))
            .map((row) => (
              <PickerItem key={row.key} value={row.key} isChosen={false} choose={() => setAttribute(row)}>
                {row.label}
              </PickerItem>
            ))
        ) : (
          <Values
            attribute={attribute}
            typed={typed}
            choose={(value) => {
              if (value === null) set({ missing: [...new Set([...missing, attribute.key])] });
              else
                set({
                  filters: {
                    ...filters,
                    [attribute.key]: attribute.isNumeric
                      ? [value]
                      : [...new Set([...(own(filters, attribute.key) ?? []), value])],
                  },
                });
              close();
            }}
          />
        )
      }
    </Picker>
  );
}

function Values({
  attribute,
  typed,
  choose,
}: {
  readonly attribute: AttributeRow;
  readonly typed: string;
  choose(value: string | null): void;
}) {
  const { data } = useQuery({
    queryKey: ['desk', 'values', attribute.key, typed],
    enabled: !attribute.isNumeric,
    queryFn: ({ signal }) =>
      call('values', { query: { attribute: attribute.key, contains: typed.slice(0, 80) }, signal }),
  });
  const isRange = attribute.isNumeric && /^(\d+(\.\d+)?)?\.\.(\d+(\.\d+)?)?$/.test(typed) && typed !== '..';
  return (
    <>
      <PickerItem value="(none)" isChosen={false} choose={() => choose(null)}>
        <span className="text-soft">Without any {attribute.label}</span>
      </PickerItem>
      {attribute.isNumeric && (
        <PickerItem value="(range)" isChosen={!isRange} choose={() => choose(typed)}>
          {isRange
            ? `From ${typed.split('..')[0] || 'any'} to ${typed.split('..')[1] || 'any'}`
            : 'Type a range such as 5..20 or ..3'}
        </PickerItem>
      )}
      {data?.values.map(({ value, products }) => (
        <PickerItem key={value} value={value} isChosen={false} choose={() => choose(value)}>
          <span className="min-w-0 flex-1 truncate">{value}</span>
          <span className="text-[13px] text-soft">{count(products)}</span>
        </PickerItem>
      ))}
    </>
  );
}

function ColumnChooser({
  attributes,
  columns,
}: {
  readonly attributes: readonly AttributeRow[];
  readonly columns: readonly string[];
}) {
  const { set } = useProductTable();
  return (
    <Popover.Root>
      <Popover.Trigger className={button}>
        <Columns3 size={15} aria-hidden /> Columns
      </Popover.Trigger>
      <PopoverPanel label="Columns of the table" className="max-h-[420px] w-[260px] p-2">
        {attributes.map(({ key, label }) => (
          <label key={key} className="flex items-center gap-2 rounded px-2 py-1 hover:bg-press-soft">
            <input
              type="checkbox"
              checked={columns.includes(key)}
              onChange={(event) =>
                set({ columns: event.target.checked ? [...columns, key] : columns.filter((each) => each !== key) })
              }
            />
            {label}
          </label>
        ))}
      </PopoverPanel>
    </Popover.Root>
  );
}

/** The catalog as it stands under the draft, to take away. */
function ExportMenu() {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={button}>
        <Download size={15} aria-hidden /> Export
      </DropdownMenu.Trigger>
      <Menu align="end" className="w-[270px]">
        {(
          [
            ['csv', 'CSV, for a spreadsheet'],
            ['jsonl', 'JSON Lines'],
            ['jsonld', 'schema.org products (JSON-LD)'],
          ] as const
        ).map(([format, label]) => (
          <MenuItem key={format} asChild>
            <a href={`${addressOf(filePaths.exportCatalog)}?format=${format}`} download>
              {label}
            </a>
          </MenuItem>
        ))}
        <p className="px-2.5 pt-1 text-[12.5px] text-soft">
          Every record as it stands here, edits of the draft included.
        </p>
      </Menu>
    </DropdownMenu.Root>
  );
}
