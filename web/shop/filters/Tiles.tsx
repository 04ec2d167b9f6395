import { Check } from 'lucide-react';
import { useState } from 'react';
import type { FilterValue } from '../../../core/answer/answer.ts';
import { valueInWords } from '../../look/filterWords.ts';
import { useTexts } from '../../look/texts.tsx';
import { takesOne } from './choice.ts';
import type { OneFilter } from './oneFilter.ts';
import { ShowAll } from './ShowAll.tsx';

/** What tiles and swatches share: values that are pressed, and a way to see those that do not fit. */
function Pressed({
  filter,
  chosen,
  choose,
  draw,
}: OneFilter & { draw(value: FilterValue, isChosen: boolean): React.ReactNode }) {
  const [isLong, setLong] = useState(false);
  const texts = useTexts();
  const shown = isLong
    ? filter.values
    : filter.values.filter((value, index) => index < filter.showFirst || value.chosen);
  return (
    <>
      <ul className="flex flex-wrap gap-1.5">
        {shown.map((value) => {
          const isChosen = chosen.includes(value.value);
          const words = valueInWords(filter, value, texts);
          return (
            <li key={value.value}>
              <button
                type="button"
                aria-pressed={isChosen}
                aria-label={`${words}${filter.counts ? `, ${texts.say('products', { count: value.count })}` : ''}`}
                title={filter.counts ? `${words}: ${texts.count(value.count)}` : words}
                disabled={value.count === 0 && !isChosen}
                className="disabled:opacity-40"
                onClick={() =>
                  choose(
                    isChosen
                      ? chosen.filter((each) => each !== value.value)
                      : [...(takesOne(filter) ? [] : chosen), value.value],
                  )
                }
              >
                {draw(value, isChosen)}
              </button>
            </li>
          );
        })}
      </ul>
      <ShowAll filter={filter} isLong={isLong} show={setLong} />
    </>
  );
}

export function Tiles(one: OneFilter) {
  const texts = useTexts();
  return (
    <Pressed
      {...one}
      draw={(value, isChosen) => (
        <span
          className={`inline-flex min-w-9 items-center justify-center gap-1 rounded-md border px-2 py-1 text-[13px] ${
            isChosen ? 'border-edge bg-edge text-surface' : 'hover:border-edge'
          }`}
        >
          {isChosen && <Check size={12} aria-hidden />}
          {valueInWords(one.filter, value, texts)}
        </span>
      )}
    />
  );
}

/** Colours, each with its name beneath; a value nobody gave a colour shows its first letter. */
export function Swatches(one: OneFilter) {
  return (
    <Pressed
      {...one}
      draw={(value, isChosen) => (
        <span className="flex w-[54px] flex-col items-center gap-0.5 text-[11.5px] leading-tight">
          <span
            className={`flex size-8 items-center justify-center overflow-hidden rounded-full border bg-paper bg-cover text-soft ${
              isChosen ? 'ring-2 ring-press ring-offset-2 ring-offset-surface' : ''
            }`}
            style={{
              ...(value.colour && { backgroundColor: value.colour }),
              ...(value.picture && { backgroundImage: `url("${encodeURI(value.picture)}")` }),
            }}
          >
            {!value.colour && !value.picture && value.label.slice(0, 1)}
          </span>
          <span className={`w-full truncate text-center ${isChosen ? 'font-semibold underline' : ''}`}>
            {isChosen && '✓ '}
            {value.label}
          </span>
        </span>
      )}
    />
  );
}
