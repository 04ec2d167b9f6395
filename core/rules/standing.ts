import { eachIn, isIn } from '../conditions/recordSet.ts';
import type { NumberColumn } from '../index/numberColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { leastPull, most } from '../setup/terms/limits.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import type { FactorEffect } from './effects.ts';
import { familiesMet } from './familiesMet.ts';
import { type BoundRule, holdsIn } from './houseRulesInForce.ts';

/** The boost column where any product has a boost, else null, so that most catalogs pay nothing for it. */
export function boostColumn(snapshot: Snapshot): NumberColumn | null {
  const column = snapshot.numbers.get('boost');
  if (!column) return null;
  for (let family = 0; family < snapshot.families; family++) if (hasBoost(column, family)) return column;
  return null;
}
const hasBoost = (boosts: NumberColumn, family: number): boolean => !Number.isNaN(boosts.ofFamily(family));
/** A product's own boost, kept between 0.1 and 10 as those of plans are. */
const boostOf = (boosts: NumberColumn, family: number): number =>
  Math.min(most.pull, Math.max(leastPull, boosts.ofFamily(family)));

/** What multiplies scores in every search of a place, whatever is searched for: the catalog's boosts and house rules. */
export interface Standing {
  /** By family, the product of its factors, 1 where it has none; not bounded, since plans multiply besides. */
  readonly factors: Float64Array;
  /** What a family's factor is made of. */
  effectsOn(family: number): readonly FactorEffect[];
}

type Boosted = { readonly snapshot: Snapshot; readonly boosts: NumberColumn | null };

/** What stands at each place of some; places at which the same stands share it. */
export function standingAt<At extends Place>(
  engine: Boosted,
  rules: readonly BoundRule[],
  places: readonly At[],
): Readonly<Record<At, Standing | null>> {
  const pulls = rules.filter(({ does }) => does.what === 'pull');
  const made = new Map<string, Standing | null>();
  const at = (place: At): Standing | null => {
    const held = pulls.map((rule) => holdsIn(rule, place));
    const key = held.map(Number).join('');
    if (!made.has(key))
      made.set(
        key,
        standingBy(
          engine,
          pulls.filter((_, index) => held[index]),
        ),
      );
    return made.get(key)!;
  };
  return Object.fromEntries(places.map((place) => [place, at(place)])) as Record<At, Standing | null>;
}

/** Null where nothing stands, so that searches cost nothing more. Cost: a pass over the families, and what the rules match. */
function standingBy({ snapshot, boosts }: Boosted, rules: readonly BoundRule[]): Standing | null {
  const pulls = rules.flatMap((rule) =>
    rule.does.what === 'pull' ? [{ rule, pull: rule.does.pull, families: familiesMet(snapshot, rule.met) }] : [],
  );
  if (pulls.length === 0 && boosts === null) return null;
  const factors = new Float64Array(snapshot.families).fill(1);
  if (boosts)
    for (let family = 0; family < factors.length; family++)
      if (hasBoost(boosts, family)) factors[family] = boostOf(boosts, family);
  for (const { pull, families } of pulls)
    eachIn(families, (family) => {
      factors[family]! *= pull;
    });
  return {
    factors,
    effectsOn(family) {
      const product = snapshot.familyId(family);
      const effect = (factor: number, source: FactorEffect['source']): FactorEffect => ({
        what: 'factor',
        ...{ product, factor, source },
      });
      return [
        ...(boosts && hasBoost(boosts, family) ? [effect(boostOf(boosts, family), { kind: 'boost' })] : []),
        ...pulls
          .filter(({ families }) => isIn(families, family))
          .map(({ rule: { id, name }, pull }) => effect(pull, { kind: 'rule', id, name })),
      ];
    },
  };
}
