import { type CatalogRecord, firstText, heldBy, textsOf } from '../catalog/record.ts';
import { noCompanions } from '../setup/parts/companions.ts';
import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { remembered } from './obviousCatalog.ts';
import { obviousRules } from './obviousRules.ts';

/** One visit: what was opened after each search, and what was taken. */
interface Visit {
  readonly opened: readonly (readonly string[])[];
  readonly taken: readonly string[];
}
interface Met {
  readonly other: string;
  readonly both: number;
  readonly score: number;
}

const entropy = (counts: readonly number[]): number => {
  const sum = counts.reduce((all, count) => all + count, 0);
  return counts.reduce((all, count) => (count === 0 ? all : all + count * Math.log(count / sum)), 0);
};
/** G² by the entropies of the table, its rows and its columns. */
const surprise = (both: number, one: number, other: number, neither: number): number =>
  2 *
  (entropy([both, one, other, neither]) -
    entropy([both + one, other + neither]) -
    entropy([both + other, one + neither]));

const products = new WeakMap<Visit, ReadonlySet<string>>();
function inVisit(visit: Visit): ReadonlySet<string> {
  const known = products.get(visit) ?? new Set([...visit.opened.flat(), ...visit.taken]);
  products.set(visit, known);
  return known;
}
const isBesides = ({ opened, taken }: Visit, one: string, other: string): boolean =>
  (taken.includes(one) && taken.includes(other)) || !opened.some((own) => own.includes(one) && own.includes(other));
const isInstead = ({ opened }: Visit, one: string, other: string): boolean =>
  opened.some((own) => own.includes(one) && own.includes(other));

function tableOf(
  visits: readonly Visit[],
  [names, others]: readonly [readonly string[], readonly string[]],
  areMet: (visit: Visit, one: string, other: string) => boolean,
): (name: string) => Met[] {
  const row = remembered(
    (one: string) =>
      new Map(others.map((other) => [other, visits.filter((visit) => areMet(visit, one, other)).length])),
  );
  const times = (one: string, other: string): number => row(one).get(other)!;
  const of = remembered((one: string): number => others.reduce((sum, other) => sum + times(one, other), 0));
  const to = remembered((other: string): number => names.reduce((sum, one) => sum + times(one, other), 0));
  const all = names.reduce((sum, one) => sum + of(one), 0);
  return (name) =>
    others
      .flatMap((other): Met[] => {
        const [both, ofOne] = [times(name, other), of(name)];
        if (both < 2) return [];
        const ofOther = to(other);
        if (both <= (ofOne * ofOther) / all) return [];
        const score = surprise(both, ofOne - both, ofOther - both, all - ofOne - ofOther + both);
        return score < 10.83 ? [] : [{ other, both, score }];
      })
      .sort((a, b) => b.score - a.score || (a.other < b.other ? -1 : 1));
}

