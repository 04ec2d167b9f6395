import { EyeOff, Pin, PinOff } from 'lucide-react';
import { valueOrders } from '../../../../core/setup/terms/filterTerms.ts';
import { valueInWords } from '../../../look/filterWords.ts';
import { count, counted } from '../../../look/price.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Chip } from '../../parts/Chip.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, Section } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { orderNames } from './filterWords.ts';
import type { OfFilter } from './Looks.tsx';
import { changeFilter, useAttributeValues, useTrialFilters } from './useFilterData.ts';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly products: number;
}

/** The values as shoppers see them for the trial search: their order, those before the others, those not listed. */
export function Values({ filterKey, filter }: OfFilter) {
  const { query, answer } = useTrialFilters();
  const { data } = useAttributeValues(filter.attribute);
  const shown = answer?.filters.find(({ key }) => key === filterKey);
  const { first = [], hiddenValues = [], byHand = [], valueOrder } = filter;
  const change = (list: 'first' | 'hiddenValues', value: string): void => {
    const now = filter[list] ?? [];
    const next = now.includes(value) ? now.filter((each) => each !== value) : [...now, value];
    changeFilter(filterKey, { [list]: next.length > 0 ? next : undefined });
  };
  const rows: Row[] =
    shown?.values.map((value) => ({ id: value.value, name: valueInWords(shown, value), products: value.count })) ?? [];
  const isSwatches = filter.kind === 'swatches';
  const namedColours = Object.fromEntries(
    (data?.values ?? []).flatMap(({ value, colour }): [string, string][] => (colour ? [[value, colour]] : [])),
  );
  const setColours = (colours: Readonly<Record<string, string>>): void =>
    changeFilter(filterKey, { colours: Object.keys(colours).length > 0 ? { ...colours } : undefined });
  const controls = ({ id, name, products }: Row) => (
    <>
      {isSwatches && (
        <input
          type="color"
          aria-label={`Swatch of ${name}`}
          title={filter.groups ? 'The group’s colour, where it has one' : 'Swatch'}
          className="size-6 shrink-0 rounded-full border p-0"
          value={shown?.values.find(({ value }) => value === id)?.colour ?? '#dddddd'}
          onChange={(event) => setColours({ ...filter.colours, [id]: event.target.value })}
        />
      )}
      <span className="min-w-0 flex-1 truncate">{name}</span>
      <span className="text-[12.5px] text-soft">{count(products)}</span>
      <IconButton
        label={first.includes(id) ? `Do not list ${name} first` : `List ${name} first`}
        aria-pressed={first.includes(id)}
        className={first.includes(id) ? 'text-press' : ''}
        onClick={() => change('first', id)}
      >
        {first.includes(id) ? <PinOff size={15} aria-hidden /> : <Pin size={15} aria-hidden />}
      </IconButton>
      <IconButton label={`Do not list ${name}`} onClick={() => change('hiddenValues', id)}>
        <EyeOff size={15} aria-hidden />
      </IconButton>
    </>
  );
  return (
    <Section
      title="Values"
      note={`As shoppers see them for ${query ? `“${query}”` : 'everything'}, with the products each would show${
        data ? `; the catalog has ${counted(data.values.length + data.more, 'value')}` : ''
      }.`}
      aside={
        <Choice
          label="Order of the values"
          value={valueOrder}
          options={valueOrders.map((order) => [order, orderNames[order]] as const)}
          change={(order) =>
            changeFilter(filterKey, {
              valueOrder: order,
              // By hand begins with the order that was there.
              ...(order === 'hand' && byHand.length === 0 && { byHand: rows.map(({ id }) => id) }),
            })
          }
        />
      }
    >
      {!answer ? (
        <Loading what="Counting the values" />
      ) : rows.length === 0 ? (
        <p className="text-[13.5px] text-soft">
          It is not beside the results of this search. Try another search above to see its values.
        </p>
      ) : valueOrder === 'hand' ? (
        <SortableList
          label="Values, in order by hand"
          items={rows}
          move={(item, from, to) => {
            const order = rows.filter((_, at) => at !== from);
            order.splice(to, 0, item);
            // Values that this search does not show keep their places behind.
            const others = byHand.filter((value) => !rows.some(({ id }) => id === value));
            changeFilter(filterKey, { byHand: [...order.map(({ id }) => id), ...others].slice(0, 500) });
          }}
        >
          {(item, grip) => (
            <div className="flex items-center gap-2 border-b bg-surface px-2">
              {grip}
              {controls(item)}
            </div>
          )}
        </SortableList>
      ) : (
        <RowList label="Values" items={rows} rowHeight={34} mostHeight={290}>
          {controls}
        </RowList>
      )}
      {hiddenValues.length > 0 && (
        <p className="mt-1.5 flex flex-wrap items-center gap-1.5 text-[13px]">
          <span className="text-soft">Not listed:</span>
          {hiddenValues.slice(0, 40).map((value) => (
            <Chip key={value} takeOff={`List ${value} again`} remove={() => change('hiddenValues', value)}>
              {value}
            </Chip>
          ))}
          {hiddenValues.length > 40 && <span className="text-soft">and {hiddenValues.length - 40} more</span>}
        </p>
      )}
      {isSwatches && Object.keys(namedColours).length > 0 && (
        <Button tone="quiet" className="mt-1" onClick={() => setColours({ ...namedColours, ...filter.colours })}>
          Colour the swatches by the values’ names
        </Button>
      )}
      {shown && shown.more > 0 && (
        <p className="mt-1 text-[12.5px] text-soft">
          {counted(shown.more, 'more value')}: shoppers get the {shown.values.length} with most products, and look
          through the others.
        </p>
      )}
    </Section>
  );
}
