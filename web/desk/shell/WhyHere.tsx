import { useQuery } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import type { FoundLine, Why } from '../../../core/answer/why.ts';
import { call } from '../../client/call.ts';
import { day } from '../../look/dates.ts';
import { count } from '../../look/price.ts';
import { Switch } from '../parts/Controls.tsx';
import { DialogFrame } from '../parts/DialogFrame.tsx';
import { TeachLink } from '../parts/TeachLink.tsx';
import { useDeskState } from '../state/deskState.ts';
import { setupInWords } from '../state/setupInWords.ts';
import { EveryDecimal, usePoints } from './why/numbers.ts';
import { rarityText } from './why/rarity.ts';

/** A product in a search, about which the merchandiser asked why it stands there. */
export interface AskedWhy {
  readonly id: string;
  readonly title: string;
  readonly query: string;
  /** Which setup the window showed when it was asked. */
  readonly from: string;
  /** The moment it was seen as of; empty for now. */
  readonly at: string;
  readonly filters: Readonly<Record<string, readonly string[]>>;
  readonly sort: string;
  readonly collection: string;
  readonly asWords: readonly string[];
  readonly exactly: boolean;
}

const ways: Record<FoundLine['how'], string> = {
  exact: 'exactly',
  joined: 'as one word',
  split: 'as several words',
  synonym: 'by a word that means the same',
  form: 'as another form',
  related: 'by a related word',
  prefix: 'as the beginning of a word',
  oneEdit: 'taken as misspelt by one letter',
  rivalEdit: 'taken as misspelt by one letter, where another word is likelier',
  twoEdits: 'taken as misspelt by two letters',
  value: 'recognised as its value',
  compound: 'as a part of a longer word',
};

export function WhyHere({ asked, close }: { readonly asked: AskedWhy | null; close(): void }) {
  return (
    <Dialog.Root open={asked !== null} onOpenChange={(isOpen) => !isOpen && close()}>
      {asked && (
        <DialogFrame
          title={`Why is “${asked.title}” here?`}
          description={`${asked.query ? `For the search “${asked.query}”` : 'With no search'}, by ${setupInWords(asked.from)}.`}
          wide
        >
          <Arithmetic asked={asked} close={close} />
        </DialogFrame>
      )}
    </Dialog.Root>
  );
}

function Arithmetic({ asked, close }: { readonly asked: AskedWhy; close(): void }) {
  const { revision } = useDeskState();
  const filters = Object.fromEntries(Object.entries(asked.filters).map(([key, values]) => [`f.${key}`, [...values]]));
  const [everyDecimal, setEveryDecimal] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['desk', 'why', asked, revision],
    queryFn: ({ signal }) =>
      call('why', {
        query: {
          q: asked.query,
          product: asked.id,
          from: asked.from,
          ...(asked.at && { at: asked.at }),
          sort: asked.sort,
          collection: asked.collection,
          asWords: [...asked.asWords],
          ...(asked.exactly && { exactly: '1' }),
          ...filters,
        },
        signal,
      }),
  });
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p role="status">Adding up …</p>;
  if (!data.result?.why) return <p>This product is no longer shown for this search.</p>;
  return (
    <EveryDecimal value={everyDecimal}>
      <WhyTable why={data.result.why} total={data.total} close={close} />
      <div className="mt-4 flex items-center gap-3 text-[13px]">
        <Switch label="Show all decimals" shown="Show all decimals" isOn={everyDecimal} change={setEveryDecimal} />
        {!everyDecimal && <span className="text-soft">Rounded to one decimal.</span>}
      </div>
    </EveryDecimal>
  );
}

function Line({
  children,
  amount,
  strong,
}: {
  readonly children: ReactNode;
  readonly amount: string;
  readonly strong?: boolean;
}) {
  return (
    <tr className={strong ? 'border-edge border-t-2 font-bold' : 'border-b border-line'}>
      <td className="py-1.5 pr-4">{children}</td>
      <td className="whitespace-nowrap py-1.5 text-right align-top">{amount}</td>
    </tr>
  );
}

const percent = (share: number): string => `${Number((share * 100).toFixed(1))}%`;
/** Lengths and places are exact for short values, and "at least" for longer ones. */
const atLeast = (number: number, exactBelow: number): string =>
  number > exactBelow ? `at least ${number}` : String(number);

