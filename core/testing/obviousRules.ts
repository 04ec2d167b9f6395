import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import type { Setup } from '../setup/schema.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import { madeCollections, meetsCondition } from './obviousConditions.ts';

interface Limits {
  readonly places?: readonly Place[] | undefined;
  readonly from?: string | undefined;
  readonly until?: string | undefined;
  readonly yearly?: { readonly from: string; readonly until: string } | undefined;
}

/** Whether something holds at a place, at an instant by UTC: texts of moments are compared as they are. */
export function holds({ places, from, until, yearly }: Limits, place: Place, now: number): boolean {
  const moment = new Date(now).toISOString();
  const isPast = (limit: string): boolean => moment.slice(0, limit.length) >= limit;
  const day = moment.slice(5, 10);
  const isDayOfYear = (limit: { from: string; until: string }): boolean =>
    limit.from <= limit.until ? day >= limit.from && day <= limit.until : day >= limit.from || day <= limit.until;
  if (places && !places.includes(place)) return false;
  if (from !== undefined && !isPast(from)) return false;
  if (until !== undefined && (until.length > 10 ? isPast(until) : moment.slice(0, 10) > until)) return false;
  return yearly === undefined || isDayOfYear(yearly);
}

/** What hidings and house rules do at one place, by a look at every rule for every record: what the fast way is held to. */
export function obviousRules(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  place: Place,
  { now, familyInStock }: { readonly now: number; familyInStock(familyId: string): boolean },
) {
  const today = Math.floor(now / 86_400_000);
  const rules = Object.keys(setup.houseRules)
    .sort()
    .map((id) => setup.houseRules[id]!)
    .filter((rule) => rule.on && holds(rule, place, now));
  const meets = (rule: (typeof rules)[number], record: CatalogRecord): boolean =>
    meetsCondition(attributes, record, rule.condition, today, madeCollections(setup));
  const only = rules.filter((rule) => rule.does.what === 'only' && records.some((record) => meets(rule, record)));
  const hidings = Object.values(setup.hiding).filter((hiding) => holds(hiding, place, now));
  return {
    isHidden: (record: CatalogRecord): boolean =>
      record.values.hidden !== undefined ||
      hidings.some(
        (hiding) =>
          (hiding.what === 'product'
            ? hiding.product === record.familyId
            : textsOf(record.values.tags).includes(hiding.tag)) &&
          !(hiding.whileSoldOut && familyInStock(record.familyId)),
      ) ||
      rules.some((rule) => rule.does.what === 'hide' && meets(rule, record)) ||
      only.some((rule) => !meets(rule, record)),
    /** What house rules multiply a product's score by, from a factor it has already. */
    factorOf: (familyId: string, own: number): number =>
      rules.reduce(
        (total, rule) =>
          rule.does.what === 'pull' && records.some((record) => record.familyId === familyId && meets(rule, record))
            ? total * rule.does.pull
            : total,
        own,
      ),
  };
}
