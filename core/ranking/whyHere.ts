import type { Why } from '../answer.ts';
import { labelFromKey } from '../catalog/standardColumns.ts';
import type { Engine, PreparedSetup } from '../prepareSetup.ts';
import { totalPull } from '../rules/plansForSearch.ts';
import { explainMatch } from './explainMatch.ts';
import { pullsOn, type Ranking } from './rank.ts';
import { compareBySignal } from './tieBreakers.ts';

/** The tie-breaker that put a product below the one before it, where both are of one group of close calls. */
function decidingSignal(prepared: PreparedSetup, ranking: Ranking, index: number): string | null {
  const { candidate } = ranking.placed[index]!;
  const before = ranking.placed[index - 1];
  const leader = ranking.leaders.get(candidate);
  if (!before || before.pin !== null || leader === undefined || ranking.leaders.get(before.candidate) !== leader)
    return null;
  const { families, representatives } = ranking.candidates;
  const deciding = prepared.signals.find(
    (signal) =>
      compareBySignal(
        signal.direction,
        signal.valueOf(families[before.candidate]!, representatives[before.candidate]!),
        signal.valueOf(families[candidate]!, representatives[candidate]!),
      ) !== 0,
  );
  return deciding?.attribute ?? 'id';
}

/** The whole arithmetic of the product at one place (`index` from 0) of a ranking. */
export function whyHere(engine: Engine, prepared: PreparedSetup, ranking: Ranking, index: number): Why {
  const { snapshot } = engine;
  const { candidate, pin } = ranking.placed[index]!;
  const family = ranking.candidates.families[candidate]!;
  const representative = ranking.candidates.representatives[candidate]!;
  const lines = explainMatch(snapshot, prepared.setup, prepared.gains, ranking.words, representative);
  const pulls = pullsOn(engine, ranking, candidate);
  const isSku = candidate === ranking.skuCandidate;
  const leader = ranking.leaders.get(candidate);
  const labels = new Map(snapshot.attributes.map(({ key, label }) => [key, label]));
  const applied = pin === null ? null : ranking.pins[pin]!.pin;
  return {
    words: isSku ? [] : (lines?.words ?? []),
    closeness: isSku ? [] : (lines?.closeness ?? []),
    matchScore: ranking.candidates.scores[candidate]!,
    pulls: [...pulls],
    totalPull: totalPull(pulls),
    score: ranking.scores[candidate]!,
    closeCall:
      leader === undefined
        ? null
        : {
            leader,
            width: prepared.width,
            signals: prepared.signals.map((signal) => {
              const value = signal.valueOf(family, representative);
              const label = labels.get(signal.attribute) ?? labelFromKey(signal.attribute);
              return {
                attribute: signal.attribute,
                label,
                direction: signal.direction,
                value: Number.isNaN(value) ? null : value,
              };
            }),
            decidedBy: decidingSignal(prepared, ranking, index),
          },
    pin: applied && { plan: applied.plan, planName: applied.planName, place: applied.place },
    exactSku: isSku,
    place: index + 1,
  };
}
