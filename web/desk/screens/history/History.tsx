import { useInfiniteQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { HistoryRow } from '../../../../api/historyEndpoints.ts';
import { filePaths } from '../../../../api/paths.ts';
import type { SetupPart } from '../../../../core/setup/registry.ts';
import { addressOf, call } from '../../../client/call.ts';
import { ago, dayAndTime } from '../../../look/dates.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { DayField } from '../../parts/DayField.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, shelfRow } from '../../parts/Screen.tsx';
import { partNames } from '../../shell/ChangeList.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { takeStepBack } from '../../state/edits.ts';
import { KeptFor } from './KeptFor.tsx';

interface Sought {
  readonly of: 'draft' | 'storefront';
  readonly who: string;
  readonly part: SetupPart | '';
  readonly product: string;
  /** A day as `2026-11-28`: nothing that was done after it. Empty: until now. */
  readonly until: string;
}

/** Where the history of a day begins, read backwards: with all that was done before the next one. */
function endOf(day: string): string | undefined {
  const [year, month, date] = day.split('-').map(Number);
  if (!year || !month || !date) return undefined;
  return `${new Date(year, month - 1, date + 1).getTime()}/-999999999`;
}

const everything: Sought = { of: 'storefront', who: '', part: '', product: '', until: '' };

/** The parts of a setup as the desk calls them; those that share a name are one choice. */
const parts = Object.entries(partNames) as [SetupPart, string][];

/** Watch: everything anybody did, and a way back from each of it. */
export function History() {
  const [sought, setSought] = useState(everything);
  const { draft, revision } = useDeskState();
  const { part, until, ...others } = sought;
  const query = { ...others, ...(part && { part }) };
  const { data, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['desk', 'history', sought, revision],
    initialPageParam: endOf(until),
    queryFn: ({ signal, pageParam }) =>
      call('history', { query: { ...query, ...(pageParam && { before: pageParam }) }, signal }),
    getNextPageParam: ({ next }) => next ?? undefined,
    placeholderData: (before) => before,
  });
  const people = data?.pages[0]?.people ?? [];
  const steps = data?.pages.flatMap((page) => page.steps) ?? [];
  const file = new URLSearchParams(Object.entries(query).filter(([, value]) => value !== ''));
  const beginning = endOf(until);
  if (beginning) file.set('before', beginning);
  return (
    <>
      <ScreenHead
        title="History"
        aside={
          <a
            href={`${addressOf(filePaths.history)}?${file}`}
            download
            className="inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3.5 py-[6.5px] font-semibold hover:border-edge"
          >
            <Download size={15} aria-hidden />
            Export
          </a>
        }
      >
        Everything anybody did here, newest first. Any step of the draft you work in can be undone, however long ago it
        was.
      </ScreenHead>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <Choice
          label="Where it was done"
          value={sought.of}
          options={[
            ['storefront', 'In every draft'],
            ['draft', `In ${draft.name}`],
          ]}
          change={(of) => setSought({ ...sought, of })}
        />
        <Choice
          label="Who did it"
          value={sought.who}
          options={[['', 'By anybody'], ...people.map((name) => [name, `By ${name}`] as const)]}
          change={(who) => setSought({ ...sought, who })}
        />
        <Choice
          label="What it was about"
          value={sought.part}
          options={[['', 'About anything'], ...parts.map(([key, name]) => [key, name] as const)]}
          change={(to) => setSought({ ...sought, part: to })}
        />
        <TextField
          label="Which product it named, by its id"
          placeholder="product’s id"
          className="w-[130px]"
          mayBeEmpty
          value={sought.product}
          change={(product) => setSought({ ...sought, product })}
        />
        <span className="inline-flex items-center gap-1.5 text-[13px] text-soft">
          until
          <DayField label="Until which day" value={until} change={(to) => setSought({ ...sought, until: to })} />
        </span>
      </div>
      {data && <KeptFor days={data.pages[0]!.keptDays} />}
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what="Reading the history" />
      ) : steps.length === 0 ? (
        <Nothing>Nobody has done such a thing here.</Nothing>
      ) : (
        <ol className="space-y-[5px]">
          {steps.map((step) => (
            <Step key={step.id} step={step} />
          ))}
        </ol>
      )}
      {hasNextPage && (
        <div className="mt-3 flex justify-center">
          <Button disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
            {isFetchingNextPage ? 'Reading …' : 'Show earlier ones'}
          </Button>
        </div>
      )}
    </>
  );
}

const did = { edit: '', undo: 'undid', redo: 'redid', release: 'published' } as const;

function Step({ step }: { readonly step: HistoryRow }) {
  const { id, at, who, kind, draftName, isHere, source, note, sentences, more } = step;
  const when = new Date(at);
  const what = source ? `merged ${source.replace(/^(draft|release):/, '$1 ')}` : did[kind];
  const takeBack = async (): Promise<void> => {
    if (await takeStepBack(id)) toast('Undone', { description: sentences[0] ?? null });
  };
  return (
    <li className={`${shelfRow(false)} px-3 py-2`}>
      <div className="flex flex-wrap items-center gap-x-2 text-[12.5px] text-soft">
        <span className="font-semibold text-ink text-[13.5px]">{who}</span>
        {what && <span>{kind === 'release' ? `${what} release ${-id}` : what}</span>}
        {draftName && <span>in {draftName}</span>}
        <span className="ml-auto" title={dayAndTime(when)}>
          {ago(when)}
        </span>
      </div>
      {note && <p>{note}</p>}
      <ul className="max-h-[220px] overflow-y-auto">
        {sentences.map((sentence) => (
          <li key={sentence} className="break-words">
            {sentence}.
          </li>
        ))}
        {more > 0 && <li className="text-soft">And {more} more.</li>}
      </ul>
      {isHere && kind !== 'release' && (
        <Button tone="quiet" className="mt-0.5 -ml-2 px-2 py-0.5 text-[13px]" onClick={() => void takeBack()}>
          Undo this<span className="sr-only">: {sentences[0]}</span>
        </Button>
      )}
    </li>
  );
}
