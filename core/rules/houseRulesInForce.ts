import { type Asked, type Collections, noCollections } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import type { RecordSet } from '../conditions/recordSet.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { Setup } from '../setup/schema.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';

/** A house rule bound to a catalog. */
export interface BoundRule extends HouseRule {
  readonly id: string;
  /** The records that meet its condition. */
  readonly met: RecordSet;
}

export const holdsIn = ({ places }: { readonly places?: readonly Place[] | undefined }, place: Place): boolean =>
  places === undefined || places.includes(place);

/** What met each rule last: rules that an edit leaves alone stay the same value, and are bound again with every edit. */
const metBefore = new WeakMap<HouseRule, Asked & { readonly snapshot: Snapshot; readonly met: RecordSet }>();
function metBy(snapshot: Snapshot, rule: HouseRule, asked: Asked): RecordSet {
  const { today, collections } = asked;
  const before = metBefore.get(rule);
  if (before?.snapshot === snapshot && before.today === today && before.collections === collections) return before.met;
  const met = bindCondition(snapshot, rule.condition, asked);
  metBefore.set(rule, { snapshot, today, collections, met });
  return met;
}

/** The house rules that are switched on and hold at an instant, in order of their ids. Cost: a condition for each that is new. */
export function rulesInForce(
  snapshot: Snapshot,
  setup: Setup,
  when: When,
  collections: Collections = noCollections,
): readonly BoundRule[] {
  const asked = { today: when.today, collections };
  return Object.keys(setup.houseRules)
    .sort()
    .flatMap((id) => {
      const rule = setup.houseRules[id]!;
      if (!rule.on || !holdsAt(rule, when)) return [];
      return [{ ...rule, id, met: metBy(snapshot, rule, asked) }];
    });
}
