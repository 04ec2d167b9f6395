import type { Demand } from '../demand/logEntry.ts';
import { corrected, weak } from '../query/understand.ts';
import type { MatchKind } from '../scoring/formula.ts';
import { type Climbed, climb } from '../search/climb.ts';
import { correctionsOf } from '../search/correctedReading.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import type { Rung } from '../setup/terms/ladderTerms.ts';

/** How far a search goes: found as it was typed, by the step that was needed last, or not at all. */
export type Reached = Rung | 'itself' | 'nowhere';

/** What comes of the searches of a log at one step. */
export interface ReachedSearches {
  readonly reached: Reached;
  /** Different searches, how often they were made, and how often one was clicked after. */
  readonly searches: number;
  readonly times: number;
  readonly clicked: number;
  /** Those made most, each with what was looked for instead, where something was. */
  readonly examples: readonly { readonly search: string; readonly times: number; readonly instead: string | null }[];
}
export interface LadderTrial {
  /** Different searches tried, and how often they were made. */
  readonly looked: number;
  readonly times: number;
  readonly steps: readonly ReachedSearches[];
}

const mostExamples = 6;

/** The step that a search needed last. */
export function reachedBy({ snapshot }: Pick<Engine, 'snapshot'>, { ranking, near, isOutside }: Climbed): Reached {
  const { foundAny, effects, loosened, dropped, words, isBrowsing } = ranking;
  if (!foundAny && !isBrowsing) return effects.some(({ what }) => what === 'redirect') ? 'itself' : 'nowhere';
  if (isOutside) return 'wholeShop';
  if (near) return 'meaning';
  if (loosened.length > 0) return 'filters';
  if (dropped.length > 0) return 'words';
  if (correctionsOf(snapshot, words).length > 0) return 'spelling';
  const isOwn = (how: MatchKind): boolean => how !== 'synonym' && !corrected.has(how) && !weak.has(how);
  return words.some(({ expansions }) => expansions.length > 0 && !expansions.some(({ how }) => isOwn(how)))
    ? 'synonyms'
    : 'itself';
}

/** Sends the searches of a log up the ladder. Cost: a search each, without cards and counts. */
export function tryLadder(
  engine: Engine,
  prepared: PreparedSetup,
  demand: readonly Pick<Demand, 'search' | 'searches' | 'clicked'>[],
): LadderTrial {
  const steps = new Map<
    Reached,
    { searches: number; times: number; clicked: number; examples: ReachedSearches['examples'][number][] }
  >();
  let times = 0;
  for (const { search, searches, clicked } of demand) {
    const climbed = climb(engine, prepared, { query: search, filters: {}, page: 1, limit: 1 }, 1);
    const reached = reachedBy(engine, climbed);
    const step = steps.get(reached) ?? { searches: 0, times: 0, clicked: 0, examples: [] };
    steps.set(reached, step);
    times += searches;
    step.searches++;
    step.times += searches;
    step.clicked += clicked;
    const { near, ranking } = climbed;
    const corrections = new Map(correctionsOf(engine.snapshot, ranking.words).map(({ from, to }) => [from, to]));
    const instead =
      near?.text ??
      (reached === 'spelling'
        ? [...corrections.values()].join(' ')
        : reached === 'words'
          ? ranking.words.map(({ text }) => text).join(' ')
          : null);
    if (step.examples.length < mostExamples) step.examples.push({ search, times: searches, instead });
  }
  return {
    looked: demand.length,
    times,
    steps: [...steps].map(([reached, step]) => ({ reached, ...step })),
  };
}