/** What stands beside products, by a look at every visit for every pair and at every record for every word: what the fast way is held to. */
export function obviousCompanions(
  records: readonly CatalogRecord[],
  visits: readonly Visit[],
  setup: Setup,
  now: number,
) {
  const families = [...new Set(records.map(({ familyId }) => familyId))];
  const variantsOf = (family: string): CatalogRecord[] => records.filter(({ familyId }) => familyId === family);
  const isInStock = (record: CatalogRecord): boolean => record.values.availability !== 'Sold out';
  const rules = obviousRules(records, [], setup, 'companions', {
    now,
    familyInStock: (family) => variantsOf(family).some(isInStock),
  });
  const pathOf = remembered(
    (family: string): string | null =>
      textsOf(heldBy(variantsOf(family)[0]!, 'category'))
        .toSorted((a, b) => b.split(' > ').length - a.split(' > ').length)
        .at(0) ?? null,
  );
  const highest = (path: string): string => path.split(' > ')[0]!;
  const soldOf = (family: string): number =>
    variantsOf(family).reduce(
      (sum, { values }) => sum + (typeof values.units_sold === 'number' ? values.units_sold : 0),
      0,
    );
  const boostOf = (family: string): number => {
    const boosts = variantsOf(family).flatMap(({ values }) => (typeof values.boost === 'number' ? values.boost : []));
    return boosts.length === 0 ? 1 : Math.min(10, Math.max(0.1, ...boosts));
  };
  const wordsIn = (record: CatalogRecord, keys: readonly string[]): string[] =>
    keys.flatMap((key) => textsOf(heldBy(record, key)).flatMap(tokenize));
  const texts = ['title', 'category', 'brand', 'colour'];
  const tells = remembered((word: string): number => {
    const having = records.filter((record) => wordsIn(record, texts).includes(word)).length;
    return having === 0 ? 0 : Math.log(1 + records.length / having);
  });
  const shareOf = (words: readonly string[], family: string, keys: readonly string[]): number => {
    const own = [...new Set(words)];
    const all = own.reduce((sum, word) => sum + tells(word), 0);
    const said = new Set(variantsOf(family).flatMap((record) => wordsIn(record, keys)));
    return all === 0 ? 0 : own.filter((word) => said.has(word)).reduce((sum, word) => sum + tells(word), 0) / all;
  };
  const shows = (family: string): boolean =>
    variantsOf(family).some((record) => isInStock(record) && !rules.isHidden(record));
  const has = (visit: Visit, name: string): boolean => inVisit(visit).has(name);
  const kindNames = [...new Set(families.map(pathOf).filter((path) => path !== null))];
  const kindOf = (product: string): string | null => (families.includes(product) ? pathOf(product) : null);
  const areMetByKind = (visit: Visit, kind: string, other: string): boolean =>
    has(visit, other) &&
    kindOf(other) !== null &&
    kindOf(other) !== kind &&
    [...inVisit(visit)].some((one) => kindOf(one) === kind && isBesides(visit, one, other));
  const met = [...new Set(visits.flatMap((visit) => [...inVisit(visit)]))];
  const bothAre =
    (are: typeof isBesides) =>
    (visit: Visit, one: string, other: string): boolean =>
      one !== other && has(visit, one) && has(visit, other) && are(visit, one, other);
  const tables = {
    goesWith: tableOf(visits, [met, met], bothAre(isBesides)),
    standsIn: tableOf(visits, [met, met], bothAre(isInstead)),
    kind: tableOf(visits, [kindNames, met], areMetByKind),
  };
  const byFactor = (all: readonly { readonly family: string; readonly score: number }[]): string[] => {
    const strength = ({ family, score }: (typeof all)[number]): number =>
      score * (families.includes(family) ? rules.factorOf(family, boostOf(family)) : 1);
    return all.toSorted((a, b) => strength(b) - strength(a)).map(({ family }) => family);
  };

  return (family: string, relation: 'goesWith' | 'standsIn', most: number): string[] => {
    const isCompanion = relation === 'goesWith';
    const { companions, alternatives, never } = Object.hasOwn(setup.companions, family)
      ? setup.companions[family]!
      : noCompanions;
    const [first, others] = isCompanion ? [companions, alternatives] : [alternatives, companions];
    const path = pathOf(family);
    const title = firstText(variantsOf(family)[0]!.values.title);
    const found: string[] = [];
    const add = (all: readonly string[], isByHand: boolean): void => {
      const ofPath = new Map<string, number>();
      for (const other of found)
        if (!first.includes(other)) ofPath.set(pathOf(other) ?? '', (ofPath.get(pathOf(other) ?? '') ?? 0) + 1);
      for (const other of all) {
        if (found.length >= most) return;
        if (other === family || found.includes(other) || never.includes(other) || !families.includes(other)) continue;
        if (!isByHand && others.includes(other)) continue;
        if (!shows(other)) continue;
        const own = pathOf(other) ?? '';
        if (!isByHand && isCompanion && own !== '' && (ofPath.get(own) ?? 0) >= 2) continue;
        if (!isByHand) ofPath.set(own, (ofPath.get(own) ?? 0) + 1);
        found.push(other);
      }
    };
    const near = (all: readonly { readonly family: string; readonly score: number }[]) =>
      all.toSorted(
        (a, b) => b.score - a.score || soldOf(b.family) - soldOf(a.family) || (a.family < b.family ? -1 : 1),
      );
    const kindWords = (): string[] => {
      const words = tokenize(path!);
      return path === highest(path!) ? words : words.filter((word) => !tokenize(highest(path!)).includes(word));
    };
    const mayGoWith = (): { family: string; score: number }[] =>
      path === null
        ? []
        : near(
            families
              .filter((other) => pathOf(other) !== null && highest(pathOf(other)!) !== highest(path))
              .map((other) => ({ family: other, score: shareOf(kindWords(), other, ['title', 'category']) }))
              .filter(({ score }) => score > 0),
          );
    add(first, true);
    if (setup.companionShelves.shown.fromLog) {
      const mayStandIn = (other: string): boolean =>
        kindOf(other) === null || path === null || highest(kindOf(other)!) === highest(path);
      const scored = (all: readonly Met[]) => byFactor(all.map(({ other, score }) => ({ family: other, score })));
      add(scored(tables[relation](family).filter(({ other }) => isCompanion || mayStandIn(other))), false);
      if (isCompanion && path !== null) add(scored(tables.kind(path)), false);
    }
    if (setup.companionShelves.shown.fromCatalog) {
      const keys = ['brand', 'colour'].filter((key) => textsOf(heldBy(variantsOf(family)[0]!, key)).length > 0);
      const priceOf = (each: string): number | null => {
        const prices = variantsOf(each).flatMap(({ values }) => (typeof values.price === 'number' ? values.price : []));
        return prices.length === 0 ? null : Math.min(...prices);
      };
      const likeness = (other: string): number => {
        const alike = keys.filter((key) =>
          textsOf(heldBy(variantsOf(family)[0]!, key)).some((value) =>
            textsOf(heldBy(variantsOf(other)[0]!, key)).includes(value),
          ),
        ).length;
        const [a, b] = [priceOf(family), priceOf(other)];
        const price = a === null || b === null ? 0.5 : a === b ? 1 : Math.min(a, b) / Math.max(a, b);
        return (
          0.5 * shareOf(tokenize(title), other, ['title']) + 0.35 * (keys.length && alike / keys.length) + 0.15 * price
        );
      };
      const standIns = (): { family: string; score: number }[] =>
        near(
          families
            .filter((other) => other !== family)
            .filter((other) =>
              path === null ? shareOf(tokenize(title), other, ['title']) > 0 : pathOf(other) === path,
            )
            .map((other) => ({ family: other, score: likeness(other) })),
        );
      add(byFactor(isCompanion ? mayGoWith() : standIns()), false);
    }
    return found;
  };
}
