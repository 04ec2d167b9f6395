import { type Effect, reasonToWithhold } from '../../core/proposals/effect.ts';
import { type ProposalGroup, proposalGroups } from '../../core/proposals/proposeSetup.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { ProposalHead } from '../questions/proposalQuestions.ts';
import { requestSignal } from '../requestSignal.ts';
import type { Searcher } from './searcher.ts';

/** A proposal with what it would change. */
export interface WorkedProposal extends ProposalHead {
  readonly effect: Effect;
  readonly withheld: string | null;
}

/** Proposals as far as they are worked out. */
export interface WorkedProposals {
  readonly proposals: readonly WorkedProposal[];
  readonly isComplete: boolean;
  /** Proposals worked out, and those known to be there so far. */
  readonly done: number;
  readonly of: number;
}

/** Effects worked out in one go: few, so that other long questions come in between. */
const atOnce = 2;

/**
 * Keeps the proposals for one draft until something they depend on changes, and works them out group by group meanwhile: whoever asks
 * gets at once what is there. What is still proposed after a change keeps being shown until its effect is known anew.
 */
export interface ProposalDesk {
  /** What is there now; work begins where it has not. */
  look(): WorkedProposals;
  /** Resolves when all is worked out. */
  complete(): Promise<WorkedProposals>;
}

type Asked = Pick<Searcher, 'proposals' | 'proposalEffects'>;

interface Work {
  readonly version: string;
  readonly proposals: WorkedProposal[];
  of: number;
  isComplete: boolean;
  error: unknown;
  ended: Promise<void>;
}

/** `versionNow` changes with everything the proposals for a draft depend on. */
export function openProposalDesk(searcher: Asked, draft: DraftRef, versionNow: () => string): ProposalDesk {
  let work: Work | null = null;

  async function workOut(own: Work): Promise<void> {
    const isOutdated = (): boolean => work !== own;
    const groups: (readonly [ProposalGroup, ProposalHead[]])[] = [];
    for (const group of proposalGroups) {
      const heads = await searcher.proposals(draft, group);
      groups.push([group, heads]);
      own.of += heads.length;
      for (let at = 0; at < heads.length; at += atOnce) {
        if (isOutdated()) return;
        const stretch = heads.slice(at, at + atOnce);
        const ids = stretch.map(({ id }) => id);
        const effects = await searcher.proposalEffects(draft, group, ids);
        for (const [index, head] of stretch.entries()) {
          const effect = effects[index];
          if (effect) own.proposals.push({ ...head, effect, withheld: reasonToWithhold(head.kind, effect) });
        }
      }
    }
    own.isComplete = true;
  }
  function current(): Work {
    const version = versionNow();
    if (work?.version === version && !work.error) return work;
    const fresh: Work = { version, proposals: [], of: 0, isComplete: false, error: null, ended: Promise.resolve() };
    work = fresh;
    // It is worked out for whoever looks next, so it goes on when the client that began it has gone.
    fresh.ended = requestSignal
      .exit(() => workOut(fresh))
      .catch((error) => {
        fresh.error = error;
      });
    return fresh;
  }
  const answerOf = ({ proposals, isComplete, of }: Work): WorkedProposals => ({
    proposals: [...proposals],
    isComplete,
    done: proposals.length,
    of,
  });
  return {
    look: () => answerOf(current()),
    async complete() {
      for (;;) {
        const own = current();
        await own.ended;
        if (own.error) throw own.error;
        // What was changed meanwhile has begun another work, or will.
        if (own === current()) return answerOf(own);
      }
    },
  };
}
