import { ChevronDown, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { FilterAnswer } from '../../core/answer.ts';
import { count, price } from '../look/price.ts';

type Chosen = Readonly<Record<string, readonly string[]>>;

function withChoice(chosen: Chosen, key: string, values: readonly string[]): Chosen {
  const { [key]: _, ...others } = chosen;
  return values.length > 0 ? { ...others, [key]: values } : others;
}

function rangeInWords(text: string): string {
  const [from, to] = text.split('..');
  if (from && to) return `${price(Number(from))} to ${price(Number(to))}`;
  return from ? `from ${price(Number(from))}` : `up to ${price(Number(to))}`;
}

/** The filters: beside the results where there is room, else a row of buttons above them. */
export function Filters({
  filters,
  chosen,
  choose,
}: {
  readonly filters: readonly FilterAnswer[];
  readonly chosen: Chosen;
  choose(chosen: Chosen): void;
}) {
  const useful = filters.filter((filter) => filter.range !== undefined || filter.values.length > 0);
  const chips = useful.flatMap((filter) => (chosen[filter.key] ?? []).map((value) => ({ filter, value })));
  const change = (key: string) => (values: readonly string[]) => choose(withChoice(chosen, key, values));
  if (useful.length === 0) return <div />;
  return (
    <div>
      <section aria-label="Filters" className="mt-2.5 flex flex-wrap gap-[7px] lg:hidden">
        {useful.map((filter) => (
          <FilterButton
            key={filter.key}
            filter={filter}
            chosen={chosen[filter.key] ?? []}
            choose={change(filter.key)}
          />
        ))}
      </section>
      {chips.length > 0 && (
        <ul aria-label="Chosen filters" className="mt-2.5 flex flex-wrap gap-1.5 text-[13px]">
          {chips.map(({ filter, value }) => (
            <li key={`${filter.key} ${value}`}>
              <button
                type="button"
                className="inline-flex items-center gap-1.5 rounded-full bg-edge px-3 py-1 text-surface"
                onClick={() => change(filter.key)((chosen[filter.key] ?? []).filter((each) => each !== value))}
              >
                {filter.kind === 'range' ? rangeInWords(value) : value}
                <X size={13} aria-hidden />
                <span className="sr-only">: take this filter off</span>
              </button>
            </li>
          ))}
          <li>
            <button type="button" className="px-1.5 py-1 text-press underline" onClick={() => choose({})}>
              Clear all
            </button>
          </li>
        </ul>
      )}
      <section aria-label="Filters" className="mt-3 hidden lg:block">
        {useful.map((filter) => (
          <fieldset key={filter.key} className="border-line border-b py-3">
            <legend className="float-left mb-1.5 w-full font-semibold">{filter.label}</legend>
            <div className="clear-both">
              <FilterBody filter={filter} chosen={chosen[filter.key] ?? []} choose={change(filter.key)} />
            </div>
          </fieldset>
        ))}
      </section>
    </div>
  );
}

interface OneFilter {
  readonly filter: FilterAnswer;
  readonly chosen: readonly string[];
  choose(values: readonly string[]): void;
}

function FilterButton({ filter, chosen, choose }: OneFilter) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`inline-flex items-center gap-1 rounded-full border px-3 py-[3px] text-[13px] hover:border-edge ${
          chosen.length > 0 ? 'border-edge font-semibold' : ''
        }`}
      >
        {filter.label}
        {chosen.length > 0 && filter.kind !== 'range' && <span>({chosen.length})</span>}
        <ChevronDown size={13} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={10}
          aria-label={filter.label}
          className="z-40 max-h-[min(380px,70vh)] w-[240px] overflow-auto rounded-lg border bg-surface p-3 shadow-xl"
        >
          <FilterBody filter={filter} chosen={chosen} choose={choose} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const shownAtFirst = 8;

function FilterBody({ filter, chosen, choose }: OneFilter) {
  const [isLong, setLong] = useState(false);
  if (filter.range) return <RangeBody filter={filter} choose={choose} range={filter.range} />;
  const values = isLong ? filter.values : filter.values.filter((value, index) => index < shownAtFirst || value.chosen);
  const toggle = (value: string): void => {
    if (filter.kind === 'single') choose(chosen[0] === value ? [] : [value]);
    else choose(chosen.includes(value) ? chosen.filter((each) => each !== value) : [...chosen, value]);
  };
  return (
    <div>
      <ul>
        {values.map(({ value, count: products, chosen: isChosen }) => (
          <li key={value}>
            <label className="flex items-center gap-2 py-[3px] text-[13.5px]">
              <input
                type="checkbox"
                className={`size-[15px] shrink-0 accent-press ${filter.kind === 'single' ? 'rounded-full' : ''}`}
                checked={isChosen}
                onChange={() => toggle(value)}
              />
              <span className="min-w-0 flex-1 break-words">{value}</span>
              {filter.counts && (
                <span className="text-[12.5px] text-soft">
                  {count(products)}
                  <span className="sr-only"> products</span>
                </span>
              )}
            </label>
          </li>
        ))}
      </ul>
      {filter.values.length > shownAtFirst && (
        <button type="button" className="mt-1 text-[13px] text-press underline" onClick={() => setLong(!isLong)}>
          {isLong ? 'Show fewer' : `Show all ${filter.values.length}`}
        </button>
      )}
      {filter.more > 0 && isLong && (
        <p className="mt-1 text-[12.5px] text-soft">and {count(filter.more)} more values</p>
      )}
    </div>
  );
}

function RangeBody({
  filter,
  range,
  choose,
}: {
  readonly filter: FilterAnswer;
  readonly range: NonNullable<FilterAnswer['range']>;
  choose(values: readonly string[]): void;
}) {
  const [chosenFrom = '', chosenTo = ''] = (range.chosen ?? '..').split('..');
  const field = (name: 'from' | 'to', value: string, hint: number) => (
    <label className="min-w-0 flex-1 text-[12.5px] text-soft">
      {name === 'from' ? 'From' : 'To'}
      <input
        name={name}
        type="number"
        min={0}
        step="any"
        defaultValue={value}
        placeholder={String(hint)}
        className="mt-0.5 w-full rounded-md border bg-surface px-2 py-1 text-[13.5px] text-ink placeholder:text-soft"
      />
    </label>
  );
  return (
    <form
      key={range.chosen ?? ''}
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const given = new FormData(event.currentTarget);
        const text = `${given.get('from') ?? ''}..${given.get('to') ?? ''}`;
        choose(text === '..' ? [] : [text]);
      }}
    >
      {field('from', chosenFrom, Math.floor(range.least))}
      {field('to', chosenTo, Math.ceil(range.most))}
      <button type="submit" className="rounded-md border px-2.5 py-1 hover:border-edge">
        Set<span className="sr-only"> {filter.label}</span>
      </button>
    </form>
  );
}
