import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { LadderTrial, ReachedSearches } from '../../../../core/compare/ladderTrial.ts';
import { type Rung, rungTexts, switchedRungs } from '../../../../core/setup/terms/ladderTerms.ts';
import { usualSpelling } from '../../../../core/setup/terms/usualValues.ts';
import { call } from '../../../client/call.ts';
import { movedTo } from '../../../look/movedTo.ts';
import { counted } from '../../../look/price.ts';
import { Switch } from '../../parts/Controls.tsx';
import { LoadProblem, Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { TrySearch } from '../../parts/TrySearch.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { rescuedInWords, stepChange } from './ladderInWords.ts';

/** The steps a search takes that finds nothing as it was typed: their order, which are on, and what each did for the log. */
export function LadderSteps() {
  const { setup, revision } = useDeskState();
  const { ladder } = setup.emptyShelf;
  const { spelling } = setup.relevance;
  const isChanged = useItemChanged('emptyShelf', 'ladder');
  const { data, error, isFetching, refetch } = useQuery({
    queryKey: ['desk', 'ladderTrial', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('ladderTrial', { signal }),
  });
  const corrects = spelling.tolerance && (spelling.atOnce ?? usualSpelling.atOnce);
  const isOn = (rung: Rung): boolean =>
    rung === 'spelling' ? corrects : !(ladder.off as readonly Rung[]).includes(rung);
  const save = (change: Partial<typeof ladder>): void =>
    void edit({ part: 'emptyShelf', key: 'ladder', value: { ...ladder, ...change } });
  const turn = (rung: Rung, on: boolean): void => {
    if (rung === 'spelling')
      void edit({
        part: 'relevance',
        key: 'spelling',
        value: { ...spelling, atOnce: on, ...(on && { tolerance: true }) },
      });
    else save({ off: switchedRungs.filter((each) => (each === rung ? !on : ladder.off.includes(each))) });
  };
  const isOffIn = (entry: unknown, rung: Rung): unknown =>
    (entry as { off?: readonly string[] } | null)?.off?.includes(rung) ?? false;
  return (
    <>
      <Section
        title="Steps, in this order"
        note="A search is first looked for as it was typed. Where nothing has its words, each step is allowed besides those above it, until something is found. The shopper is told, and can search for just what was typed."
      >
        <SortableList
          label="Steps, in order"
          items={ladder.order.map((rung) => ({ id: rung, name: rungTexts[rung].name }))}
          move={(_, from, to) => save({ order: [...movedTo(ladder.order, from, to)] as Rung[] })}
        >
          {({ id: rung, name }, grip) => (
            <div
              className={`${shelfRow(isChanged((entry) => isOffIn(entry, rung as Rung)))} mb-[5px] flex items-start gap-2 py-1.5 pr-2 pl-2`}
            >
              <span className="pt-0.5">{grip}</span>
              <span className={`min-w-0 flex-1 ${isOn(rung as Rung) ? '' : 'opacity-70'}`}>
                <b className="block font-semibold">{name}</b>
                <span className="block text-[13px] text-soft">
                  {rungTexts[rung as Rung].does}
                  {rung === 'spelling' && (
                    <>
                      {' '}
                      (<Link to="/vocabulary/spelling">how far</Link>)
                    </>
                  )}
                </span>
                {data && data.draft.looked > 0 && <Rescued trial={data.draft} live={data.live} rung={rung as Rung} />}
              </span>
              <Switch label={`${name} on`} isOn={isOn(rung as Rung)} change={(on) => turn(rung as Rung, on)} />
            </div>
          )}
        </SortableList>
        <p className="mt-2 text-[13px] text-soft">
          Synonyms and corrected spelling at the top count in every search. Below another step they are only tried where
          nothing was found without them.
        </p>
      </Section>
      <Section title="What becomes of your shoppers’ searches">
        {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
        {!data && !error && <p role="status">Sending the searches made most up the steps …</p>}
        {data && <Outcome {...data} isFetching={isFetching} />}
      </Section>
    </>
  );
}

const stepOf = ({ steps }: LadderTrial, reached: ReachedSearches['reached']): ReachedSearches | undefined =>
  steps.find((each) => each.reached === reached);

function Rescued({
  trial,
  live,
  rung,
}: {
  readonly trial: LadderTrial;
  readonly live: LadderTrial;
  readonly rung: Rung;
}) {
  const step = stepOf(trial, rung);
  return (
    <span className="mt-0.5 block text-[13px]">
      {rescuedInWords(rung, step)}
      {stepChange(step, stepOf(live, rung)) && <b className="font-semibold"> {stepChange(step, stepOf(live, rung))}</b>}
      {step && (
        <span className="mt-0.5 flex flex-wrap gap-x-2.5 gap-y-0.5">
          {step.examples.slice(0, 4).map(({ search: text, instead }) => (
            <TrySearch key={text} search={text}>
              {text}
              {instead !== null && instead !== text && <span className="text-soft"> → {instead}</span>}
            </TrySearch>
          ))}
        </span>
      )}
    </span>
  );
}

function Outcome({
  draft,
  live,
  isFetching,
}: {
  readonly draft: LadderTrial;
  readonly live: LadderTrial;
  readonly isFetching: boolean;
}) {
  if (draft.looked === 0)
    return <p className="text-[13.5px] text-soft">There is no shopper log yet to try the steps on.</p>;
  const [itself, nowhere] = [stepOf(draft, 'itself'), stepOf(draft, 'nowhere')];
  const share = (times = 0): string => `${Math.round((times / draft.times) * 1000) / 10}%`;
  return (
    <div role="status" className="rounded-lg bg-press-soft px-3.5 py-2 text-[13.5px]">
      Of the {counted(draft.looked, 'search', 'searches')} made most, {share(itself?.times)} find something as typed, by
      how often they are made; the steps help {share(draft.times - (itself?.times ?? 0) - (nowhere?.times ?? 0))};{' '}
      {share(nowhere?.times)} still find nothing. {stepChange(nowhere, stepOf(live, 'nowhere'))}
      {isFetching && ' Trying them again …'}
      {nowhere && (
        <span className="mt-1 flex flex-wrap gap-x-2.5 gap-y-0.5">
          {nowhere.examples.map(({ search: text, times }) => (
            <TrySearch key={text} search={text}>
              {text} <span className="text-soft">{times}×</span>
            </TrySearch>
          ))}
        </span>
      )}
    </div>
  );
}
