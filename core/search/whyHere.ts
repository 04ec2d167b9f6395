import type { ExplainedSignal, Why } from '../answer/why.ts';
import { labelFromKey } from '../catalog/standardColumns.ts';
import { isIn } from '../conditions/recordSet.ts';
import { explainMatch } from '../ranking/explainMatch.ts';
import type { Signal } from '../ranking/signals.ts';
import { toldSource } from '../rules/effects.ts';
import { toldFactor } from '../rules/resolve.ts';
import { perfect } from '../scoring/formula.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { factorOf, factorsOn, isBroughtIn, type Ranking } from './rank.ts';

const amountFor = ({ byRecord, values }: Signal, { candidates }: Ranking, candidate: number): number =>
  values[(byRecord ? candidates.representatives : candidates.families)[candidate]!]!;

/**
 * The tie-breaker that put a product below the one before it, where both are of one group of close calls: its place
 * among the signals, `id` where all of them and the scores were equal, null where the score decided.
 */
export function decidingSignal(prepared: PreparedSetup, ranking: Ranking, index: number): number | 'id' | null {
  const { candidate } = ranking.placed[index]!;
  const before = ranking.placed[index - 1];
  const leader = ranking.leaders.get(candidate);
  if (!before || before.pin !== null || leader === undefined || ranking.leaders.get(before.candidate) !== leader)
    return null;
  if (startsSoldOut(ranking, index)) return null;
  const deciding = prepared.signals.findIndex(({ byRecord, keys }) => {
    const owner = byRecord ? ranking.candidates.representatives : ranking.candidates.families;
    return keys[owner[before.candidate]!] !== keys[owner[candidate]!];
  });
  if (deciding >= 0) return deciding;
  return ranking.scores[before.candidate] === ranking.scores[candidate] ? 'id' : null;
}

/** Whether a place is the first of those that are sold out, where they stand after everything in stock. */
function startsSoldOut({ soldOutLast, placed, isSoldOut }: Ranking, index: number): boolean {
  return soldOutLast && isSoldOut(placed[index]!.candidate) && !isSoldOut(placed[index - 1]!.candidate);
}

const howOf = ({ pulledBy, halfLife, lowBelow }: Signal): ExplainedSignal['how'] => {
  if (lowBelow !== undefined) return 'enough';
  if (halfLife !== undefined) return 'newness';
  return pulledBy === undefined ? 'plain' : 'pulled';
};

/** The whole arithmetic of the product at one place (`index` from 0) of a ranking. */
export function whyHere(engine: Engine, prepared: PreparedSetup, ranking: Ranking, index: number): Why {
  const { snapshot } = engine;
  const { candidate, pin } = ranking.placed[index]!;
  const representative = ranking.candidates.representatives[candidate]!;
  const lines = explainMatch(snapshot, prepared.setup, prepared.gains, ranking.words, representative);
  const family = ranking.candidates.families[candidate]!;
  const isSku = candidate === ranking.skuCandidate;
  const isBrought = isBroughtIn(ranking, candidate);
  const first = pin === null ? ranking.first.get(candidate) : undefined;
  const leader = ranking.leaders.get(candidate);
  const labels = new Map(snapshot.attributes.map(({ key, label }) => [key, label]));
  const applied = pin === null ? null : ranking.pins[pin]!.pin;
  const explainSignal = (signal: Signal): ExplainedSignal => {
    const value = amountFor(signal, ranking, candidate);
    return {
      attribute: signal.attribute,
      label: labels.get(signal.attribute) ?? labelFromKey(signal.attribute),
      direction: signal.direction,
      value: Number.isNaN(value) ? null : value,
      how: howOf(signal),
    };
  };
  const sorted = ranking.sorted ?? ranking.planned;
  const { leading: leads } = ranking;
  const decided = decidingSignal(prepared, ranking, index);
  return {
    words: isSku || isBrought ? [] : (lines?.words ?? []),
    closeness: isSku || isBrought ? [] : (lines?.closeness ?? []),
    whole: isSku || isBrought ? null : (lines?.whole ?? null),
    start: ranking.isBrowsing ? perfect : isBrought ? ranking.candidates.scores[candidate]! : 0,
    broughtIn: isBrought,
    first: first ? toldSource(first) : null,
    takenFor: ranking.takenFor && { search: ranking.takenFor.search, ...toldSource(ranking.takenFor.source) },
    matchScore: ranking.candidates.scores[candidate]!,
    pulls: factorsOn(ranking, family).map(toldFactor),
    totalPull: factorOf(ranking, family),
    score: ranking.scores[candidate]!,
    closeCall:
      leader === undefined
        ? null
        : {
            leader,
            width: prepared.width,
            signals: prepared.signals.map(explainSignal),
            decidedBy: typeof decided === 'number' ? prepared.signals[decided]!.attribute : decided,
          },
    sorted: sorted && {
      label: sorted.order.label,
      signals: sorted.order.signals.length > 0 ? sorted.signals.map(explainSignal) : [],
    },
    begins: ranking.begins,
    ahead: pin === null && !first && leads?.ahead && isIn(leads.ahead, family) ? toldSource(leads.source) : null,
    sortedByPlan: ranking.planned && toldSource(ranking.planned.source),
    afterStock:
      ranking.soldOutLast &&
      pin === null &&
      !first &&
      (!isSku || ranking.sorted !== null) &&
      ranking.isSoldOut(candidate),
    pin: applied && { ...toldSource(applied.source), place: applied.place },
    exactSku: isSku,
    together: [...ranking.together],
    narrowed: [
      ...ranking.understood.narrowing.map(({ text }) => text),
      ...(ranking.understood.price ? [ranking.understood.price.text] : []),
    ],
    place: index + 1,
  };
}
