import { ChevronDown, SlidersHorizontal, X } from 'lucide-react';
import { Dialog, Popover } from 'radix-ui';
import { useRef } from 'react';
import type { SearchAnswer } from '../../../core/answer/answer.ts';
import { useAround } from '../../look/around.tsx';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { useTexts } from '../../look/texts.tsx';
import { chipInWords, chosenIn, type Said, withChoice, withNothing } from './choice.ts';
import { FilterBody } from './FilterBody.tsx';
import type { LookThrough, OneFilter } from './oneFilter.ts';

export interface FiltersShown {
  readonly answer: SearchAnswer;
  readonly said: Said;
  choose(said: Said): void;
  /** The answer is to an earlier choice; the one for this is on its way. */
  readonly isStale: boolean;
  readonly lookThrough: LookThrough;
}

/** Each filter with its choice and the way to change it. */
function filtersOf({ answer, said, choose, lookThrough }: FiltersShown): OneFilter[] {
  const gone = answer.filtersNotShown.map(({ key }) => key);
  return answer.filters.map((filter) => ({
    filter,
    chosen: chosenIn(filter, said),
    choose: (values) => choose(withChoice(said, filter, values, gone)),
    lookThrough,
  }));
}

/** What is chosen, each with a way to take it off; all at once at the end. */
export function ChosenFilters(shown: FiltersShown) {
  const list = useRef<HTMLUListElement>(null);
  const texts = useTexts();
  const chips = filtersOf(shown).flatMap((one) => one.chosen.map((value) => ({ ...one, value })));
  if (chips.length === 0) return null;
  return (
    // The list takes the focus of a chip that goes away, so that a keyboard stays where it was.
    <ul
      ref={list}
      tabIndex={-1}
      aria-label={texts.say('filters.chosen')}
      className="mt-2.5 flex flex-wrap gap-1.5 text-[13px]"
    >
      {chips.map(({ filter, chosen, value, choose }) => (
        <li key={`${filter.key} ${value}`}>
          <button
            type="button"
            className="inline-flex items-center gap-1.5 rounded-full bg-edge px-3 py-1 text-surface"
            onClick={() => {
              list.current?.focus();
              choose(chosen.filter((each) => each !== value));
            }}
          >
            <span aria-hidden>{chipInWords(filter, value, texts)}</span>
            <X size={13} aria-hidden />
            <span className="sr-only">
              {texts.say('filters.takeOff', { filter: chipInWords(filter, value, texts) })}
            </span>
          </button>
        </li>
      ))}
      <li>
        <button
          type="button"
          className="px-1.5 py-1 text-press underline"
          onClick={() => shown.choose(withNothing(shown.answer.filters))}
        >
          {texts.say('filters.clearAll')}
        </button>
      </li>
    </ul>
  );
}

/** The filters in a column beside the results. */
export function FilterColumn(shown: FiltersShown) {
  const { say } = useTexts();
  return (
    <section aria-label={say('filters')}>
      {filtersOf(shown).map((one) => (
        <FilterGroup key={one.filter.key} {...one} />
      ))}
    </section>
  );
}

function FilterGroup(one: OneFilter) {
  const { filter, chosen, choose } = one;
  if (filter.kind === 'yesNo') return <YesNo filter={filter} chosen={chosen} choose={choose} />;
  if (!filter.closed)
    return (
      <fieldset className="border-line border-b py-3">
        <legend className="float-start mb-1.5 w-full font-semibold">{filter.label}</legend>
        <div className="clear-both">
          <FilterBody {...one} />
        </div>
      </fieldset>
    );
  return (
    <details open={chosen.length > 0} className="group border-line border-b py-3">
      <summary className="flex cursor-pointer list-none items-center justify-between font-semibold">
        {filter.label}
        <ChevronDown size={15} aria-hidden className="group-open:rotate-180" />
      </summary>
      <div className="mt-1.5">
        <FilterBody {...one} />
      </div>
    </details>
  );
}

