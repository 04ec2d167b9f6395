import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ProposalRow } from '../../../../api/proposalEndpoints.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { knownState, useDeskState } from '../../state/deskState.ts';
import { act, step } from '../../state/edits.ts';
import { clientHere } from '../../state/queryClient.ts';
import { effectText } from './effectText.ts';
import { Guide } from './Guide.tsx';

interface Proposed {
  readonly proposals: readonly ProposalRow[];
  readonly declined: number;
  readonly isComplete: boolean;
  readonly done: number;
  readonly of: number;
}
/** While proposals are worked out, the next ones are asked for, in milliseconds. */
const askAgainAfter = 400;
const proposalsKey = ['desk', 'proposals'] as const;
/** What is proposed depends on the draft: undo brings back what was accepted. */
const keyAt = (revision: number) => [...proposalsKey, revision] as const;
/** What is worked out so far; what was there before stays below it until all is. */
async function readProposals(revision: number, signal: AbortSignal): Promise<Proposed> {
  const fresh = await call('proposals', { signal });
  if (fresh.isComplete) return fresh;
  const known = clientHere().getQueryData<Proposed>(keyAt(revision))?.proposals ?? [];
  const ids = new Set(fresh.proposals.map(({ id }) => id));
  return { ...fresh, proposals: [...fresh.proposals, ...known.filter(({ id }) => !ids.has(id))] };
}

const groups = [
  ['attribute', 'What the search reads'],
  ['weights', 'How much attributes count'],
  ['filter', 'Filters beside the results'],
  ['tieBreaker', 'Tie-breakers'],
  ['stopWords', 'Stop words'],
  ['synonyms', 'Synonyms'],
  ['phrases', 'Phrases'],
  ['neverCorrected', 'Never correct these words'],
] as const;

/** Stock, last screen: what the application proposes for the catalog, each with its reason and its effect. */
export function Proposals() {
  const { revision } = useDeskState();
  const { data, error, refetch, isFetching } = useQuery({
    queryKey: keyAt(revision),
    queryFn: ({ signal }) => readProposals(revision, signal),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.isComplete === false ? askAgainAfter : false),
  });
  const [leaving, setLeaving] = useState<ReadonlySet<string>>(new Set());
  /** What is being decided is out of the list from the click on; where that is refused, it is back. */
  const decide: Decide = async (ids, work) => {
    setLeaving((those) => new Set([...those, ...ids]));
    try {
      await work();
    } catch (problem) {
      toast.error('This was not saved', { description: (problem as Error).message });
    } finally {
      setLeaving((those) => new Set([...those].filter((id) => !ids.includes(id))));
    }
  };
  const proposals = data?.proposals.filter(({ id }) => !leaving.has(id));
  const open = proposals?.filter(({ withheld }) => withheld === null).length ?? 0;
  return (
    <>
      <ScreenHead title="Proposals">
        What your setup could do for this catalog and does not do yet. Nothing changes until you accept a proposal, and
        then it is in the draft first.
      </ScreenHead>
      <Guide open={data?.isComplete ? open : open || null} />
      {error && !data && <LoadProblem error={error} again={refetch} />}
      {!data && !error && <Loading what="Working out what each proposal would change" />}
      {data && proposals && (
        <List
          {...data}
          proposals={proposals}
          decide={decide}
          isBusy={isFetching || !data.isComplete || leaving.size > 0}
        />
      )}
    </>
  );
}

/** Shows the list without what was just decided; what is left is worked out anew meanwhile. */
async function leaveOut(ids: readonly string[], from: number, to: number, declined = 0): Promise<void> {
  const known = clientHere().getQueryData<Proposed>(keyAt(from));
  if (known)
    clientHere().setQueryData<Proposed>(keyAt(to), {
      ...known,
      proposals: known.proposals.filter(({ id }) => !ids.includes(id)),
      declined: known.declined + declined,
    });
  await clientHere().invalidateQueries({ queryKey: keyAt(to) }, { cancelRefetch: false });
}

async function accept(ids: readonly string[], message: string): Promise<void> {
  let before = 0;
  const answer = await act(
    (revision) => {
      before = revision;
      return call('acceptProposals', { body: { revision, ids: [...ids] } });
    },
    (state) => state,
  );
  if (!answer) return;
  toast(message, {
    description: 'In the draft, not yet published.',
    action: { label: 'Undo', onClick: () => void step('undo') },
  });
  await leaveOut(ids, before, answer.revision);
}

async function decline(id: string | null): Promise<void> {
  const { revision } = knownState()!;
  await call('declineProposal', { body: { id } });
  if (id === null) await clientHere().invalidateQueries({ queryKey: proposalsKey });
  else await leaveOut([id], revision, revision, 1);
}

type Decide = (ids: readonly string[], work: () => Promise<void>) => Promise<void>;
interface ListProps extends Proposed {
  readonly decide: Decide;
  /** What each would change is being worked out anew. */
  readonly isBusy: boolean;
}