/** What a find is worth, and the factors it is the product of; those that change nothing are left out. */
function worthInWords({ label, weight, parts, words, before, how, gain }: FoundLine): string {
  const factors = [
    `${label} counts ${weight}${parts.weight < 1 ? ` (${percent(parts.weight)} of the heaviest)` : ', the most'}`,
    ...(how === 'exact' ? [] : [`found so, ${percent(parts.quality)}`]),
    ...(parts.length < 1 ? [`one of ${atLeast(words, 8)} words, ${percent(parts.length)}`] : []),
    ...(parts.place < 1 ? [`${atLeast(before, 7)} words before it, ${percent(parts.place)}`] : []),
  ];
  return `${factors.join(' × ')} = ${percent(gain)} of a perfect find`;
}

const wholeInWords = ({ label, found, words }: NonNullable<Why['whole']>): string =>
  found >= words
    ? `The search says all that ${label} says`
    : `The search says ${found} of the ${atLeast(words, 8)} words of ${label}`;

function FoundWords({
  word,
  found,
  isAlso,
  close,
}: {
  readonly word: string;
  readonly found: FoundLine;
  readonly isAlso: boolean;
  close(): void;
}) {
  const points = usePoints();
  return (
    <Line amount={`${isAlso ? '+ ' : ''}${points(found.points)}`}>
      <b className="font-semibold">{word}</b> {isAlso ? 'also ' : ''}found in {found.label}, {ways[found.how]}
      {found.how !== 'exact' && <> (“{found.term}”)</>}
      <span className="block text-[12.5px] text-soft">{worthInWords(found)}</span>
      {!isAlso && <TeachLink says={word} done={close} />}
    </Line>
  );
}

function WhyTable({ why, total, close }: { readonly why: Why; readonly total: number; close(): void }) {
  const points = usePoints();
  const rarity = rarityText(why.words);
  return (
    <div className="text-[14px]">
      <p className="mb-3">
        <b>Place {why.place}</b> of {total}. {whatPutItThere(why)}
      </p>
      <table className="w-full border-collapse">
        <caption className="sr-only">The lines of the score, in points</caption>
        <tbody>
          {why.words.map(({ word, best, also }) => (
            <WordLines key={word} word={word} best={best} also={also} close={close} />
          ))}
          {why.closeness.map(({ words, gap, points: given }) => (
            <Line key={words.join(' ')} amount={`+ ${points(given)}`}>
              <b className="font-semibold">{words.join(' ')}</b>{' '}
              {gap === 0 ? 'stand side by side' : `stand close together (${gap} apart)`}
            </Line>
          ))}
          {why.whole && why.whole.points > 0 && (
            <Line amount={`+ ${points(why.whole.points)}`}>{wholeInWords(why.whole)}</Line>
          )}
          <Line amount={points(why.matchScore)} strong>
            {why.exactSku
              ? 'The search is exactly this part number'
              : why.broughtIn
                ? 'Brought in: it counts as if its title had been searched for'
                : why.start > 0
                  ? 'Nothing is searched for: all products begin alike'
                  : 'Match, out of 100 points'}
          </Line>
          {why.pulls.map((pull) => (
            <Line key={`${pull.from}:${pull.id}`} amount={`× ${pull.pull}`}>
              <SourceName source={pull} close={close} /> {pull.pull > 1 ? 'raises it' : 'lowers it'}
            </Line>
          ))}
          {why.pulls.length > 0 && (
            <Line amount={points(why.score)} strong>
              Score after boosts{why.pulls.length > 1 && ` (together × ${why.totalPull})`}
            </Line>
          )}
        </tbody>
      </table>
      {rarity && <p className="mt-2">{rarity}</p>}
      {why.together.map((phrase) => (
        <p key={phrase} className="mt-2">
          “{phrase}” is a phrase: only products that have its words side by side are shown.
        </p>
      ))}
      {why.takenFor && (
        <p className="mt-2">
          The shelf plan “{why.takenFor.name}” takes this search for “{why.takenFor.search}”.
        </p>
      )}
      {heldAsCorrected(why).map(({ id, name, corrected }) => (
        <p key={id} className="mt-2">
          The shelf plan “{name}” holds since the search is taken for “{corrected}”.
        </p>
      ))}
      {why.narrowed.map((text) => (
        <p key={text} className="mt-2">
          “{text}” narrowed the results, and was not looked for as words.
        </p>
      ))}
      {why.words.length === 0 && !why.exactSku && why.start === 0 && (
        <p className="mt-2 text-soft">No words of the search were looked for in it, so it has no match of its own.</p>
      )}
      {why.closeCall && why.closeCall.signals.length > 0 && <CloseCall closeCall={why.closeCall} score={why.score} />}
    </div>
  );
}

function WordLines({ word, best, also, close }: Omit<Why['words'][number], 'share'> & { close(): void }) {
  return (
    <>
      <FoundWords word={word} found={best} isAlso={false} close={close} />
      {also && also.points > 0 && <FoundWords word={word} found={also} isAlso close={close} />}
    </>
  );
}

