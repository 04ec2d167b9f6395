import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { ConflictRow } from '../../../../api/storefrontEndpoints.ts';
import type { MergeSide } from '../../../../core/setup/mergeValues.ts';
import { liveOf, nameOf, readName } from '../../../../core/setup/setupRef.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { mergeFrom } from '../../state/merging.ts';
import { usePlace } from '../../state/place.ts';
import { useShopWindow } from '../../state/shopWindow.ts';
import { useDrafts } from '../../state/storefronts.ts';

/** What is merged in, as it stands within a sentence. */
function useSourceName(from: string): string {
  const { storefront } = usePlace();
  const { release } = useDeskState();
  const { data } = useDrafts();
  const ref = readName(storefront, from);
  if (!ref) return 'another setup';
  if ('draft' in ref) return `“${data?.drafts.find(({ id }) => id === ref.draft)?.name ?? ref.draft}”`;
  return `release ${ref.release === 'live' ? (release?.number ?? '') : ref.release}`;
}

/** One setup merged into the draft: what it brings, and one question for whatever both changed. */
export function Merge() {
  const { storefront } = usePlace();
  const [parameters] = useSearchParams();
  const from = parameters.get('from') ?? nameOf(liveOf(storefront));
  const { revision, draft } = useDeskState();
  const source = useSourceName(from);
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'merge', from, revision],
    queryFn: ({ signal }) => call('mergePreview', { query: { from }, signal }),
  });
  const [answers, setAnswers] = useState<ReadonlyMap<string, MergeSide>>(new Map());
  const [isBusy, setBusy] = useState(false);
  const go = useNavigate();
  const open = data?.conflicts.filter(({ id }) => !answers.has(id)).length ?? 0;
  const settle = async (): Promise<void> => {
    setBusy(true);
    const isDone = await mergeFrom(from, data!.revision, answers);
    setBusy(false);
    if (!isDone) return;
    toast.success(`Merged into ${draft.name}`, { description: 'One undo takes all of it back.' });
    void go('/drafts');
  };
  const isNothing = data && data.changes.length === 0 && data.conflicts.length === 0 && !draft.isBehind;
  return (
    <>
      <Link to="/drafts" className="mb-1 inline-flex text-[13px] text-press hover:underline">
        All drafts
      </Link>
      <ScreenHead title="Merge">
        What {source} changed goes into the draft you work in, {draft.name}, in one step. Nothing is changed before
        every question is answered.
      </ScreenHead>
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what="Comparing the two" />
      ) : isNothing ? (
        <Nothing>There is nothing to merge: {draft.name} has all of it already.</Nothing>
      ) : (
        <>
          {data.conflicts.length > 0 && (
            <Section
              title="Both changed"
              note={
                open > 0
                  ? `${counted(open, 'question')} left. Say for each which of the two holds.`
                  : 'Every question is answered.'
              }
            >
              <ul className="space-y-2">
                {data.conflicts.map((conflict) => (
                  <Question
                    key={conflict.id}
                    conflict={conflict}
                    source={source}
                    from={from}
                    answer={answers.get(conflict.id) ?? null}
                    choose={(side) => setAnswers(new Map(answers).set(conflict.id, side))}
                  />
                ))}
              </ul>
            </Section>
          )}
          <Section
            title={data.changes.length === 0 ? 'Nothing else changes' : `Comes in without a question`}
            note={data.changes.length === 0 ? undefined : counted(data.changes.length, 'change')}
          >
            {data.changes.length > 0 && (
              <ul className="max-h-[320px] space-y-1 overflow-y-auto rounded-lg bg-surface px-3 py-2 text-[13.5px]">
                {data.changes.map(({ part, key, sentences }) =>
                  sentences.map((sentence) => <li key={`${part}/${key}/${sentence}`}>{sentence}.</li>),
                )}
              </ul>
            )}
          </Section>
          <div className="mt-4 flex justify-end">
            <Button tone="strong" disabled={isBusy || open > 0} onClick={() => void settle()}>
              {open > 0 ? `Merge, after ${counted(open, 'answer')}` : 'Merge'}
            </Button>
          </div>
        </>
      )}
    </>
  );
}

function Question({
  conflict,
  source,
  from,
  answer,
  choose,
}: {
  readonly conflict: ConflictRow;
  readonly source: string;
  readonly from: string;
  readonly answer: MergeSide | null;
  choose(side: MergeSide): void;
}) {
  const { draft } = useDeskState();
  const show = useShopWindow((state) => state.show);
  // The window shows this draft again when the screen is left.
  useEffect(() => () => show(null), [show]);
  const side = (which: MergeSide, name: string, sentences: readonly string[]) => (
    <label
      className={`flex flex-1 basis-56 cursor-pointer items-start gap-2 rounded-md border p-2.5 ${answer === which ? 'border-press bg-press-soft' : 'hover:border-edge'}`}
    >
      <input
        type="radio"
        name={conflict.id}
        className="mt-1"
        checked={answer === which}
        onChange={() => {
          choose(which);
          show(which === 'ours' ? null : from);
        }}
      />
      <span className="min-w-0">
        <span className="block font-semibold text-[13px]">{name}</span>
        {sentences.map((sentence) => (
          <span key={sentence} className="block break-words">
            {sentence}.
          </span>
        ))}
        {sentences.length === 0 && <span className="block text-soft">Says nothing of it.</span>}
      </span>
    </label>
  );
  return (
    <li>
      <fieldset className="rounded-lg border bg-surface p-3">
        <legend className="px-1 text-[13px] text-soft">
          {conflict.reason ?? 'Both changed the same, each to something else.'}
        </legend>
        <div className="flex flex-wrap gap-2">
          {side('ours', draft.name, conflict.ours)}
          {side('theirs', source.replace(/^r/, 'R'), conflict.theirs)}
        </div>
      </fieldset>
    </li>
  );
}