function List({ proposals, declined, decide, isBusy, isComplete, done, of }: ListProps) {
  const open = proposals.filter(({ withheld }) => withheld === null);
  const sure = open.filter(({ isSure }) => isSure);
  const unsure = open.filter(({ isSure }) => !isSure);
  const withheld = proposals.filter((each) => each.withheld !== null);
  const again = declined > 0 && (
    <button type="button" className="text-[13px] text-press hover:underline" onClick={() => void decline(null)}>
      Show {counted(declined, 'declined proposal')} again
    </button>
  );
  if (open.length === 0 && withheld.length === 0 && !isComplete)
    return <Loading what="Working out what each proposal would change" />;
  if (open.length === 0 && withheld.length === 0)
    return (
      <>
        <Nothing>
          Your setup uses all that the catalog is good for. When the next catalog comes in, what is new in it is
          proposed here.
        </Nothing>
        <p className="mt-2">{again}</p>
      </>
    );
  return (
    <>
      <div className="mb-2 flex items-center gap-3">
        {sure.length > 0 && (
          <Button
            tone="strong"
            onClick={() => {
              const ids = sure.map(({ id }) => id);
              document.getElementById('screen')?.focus();
              void decide(ids, () => accept(ids, `${counted(sure.length, 'proposal')} accepted`));
            }}
          >
            Accept {sure.length === open.length ? 'all' : 'the'} {count(sure.length)}
            {sure.length < open.length && ' with strong evidence'}
          </Button>
        )}
        <p role="status" className="text-[13px] text-soft">
          {isBusy && !isComplete && of > 0
            ? `Working out what each would change: ${count(done)} of ${count(of)} so far …`
            : isBusy && 'Working out what the others would change now …'}
        </p>
      </div>
      <Grouped proposals={sure} decide={decide} />
      {unsure.length > 0 && (
        <section aria-label="Worth a look" className="mt-8 border-t pt-4">
          <h2 className="font-display font-semibold text-[19px]">Worth a look</h2>
          <p className="text-[13px] text-soft">
            The evidence for these is likeness (of words, of the places they stand in, of colours), or searches made up
            from your catalog. Accept them one by one.
          </p>
          <div className="mt-3">
            <Grouped proposals={unsure} decide={decide} />
          </div>
        </section>
      )}
      {withheld.length > 0 && (
        <details className="mt-5">
          <summary className="cursor-pointer text-[13px] text-press">
            {counted(withheld.length, 'proposal')} withheld, because they would not help
          </summary>
          <ul className="mt-2 space-y-[5px]">
            {withheld.map((proposal) => (
              <Row key={proposal.id} proposal={proposal} decide={decide} />
            ))}
          </ul>
        </details>
      )}
      <p className="mt-3">{again}</p>
    </>
  );
}

function Grouped({ proposals, decide }: { readonly proposals: readonly ProposalRow[]; readonly decide: Decide }) {
  return groups.map(([kind, title]) => {
    const own = proposals.filter((each) => each.kind === kind);
    return (
      own.length > 0 && (
        <Section key={kind} title={title}>
          <ul className="space-y-[5px]">
            {own.map((proposal) => (
              <Row key={proposal.id} proposal={proposal} decide={decide} />
            ))}
          </ul>
        </Section>
      )
    );
  });
}

/** Whoever works by keyboard goes on with the same button of the row that comes next, since the one decided is gone. */
function goOn(button: HTMLElement): void {
  const row = button.closest('li');
  const buttonsIn = (element: Element | null | undefined) => [...(element?.querySelectorAll('button') ?? [])];
  const at = buttonsIn(row).indexOf(button as HTMLButtonElement);
  const next = buttonsIn(row?.nextElementSibling ?? row?.previousElementSibling)[at];
  (next ?? document.getElementById('screen'))?.focus();
}

function Row({ proposal, decide }: { readonly proposal: ProposalRow; readonly decide: Decide }) {
  const { id, title, reason, withheld } = proposal;
  return (
    <li className={`${shelfRow(false)} px-3 py-2`}>
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <p className="font-semibold">{title}</p>
          <p className="text-[13px] text-soft">{reason}</p>
          <p className="text-[13px]">{withheld ?? effectText(proposal)}</p>
        </div>
        <div className="flex shrink-0 flex-col items-stretch gap-1">
          <Button
            onClick={({ currentTarget }) => {
              goOn(currentTarget);
              void decide([id], () => accept([id], `${title}: accepted`));
            }}
          >
            Accept<span className="sr-only">: {title}</span>
          </Button>
          <Button
            tone="quiet"
            onClick={({ currentTarget }) => {
              goOn(currentTarget);
              void decide([id], () => decline(id));
            }}
          >
            Decline<span className="sr-only">: {title}</span>
          </Button>
        </div>
      </div>
    </li>
  );
}
