import { own } from '../base/named.ts';
import { isHidden } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Standing } from '../rules/standing.ts';
import { noCompanions } from '../setup/parts/companions.ts';
import type { Setup } from '../setup/schema.ts';
import type { CompanionWhy, NotShownWhy } from './companion.ts';
import { kindCalled, mayGoWith, type Near, standIns } from './inCatalog.ts';
import { areApart, type Kinds, kindsOf } from './kinds.ts';
import type { Pair, Relation } from './together.ts';

/** What the log says, by what it is asked about. */
export interface SaidByLog {
  readonly visits: number;
  /** The products that belong with one, the most surprising first. */
  products(relation: Relation, product: string): readonly Pair[];
  /** The products that go with a kind. */
  kinds(kind: string): readonly Pair[];
}
export const silentLog: SaidByLog = { visits: 0, products: () => [], kinds: () => [] };

/** The catalog and the setup as companions are chosen from them. */
export interface CompanionPlace {
  readonly snapshot: Snapshot;
  readonly inStock: Uint8Array;
  readonly setup: Setup;
  /** 255 for a record that must not show among companions and alternatives, else 0; null where nothing is hidden. */
  readonly hidden: Uint8Array | null;
  /** What multiplies how far up a computed one stands; null where nothing does. */
  readonly standing: Standing | null;
}

/** A product beside another one: the variant that shows, and why it stands there. */
export interface Companion {
  readonly family: number;
  readonly record: number;
  readonly why: CompanionWhy;
}

/** Of one kind, among the computed companions of one product: so that not all of them are brushes. */
const mostOfKind = 2;

/** The variant that shows: the first in stock that is not hidden there; else why none does. */
export function shownVariant({ snapshot, inStock, hidden }: CompanionPlace, family: number): number | NotShownWhy {
  if (family < 0) return 'gone';
  const [from, to] = snapshot.recordsOf(family);
  let why: NotShownWhy = 'hidden';
  for (let record = from; record < to; record++) {
    if (isHidden(hidden, record)) continue;
    if (inStock[record] === 1) return record;
    why = 'soldOut';
  }
  return why;
}

/** Products that shoppers took or opened with one; what stands in for it serves no other purpose, whatever was found with it. */
function* byLog(place: CompanionPlace, family: number, relation: Relation, log: SaidByLog): Generator<Computed> {
  const { snapshot } = place;
  const kinds = kindsOf(snapshot);
  for (const { other, both, of, byChance, score } of log.products(relation, snapshot.familyId(family))) {
    const found = snapshot.findFamily(other);
    if (relation === 'standsIn' && found >= 0 && areApart(kinds, kinds.ofFamily[family]!, kinds.ofFamily[found]!))
      continue;
    yield { family: found, score, why: { is: 'together', both, of, byChance, score } };
  }
}

/** Products that shoppers took or opened with any of the product's kind. */
function* byKind(place: CompanionPlace, family: number, log: SaidByLog): Generator<Computed> {
  const { snapshot } = place;
  const kinds = kindsOf(snapshot);
  const kind = kinds.ofFamily[family]!;
  if (kind < 0) return;
  for (const { other, both, of, byChance, score } of log.kinds(kinds.names[kind]!))
    yield {
      family: snapshot.findFamily(other),
      score,
      why: { is: 'kind', kind: kindCalled(kinds, kind), both, of, byChance, score },
    };
}

function* byCatalog(near: readonly Near[]): Generator<Computed> {
  for (const { family, score, words, values } of near)
    yield {
      family,
      score,
      why: { is: 'catalog', words: [...words], values: [...values], likeness: Math.round(score * 1000) / 1000 },
    };
}

interface Computed {
  readonly family: number;
  readonly score: number;
  readonly why: CompanionWhy;
}