function YesNo({ filter, chosen, choose }: Pick<OneFilter, 'filter' | 'chosen' | 'choose'>) {
  const [value] = filter.values;
  const { say, count } = useTexts();
  if (!value) return null;
  return (
    <div className="border-line border-b py-3">
      <label className="flex items-center gap-2 font-semibold">
        <input
          type="checkbox"
          className="size-[15px] shrink-0 accent-press"
          checked={chosen.length > 0}
          onChange={(event) => choose(event.target.checked ? [value.value] : [])}
        />
        <span className="flex-1">{filter.label}</span>
        {filter.counts && (
          <span className="font-normal text-[12.5px] text-soft">
            <span aria-hidden>{count(value.count)}</span>
            <span className="sr-only">{say('products', { count: value.count })}</span>
          </span>
        )}
      </label>
      {filter.help && <p className="mt-1 text-[12.5px] text-soft">{filter.help}</p>}
    </div>
  );
}

/** The filters as a row of buttons above the results. */
export function FilterRow(shown: FiltersShown) {
  const { say } = useTexts();
  return (
    <section aria-label={say('filters')} className="mt-2.5 flex flex-wrap gap-[7px]">
      {filtersOf(shown).map((one) => (
        <FilterButton key={one.filter.key} {...one} />
      ))}
    </section>
  );
}

const button =
  'inline-flex items-center gap-1 rounded-full border px-3 py-[3px] text-[13px] hover:border-edge aria-pressed:border-edge aria-pressed:font-semibold';

function FilterButton(one: OneFilter) {
  const { filter, chosen, choose } = one;
  const isOn = chosen.length > 0;
  const { say, count } = useTexts();
  if (filter.kind === 'yesNo')
    return (
      <button
        type="button"
        aria-pressed={isOn}
        title={filter.help}
        className={button}
        onClick={() => choose(isOn ? [] : filter.values.slice(0, 1).map(({ value }) => value))}
      >
        {isOn && <span aria-hidden>✓</span>}
        {filter.label}
        {filter.counts && filter.values[0] && (
          <span className="font-normal text-[12px] text-soft">
            <span aria-hidden>{count(filter.values[0].count)}</span>
            <span className="sr-only">{say('products', { count: filter.values[0].count })}</span>
          </span>
        )}
      </button>
    );
  return (
    <Popover.Root>
      <Popover.Trigger className={`${button} ${isOn ? 'border-edge font-semibold' : ''}`}>
        {filter.label}
        {isOn && !filter.range && <span>({chosen.length})</span>}
        <ChevronDown size={13} aria-hidden />
      </Popover.Trigger>
      <PopoverPanel label={filter.label} className="max-h-[min(380px,70vh)] w-[250px] p-3">
        <FilterBody {...one} isOpened />
      </PopoverPanel>
    </Popover.Root>
  );
}

/** The filters behind one button, in a drawer over the page: what a phone has room for. */
export function FilterDrawer(shown: FiltersShown) {
  const { answer, choose, isStale } = shown;
  const { container } = useAround();
  const { say } = useTexts();
  const showText = say('filters.show', { count: answer.total });
  const chosen = filtersOf(shown).flatMap((one) => one.chosen).length;
  return (
    <Dialog.Root>
      <Dialog.Trigger className="mt-2.5 inline-flex items-center gap-2 rounded-full border px-3.5 py-1.5 text-[13.5px] hover:border-edge">
        <SlidersHorizontal size={15} aria-hidden />
        {say('filters')}
        {chosen > 0 && ` (${chosen})`}
      </Dialog.Trigger>
      <Dialog.Portal container={container}>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 end-0 z-40 flex w-[min(360px,92vw)] flex-col bg-surface text-ink shadow-2xl"
        >
          <div className="flex items-center justify-between border-b px-4 py-3">
            <Dialog.Title className="font-shop text-[19px]">{say('filters')}</Dialog.Title>
            <Dialog.Close aria-label={say('filters.close')} className="rounded-md p-1 hover:bg-paper">
              <X size={18} aria-hidden />
            </Dialog.Close>
          </div>
          <div className="flex-1 overflow-auto px-4">
            <FilterColumn {...shown} />
          </div>
          <div className="flex items-center gap-3 border-t px-4 py-3" aria-busy={isStale}>
            {chosen > 0 && (
              <button
                type="button"
                className="text-[13.5px] text-press underline"
                onClick={() => choose(withNothing(answer.filters))}
              >
                {say('filters.clearAll')}
              </button>
            )}
            <Dialog.Close className="ms-auto rounded-md bg-press px-4 py-2 font-semibold text-on-press hover:bg-press-over">
              {/* A number that is about to change is not promised. */}
              <span className={isStale ? 'opacity-50' : ''}>{showText}</span>
            </Dialog.Close>
            <span role="status" className="sr-only">
              {showText}
            </span>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
