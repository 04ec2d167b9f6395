import type { FilterAnswer } from '../../../core/answer/answer.ts';
import { useTexts } from '../../look/texts.tsx';
import type { OneFilter } from './oneFilter.ts';

export interface Ranged extends OneFilter {
  readonly range: NonNullable<FilterAnswer['range']>;
}

/** The ends chosen, either of them open. */
export function chosenEnds([chosen = '..']: readonly string[]): readonly [string, string] {
  const [from = '', to = ''] = chosen.split('..');
  return [from, to];
}

/** Two number boxes, with the ends of the data as hints. */
export function RangeBoxes({ filter, range, chosen, choose }: Ranged) {
  const { say } = useTexts();
  const [chosenFrom, chosenTo] = chosenEnds(chosen);
  const field = (name: 'from' | 'to', value: string, hint: number) => (
    <label className="min-w-0 flex-1 text-[12.5px] text-soft">
      {say(name === 'from' ? 'filters.from' : 'filters.to')}
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
      key={chosen[0] ?? ''}
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
        <span aria-hidden>{say('filters.set')}</span>
        <span className="sr-only">{say('filters.setLabel', { filter: filter.label })}</span>
      </button>
    </form>
  );
}