/** What a factor comes from, leading there. */
function SourceName({ source, close }: { readonly source: Why['pulls'][number]; close(): void }) {
  if (source.from === 'boost') return 'Its own boost in the catalog';
  const [what, screen] = source.from === 'plan' ? ['Shelf plan', 'plans'] : ['House rule', 'house-rules'];
  return (
    <Link
      to={`/${screen}/${encodeURIComponent(source.id)}`}
      onClick={close}
      className="hover:text-press hover:underline"
    >
      {what} “{source.name}”
    </Link>
  );
}

/** The plans told of that hold only for what the search was corrected to, each once. */
function heldAsCorrected({ pulls, first, pin, takenFor, sortedByPlan }: Why) {
  const told = [pin, first, takenFor, sortedByPlan, ...pulls].filter((source) => source?.corrected !== undefined);
  return [...new Map(told.map((source) => [source!.id, source!])).values()];
}

function whatPutItThere(why: Why): string {
  if (why.first?.from === 'collection') return `It stands first in the collection “${why.first.name}”.`;
  if (why.first?.from === 'begin') return 'It stands first before any search, as the results page says.';
  if (why.first) return `The shelf plan “${why.first.name}” puts it first.`;
  if (why.pin) return `The shelf plan “${why.pin.name}” pins it at place ${why.pin.place}.`;
  if (why.sortedByPlan) return `The shelf plan “${why.sortedByPlan.name}” gives the results an order of their own.`;
  if (why.ahead) return `It is in the collection “${why.ahead.name}”, which stands first before any search.`;
  if (why.begins)
    return why.sorted?.label
      ? `Before any search products stand by ${why.sorted.label}.`
      : 'Before any search products are shuffled, anew each day.';
  if (why.sorted) return `The shopper sorted by ${why.sorted.label}.`;
  if (why.exactSku) return 'An exact part number stands first.';
  const { closeCall } = why;
  if (!closeCall) return '';
  if (why.afterStock && closeCall.decidedBy === null) return 'It is sold out, and stands after everything in stock.';
  if (closeCall.decidedBy === null)
    return why.pulls.length > 0 ? 'Its score after boosts put it there.' : 'Its score put it there.';
  const signal = closeCall.signals.find(({ attribute }) => attribute === closeCall.decidedBy);
  return signal
    ? `It was too close to call with the product before it; ${signal.label} decided.`
    : 'It was too close to call with the product before it, and all tie-breakers were equal; the id decided.';
}

type Signal = NonNullable<Why['closeCall']>['signals'][number];

/** A tie-breaker's value as a merchandiser reads it; dates are kept as days since 1970. */
function signalInWords({ attribute, value, how }: Signal): string {
  if (value === null) return 'unknown';
  if (how === 'enough') return value === 1 ? 'enough' : 'low';
  if (how === 'newness') return `${value}% new`;
  if (how === 'pulled') return `${value.toFixed(2)} with the average added`;
  if (attribute === 'margin') return percent(value);
  if (attribute === 'availability') return value === 1 ? 'in stock' : 'sold out';
  if (attribute === 'date_added') return day(value * 86_400_000);
  return count(value);
}

function directionInWords({ attribute, direction, how }: Signal): string {
  if (how === 'enough') return direction === 'high' ? 'enough first' : 'low stock first';
  if (attribute !== 'availability') return `${direction} first`;
  return direction === 'high' ? 'in stock first' : 'sold out first';
}

function CloseCall({
  closeCall,
  score,
}: {
  readonly closeCall: NonNullable<Why['closeCall']>;
  readonly score: number;
}) {
  const points = usePoints();
  const behind = points(closeCall.leader - score);
  // What rounds to nothing is nothing to tell.
  const isBehind = Number(behind) > 0;
  return (
    <section className="mt-4">
      <h3 className="font-display font-semibold">Close call</h3>
      <p className="text-[13px] text-soft">
        The best product of its group has {points(closeCall.leader)} points. Products within {points(closeCall.width)}{' '}
        points of it are treated as equally relevant
        {isBehind && ` (this one is ${behind} behind)`}. Ties are decided by, in this order:
      </p>
      <ol className="mt-1.5 flex flex-wrap gap-2">
        {closeCall.signals.map((signal) => (
          <li
            key={`${signal.attribute} ${signal.how}`}
            className="rounded-t-md border-edge border-b-[3px] bg-paper px-2.5 py-1 text-[13px]"
          >
            {signal.label} <b className="font-semibold">{signalInWords(signal)}</b>{' '}
            <span className="text-soft">{directionInWords(signal)}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
