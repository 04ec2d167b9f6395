import { useQuery } from '@tanstack/react-query';
import type { DeadEndRow, RemedyRow } from '../../../../api/deadEndEndpoints.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { LoadProblem, shelfRow } from '../../parts/Screen.tsx';
import { TrySearch } from '../../parts/TrySearch.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { useTrial } from '../../state/trial.ts';
import { deadEndInWords, reachInWords, seenInWords } from './deadEndInWords.ts';

/** A search that leads nowhere; opened, with what would mend it, each tried out. */
export function DeadEndItem({
  deadEnd,
  isOpen,
  toggle,
  chosen,
  choose,
  mend,
}: {
  readonly deadEnd: DeadEndRow;
  readonly isOpen: boolean;
  toggle(): void;
  /** The remedy that is to be taken with others; null where none is. */
  readonly chosen: string | null;
  choose(id: string | null): void;
  mend(id: string): Promise<void>;
}) {
  const search = useTrial((state) => state.search);
  const { search: text } = deadEnd;
  return (
    <div className={`${shelfRow(false)} w-full py-1.5 pr-2 pl-3`}>
      <div className="flex flex-wrap items-center gap-x-2.5">
        <TrySearch search={text} className="min-w-0 max-w-full truncate text-left font-semibold" />
        <span className="min-w-0 flex-1 text-[13px] text-soft">
          {deadEndInWords(deadEnd)}
          {deadEnd.also.length > 0 && (
            <span title={deadEnd.also.join(', ')}> · typed {deadEnd.also.length + 1} ways</span>
          )}
          {chosen !== null && !isOpen && <b className="font-semibold text-ink"> · chosen</b>}
        </span>
        <Button
          tone="quiet"
          className="px-2 text-[13px]"
          aria-expanded={isOpen}
          aria-label={`What would mend ${text}`}
          onClick={() => {
            if (!isOpen) search(text);
            toggle();
          }}
        >
          {isOpen ? 'Close' : 'What would mend it'}
        </Button>
      </div>
      {isOpen && <Remedies text={text} {...{ chosen, choose, mend }} />}
    </div>
  );
}

function Remedies({
  text,
  chosen,
  choose,
  mend,
}: {
  readonly text: string;
  readonly chosen: string | null;
  choose(id: string | null): void;
  mend(id: string): Promise<void>;
}) {
  const { revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'remedies', text, revision],
    queryFn: ({ signal }) => call('remedies', { query: { q: text }, signal }),
  });
  if (error) return <LoadProblem error={error} again={() => void refetch()} />;
  if (!data)
    return (
      <p role="status" className="mt-1.5 border-t pt-2 pb-1 text-[13px] text-soft">
        Trying out what would mend it …
      </p>
    );
  if (data.remedies.length === 0)
    return (
      <p className="mt-1.5 border-t pt-2 pb-1 text-[13px] text-soft">
        Nothing that was tried out mends it. You can say what it means below the shop window.
      </p>
    );
  return (
    <ul aria-label={`What would mend ${text}`} className="mt-1.5 divide-y divide-line border-t">
      {data.remedies.map((remedy) => (
        <li key={remedy.id} className="py-2">
          <Remedy
            remedy={remedy}
            isChosen={chosen === remedy.id}
            choose={(isChosen) => choose(isChosen ? remedy.id : null)}
            mend={() => void mend(remedy.id)}
          />
        </li>
      ))}
    </ul>
  );
}

function Remedy({
  remedy,
  isChosen,
  choose,
  mend,
}: {
  readonly remedy: RemedyRow;
  readonly isChosen: boolean;
  choose(isChosen: boolean): void;
  mend(): void;
}) {
  return (
    <div className="flex items-start gap-2.5">
      <div className="min-w-0 flex-1 text-[13px]">
        <b className="block font-semibold text-[13.5px]">{remedy.title}</b>
        <span className="block">{seenInWords(remedy)}</span>
        <span className="block text-soft">{reachInWords(remedy)}</span>
      </div>
      <label className="flex min-h-6 shrink-0 items-center gap-1.5 pt-1 text-[13px]">
        <input
          type="checkbox"
          aria-label={`Select: ${remedy.title}`}
          checked={isChosen}
          onChange={({ target }) => choose(target.checked)}
        />
        Select
      </label>
      <Button className="shrink-0 px-2.5 py-1 text-[13px]" aria-label={`Mend: ${remedy.title}`} onClick={mend}>
        Mend
      </Button>
    </div>
  );
}
