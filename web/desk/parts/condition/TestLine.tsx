import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { type Comparison, ofCollections, withoutAttribute } from '../../../../core/setup/terms/conditionTerms.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { useAttributes } from '../../state/attributes.ts';
import { useCollections } from '../../state/collections.ts';
import { IconButton } from '../Button.tsx';
import { Chip } from '../Chip.tsx';
import { CollectionChips } from '../CollectionChips.tsx';
import { Choice } from '../Controls.tsx';
import { DayField } from '../DayField.tsx';
import { Picker, PickerItem } from '../Picker.tsx';
import {
  aboutAnother,
  collectionSubject,
  comparisonsFor,
  comparisonTexts,
  isComparable,
  type TestRow,
} from './conditionRows.ts';

const field = 'rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge';

/** One test of a condition: what is asked about, how it is compared, and with what. */
export function TestLine({
  row,
  change,
  remove,
  mayNameCollections = true,
}: {
  readonly row: TestRow;
  /** Whether it may be asked which collection a product is in. */
  readonly mayNameCollections?: boolean;
  change(row: TestRow): void;
  remove(): void;
}) {
  const { attributes = [] } = useAttributes();
  const comparable = attributes.filter(isComparable).sort((a, b) => a.label.localeCompare(b.label));
  const about = comparable.find(({ key }) => key === row.attribute);
  const isGone = row.attribute !== '' && attributes.length > 0 && !about;
  const isOfCollections = ofCollections.has(row.how);
  const subject = isOfCollections ? collectionSubject : withoutAttribute.has(row.how) ? row.how : row.attribute;
  const hows = isOfCollections ? [...ofCollections] : about ? comparisonsFor(about) : [row.how];
  return (
    <div className="relative flex flex-wrap items-center gap-1.5 pr-8">
      <Choice
        label="What is asked about"
        className="max-w-[150px]"
        value={subject}
        options={[
          ...(subject === '' ? [['', 'Choose an attribute'] as const] : []),
          ...(isGone ? [[row.attribute, `${row.attribute} (gone)`] as const] : []),
          ...[...withoutAttribute].map((how) => [how, comparisonTexts[how]] as const),
          ...(mayNameCollections || isOfCollections ? [[collectionSubject, 'Collection'] as const] : []),
          ...comparable.map(({ key, label }) => [key, label] as const),
        ]}
        change={(to) => change(aboutAnother(row, to, comparable))}
      />
      {!withoutAttribute.has(row.how) && (row.attribute !== '' || isOfCollections) && (
        <Choice<Comparison>
          label="How it is compared"
          value={row.how}
          options={(hows.includes(row.how) ? hows : [row.how, ...hows]).map((how) => [how, comparisonTexts[how]])}
          change={(how) => change({ ...row, how })}
        />
      )}
      <Compared row={row} change={change} />
      {isOfCollections && <CollectionsGone ids={row.collections} />}
      <IconButton label="Take this test off" className="absolute top-0.5 right-0" onClick={remove}>
        <X size={14} aria-hidden />
      </IconButton>
      {isGone && (
        <span className="w-full text-[13px] text-on-changed">
          The catalog has no attribute of that name now, so nothing meets this.
        </span>
      )}
    </div>
  );
}

/** Says that all collections asked about are gone, where they are. */
function CollectionsGone({ ids }: { readonly ids: readonly string[] }) {
  const known = useCollections();
  if (ids.length === 0 || known.length === 0 || ids.some((id) => known.some((each) => each.id === id))) return null;
  return (
    <span className="w-full text-[13px] text-on-changed">There is no such collection now, so nothing meets this.</span>
  );
}

/** With what an attribute is compared. */
function Compared({ row, change }: { readonly row: TestRow; change(row: TestRow): void }) {
  const { how, attribute } = row;
  const text = (label: string, name: 'text' | 'from' | 'to' | 'days', className: string, placeholder = '') => (
    <input
      aria-label={label}
      placeholder={placeholder}
      inputMode={name === 'text' ? 'text' : 'decimal'}
      className={`${field} ${className}`}
      maxLength={longest.shortText}
      value={row[name]}
      onChange={(event) => change({ ...row, [name]: event.target.value })}
    />
  );
  if (ofCollections.has(how))
    return (
      <CollectionChips
        label={row.collections.length > 0 ? 'or' : 'Choose a collection'}
        chosen={row.collections}
        most={most.conditionValues}
        change={(collections) => change({ ...row, collections })}
      />
    );
  if (attribute === '') return null;
  if (how === 'is' || how === 'isNot') return <Values row={row} change={change} />;
  if (how === 'contains' || how === 'startsWith') return text('Text', 'text', 'w-[160px]', 'a part of it');
  if (how === 'lastDays') return text('Days', 'days', 'w-[64px]', '30');
  if (how === 'before' || how === 'after')
    return <DayField label="Day" value={row.day} change={(day) => change({ ...row, day })} />;
  if (how === 'between')
    return (
      <>
        {text('Least', 'from', 'w-[66px]', 'least')}
        <span className="text-[13px] text-soft">and</span>
        {text('Most', 'to', 'w-[66px]', 'most')}
      </>
    );
  return null;
}

/** The values an attribute may have, chosen from those it has. */
function Values({ row, change }: { readonly row: TestRow; change(row: TestRow): void }) {
  const set = (values: readonly string[]): void => change({ ...row, values });
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {row.values.map((value, at) => (
        <span key={value} className="flex items-center gap-1">
          {at > 0 && <span className="text-[13px] text-soft">or</span>}
          <Chip takeOff={`Take ${value} off`} remove={() => set(row.values.filter((each) => each !== value))}>
            {value}
          </Chip>
        </span>
      ))}
      {row.values.length < most.conditionValues && (
        <Picker
          label={row.values.length > 0 ? 'or' : 'Choose a value'}
          find="Find a value"
          placeholder="Type a value"
          isSmall
        >
          {(typed, close) => (
            <ValueItems
              typed={typed}
              row={row}
              choose={(value) => {
                set([...row.values, value]);
                close();
              }}
            />
          )}
        </Picker>
      )}
    </span>
  );
}

function ValueItems({
  typed,
  row,
  choose,
}: {
  readonly typed: string;
  readonly row: TestRow;
  choose(value: string): void;
}) {
  const {
    data,
    error,
    isPlaceholderData: isStale,
  } = useQuery({
    queryKey: ['desk', 'values', row.attribute, typed],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      call('values', { query: { attribute: row.attribute, contains: typed.slice(0, 80) }, signal }),
  });
  const isNew = typed !== '' && data !== undefined && !data.values.some(({ value }) => value === typed);
  return (
    <>
      {error && <p className="p-3 text-wrong">{error.message}</p>}
      {data?.values.map(({ value, products }) => (
        <PickerItem
          key={value}
          value={value}
          isChosen={row.values.includes(value)}
          isStale={isStale}
          choose={() => choose(value)}
        >
          <span className="min-w-0 flex-1 truncate">{value}</span>
          <span className="text-[13px] text-soft">{counted(products, 'product')}</span>
        </PickerItem>
      ))}
      {isNew && (
        <PickerItem
          value={`(new) ${typed}`}
          isChosen={row.values.includes(typed)}
          isStale={isStale}
          choose={() => choose(typed)}
        >
          “{typed}”, which no product has now
        </PickerItem>
      )}
    </>
  );
}