/** How far up a computed one stands: its score by what house rules of the place and the catalog's boosts make of it. */
function inOrder({ standing }: CompanionPlace, computed: Iterable<Computed>): Computed[] {
  const all = [...computed];
  if (standing === null) return all;
  const factor = ({ family }: Computed): number => (family < 0 ? 1 : standing.factors[family]!);
  return all.sort((a, b) => b.score * factor(b) - a.score * factor(a));
}

/**
 * What stands beside a product: those chosen by hand in their order, then what shoppers took or opened with it, then, of
 * companions, what they took or opened with others of its kind, and last what the catalog alone says. Each once, never the product
 * itself, what is hidden there, sold out, or was told never to show; of companions that are computed at most two of a kind.
 * Where the log knows enough, the catalog is not asked. Pure. Cost: a look at the log, and what `standIns` or `mayGoWith`
 * cost where it is not enough.
 */
export function companionsOf(
  place: CompanionPlace,
  { family, title, relation, most }: { family: number; title: string; relation: Relation; most: number },
  log: SaidByLog,
): Companion[] {
  const { snapshot, setup } = place;
  const isCompanion = relation === 'goesWith';
  const chosen = own(setup.companions, snapshot.familyId(family)) ?? noCompanions;
  const { fromLog, fromCatalog } = setup.companionShelves.shown;
  const found: Companion[] = [];
  const isLeftOut = new Set([snapshot.familyId(family), ...chosen.never]);
  const take = (other: number, why: CompanionWhy): void => {
    if (other < 0 || isLeftOut.has(snapshot.familyId(other))) return;
    const record = shownVariant(place, other);
    if (typeof record !== 'number') return;
    isLeftOut.add(snapshot.familyId(other));
    found.push({ family: other, record, why });
  };
  for (const id of isCompanion ? chosen.companions : chosen.alternatives) {
    if (found.length === most) break;
    take(snapshot.findFamily(id), { is: 'byHand' });
  }
  // What was chosen to stand in for it does not go with it as well.
  for (const id of isCompanion ? chosen.alternatives : chosen.companions) isLeftOut.add(id);
  const kinds: Kinds = kindsOf(snapshot);
  const ofKind = new Map<number, number>();
  const fill = (computed: Iterable<Computed>): void => {
    if (found.length >= most) return;
    for (const { family: other, why } of inOrder(place, computed)) {
      if (found.length >= most) return;
      const kind = other < 0 ? -1 : kinds.ofFamily[other]!;
      if (isCompanion && kind >= 0 && (ofKind.get(kind) ?? 0) >= mostOfKind) continue;
      const before = found.length;
      take(other, why);
      if (found.length > before) ofKind.set(kind, (ofKind.get(kind) ?? 0) + 1);
    }
  };
  if (fromLog) {
    fill(byLog(place, family, relation, log));
    if (isCompanion) fill(byKind(place, family, log));
  }
  if (fromCatalog && found.length < most)
    fill(byCatalog(isCompanion ? mayGoWith(snapshot, family) : standIns(snapshot, family, title)));
  return found;
}

/** What goes with several products at once: what goes with more of them first, then what stands further up beside one; none of them themselves. */
export function companionsOfSeveral(
  place: CompanionPlace,
  products: readonly { readonly family: number; readonly title: string }[],
  most: number,
  log: SaidByLog,
): Companion[] {
  const own = new Set(products.map(({ family }) => family));
  const found = new Map<number, { readonly companion: Companion; best: number; times: number }>();
  for (const { family, title } of products)
    for (const [at, companion] of companionsOf(
      place,
      { family, title, relation: 'goesWith', most: most + products.length },
      log,
    ).entries()) {
      const known = found.get(companion.family);
      if (own.has(companion.family)) continue;
      if (!known) found.set(companion.family, { companion, best: at, times: 1 });
      else {
        known.times++;
        known.best = Math.min(known.best, at);
      }
    }
  return [...found.values()]
    .sort((a, b) => b.times - a.times || a.best - b.best)
    .slice(0, most)
    .map(({ companion }) => companion);
}
