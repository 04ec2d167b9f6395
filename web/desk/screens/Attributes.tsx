import { Lightbulb } from 'lucide-react';
import { type ReactNode, useDeferredValue } from 'react';
import { Link } from 'react-router';
import type { AttributeRow } from '../../../api/endpoints.ts';
import { weightForPlace } from '../../../core/setup/attributeOrder.ts';
import { count, counted } from '../../look/price.ts';
import { NumberField, Switch } from '../parts/Controls.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { SortableList } from '../parts/SortableList.tsx';
import { byWeight, setAttribute, useAttributes } from '../state/attributes.ts';
import { useChanged } from '../state/changed.ts';

const kinds: Record<AttributeRow['kind'], string> = {
  text: 'text',
  list: 'list',
  path: 'category path',
  number: 'number',
  price: 'price',
  date: 'date',
  code: 'code',
  link: 'link',
};

function coverageInWords(share: number): string {
  if (share === 1) return 'in every record';
  const percent = Math.round(share * 100);
  return percent === 0 ? 'in under 1% of records' : `in ${percent === 100 ? 'nearly 100' : percent}% of records`;
}

/** Stock, second screen: what each attribute holds, whether the search reads it, how much it counts, where it shows. */
export function Attributes() {
  const { attributes, error, refetch } = useAttributes();
  const changed = useChanged('attributes');
  if (error && !attributes) return <LoadProblem error={error} again={refetch} />;
  if (!attributes) return <Loading what="Reading the attributes" />;
  const read = attributes.filter((row) => row.searchable).sort(byWeight);
  const unread = attributes.filter((row) => !row.searchable);
  const items = read.map((row) => ({ ...row, id: row.key, name: row.label }));
  return (
    <>
      <ScreenHead title="Attributes">
        What your catalog says about each product. Choose what the search reads and how much each counts; the shop
        window follows at once.
      </ScreenHead>
      <Section
        title="Read by the search"
        note="Most important first. Drag a row, or set its weight: twice the weight counts twice as much."
      >
        {items.length === 0 ? (
          <Nothing>The search reads no attribute, so it finds nothing. Switch one on below.</Nothing>
        ) : (
          <SortableList
            label="Attributes read by the search, most important first"
            items={items}
            move={(item, from, to) => {
              const others = read.filter((_, index) => index !== from).map(({ weight }) => weight);
              setAttribute(item, { weight: weightForPlace(others, to) });
            }}
          >
            {(item, grip) => <Row row={item} grip={grip} isChanged={changed(item.key)} />}
          </SortableList>
        )}
      </Section>
      <Section title="Not read by the search" note="Still there for filters, cards and tie-breakers.">
        <Unread rows={unread} changed={changed} />
      </Section>
    </>
  );
}

/** They stand below what the search reads, mostly out of sight: the shop window is drawn before them. */
function Unread({ rows, changed }: { readonly rows: readonly AttributeRow[]; changed(key: string): boolean }) {
  const drawn = useDeferredValue(rows, []);
  return (
    <ul className="space-y-[5px]">
      {drawn.map((row) => (
        <li key={row.key}>
          <Row row={row} grip={null} isChanged={changed(row.key)} />
        </li>
      ))}
    </ul>
  );
}

function Row({
  row,
  grip,
  isChanged,
}: {
  readonly row: AttributeRow;
  readonly grip: ReactNode;
  readonly isChanged: boolean;
}) {
  return (
    <div className={`${shelfRow(isChanged)} py-1.5 pr-3 pl-2`}>
      <div className="flex items-center gap-2">
        <span className="w-[19px] shrink-0">{grip}</span>
        <span className="min-w-0 flex-1">
          <span className="font-semibold">{row.label}</span>{' '}
          <span className="text-[12.5px] text-soft">
            {kinds[row.kind]}, {coverageInWords(row.coverage)},{' '}
            {row.values >= 20_000 ? 'over 20,000 values' : counted(row.values, 'value')}
          </span>
        </span>
        {row.searchable && (
          <NumberField
            label={`Weight of ${row.label}`}
            value={row.weight}
            least={0}
            most={100}
            step={0.1}
            change={(weight) => setAttribute(row, { weight })}
          />
        )}
      </div>
      {row.advice.map(({ code, text, where }) => (
        <p key={code} className="mt-0.5 flex items-start gap-1.5 pl-[27px] text-[12.5px]">
          <Lightbulb size={13} aria-hidden className="mt-[3px] shrink-0 text-soft" />
          <span>
            {text}{' '}
            {where !== 'here' && (
              <Link
                to={where === 'reading' ? '/catalog/reading' : '/catalog/products'}
                className="text-press underline"
              >
                {where === 'reading' ? 'Say what they are' : 'Look at the products'}
              </Link>
            )}
          </span>
        </p>
      ))}
      <div className="mt-0.5 flex items-center gap-4 pl-[27px]">
        <p className="min-w-0 flex-1 truncate text-[12.5px] text-soft" title={row.samples.join(' · ')}>
          {row.samples.map((sample) => (row.kind === 'number' ? count(Number(sample)) : sample)).join(' · ')}
        </p>
        <Switch
          label={`Show ${row.label} on the card`}
          shown="On card"
          isOn={row.onCard}
          change={(onCard) => setAttribute(row, { onCard })}
        />
        {row.canSearch ? (
          <Switch
            label={`Search reads ${row.label}`}
            shown="Searched"
            isOn={row.searchable}
            change={(searchable) => setAttribute(row, { searchable })}
          />
        ) : (
          <span className="w-[96px] text-right text-[12.5px] text-soft">not searchable</span>
        )}
      </div>
    </div>
  );
}
