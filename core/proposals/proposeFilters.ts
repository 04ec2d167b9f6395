import { type AttributeProfile, hasChoices, isNumeric } from '../catalog/profileAttributes.ts';
import { labelFromKey } from '../catalog/standardColumns.ts';
import { isTranslation } from '../catalog/translations.ts';
import { onDay } from '../conditions/asked.ts';
import { type BoundFilter, bindFilter } from '../facets/boundFilter.ts';
import type { ValueColumn } from '../index/columns.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { freeKey } from '../setup/freeKey.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { Setup } from '../setup/schema.ts';
import { amountIn } from '../values/valueGroups.ts';
import { filtersOfSearches, filterWorth } from './filterWorth.ts';
import { firstLook } from './firstLook.ts';
import type { TriedSearches } from './madeUpSearches.ts';

/** A filter the shop does not have, and what speaks for it. */
export interface FilterProposal {
  readonly setting: FilterSetting;
  /** Share of the records that have its attribute, and its different values (of amounts, 0). */
  readonly coverage: number;
  readonly values: number;
  /** Searches it was tried on, those beside which it would divide the results, and what one choice would leave there. */
  readonly tried: number;
  /** Whether those were made up from the catalog. */
  readonly areMadeUp: boolean;
  readonly divides: number;
  readonly leaves: number | null;
  /** The commonest values, as the filter would show them. */
  readonly samples: readonly string[];
  readonly warnings: readonly FilterWarning[];
}

/** What may be wrong with the source of a filter. */
export type FilterWarning =
  | { readonly what: 'gone' }
  | { readonly what: 'fewHaveIt'; readonly coverage: number }
  | { readonly what: 'oneValue'; readonly value: string }
  | { readonly what: 'manyValues'; readonly values: number }
  | { readonly what: 'numbersAsText' }
  | { readonly what: 'mixedUnits'; readonly units: string[] }
  | { readonly what: 'groupsGone' };

/** Below this share of the records a filter hides most of the shop as soon as it is used. */
const fewHave = 0.05;
/** From so many values a list is no longer looked through by eye. */
const manyValues = 200;

/** Amounts that are the shop's own business, and texts that are no choices. */
const never = new Set([
  'boost',
  'stock',
  'units_sold',
  'cost',
  'former_price',
  'ratings',
  'hidden',
  'parts',
  'contains',
  'title',
  'description',
]);

/** How a text says its unit: `mm` of `0.5 mm`; null where it has none. */
const unitIn = (text: string): string | null =>
  /\d\s*([\p{L}"″'µ²/]{1,8})$/u.exec(text.trim())?.[1]?.toLowerCase() ?? null;

/** What may be wrong with the attribute a filter is of. */
export function sourceWarnings(profile: AttributeProfile | undefined, texts: readonly string[]): FilterWarning[] {
  if (!profile) return [{ what: 'gone' }];
  const warnings: FilterWarning[] = [];
  if (profile.coverage > 0 && profile.coverage < fewHave)
    warnings.push({ what: 'fewHaveIt', coverage: profile.coverage });
  if (isNumeric(profile)) return warnings;
  if (profile.values === 1) warnings.push({ what: 'oneValue', value: profile.samples[0] ?? '' });
  if (profile.values > manyValues) warnings.push({ what: 'manyValues', values: profile.values });
  const bare = texts.filter((text) => /^-?\d+([.,]\d+)?$/.test(text.trim()));
  if (texts.length >= 3 && bare.length >= texts.length * 0.8) warnings.push({ what: 'numbersAsText' });
  const withAmount = texts.filter((text) => amountIn(text) !== null);
  const units = [...new Set(withAmount.map((text) => unitIn(text) ?? 'no unit'))];
  if (withAmount.length >= texts.length * 0.8 && units.length > 1 && units.some((unit) => unit !== 'no unit'))
    warnings.push({ what: 'mixedUnits', units: units.slice(0, 4) });
  return warnings;
}

/** Families of tags: beginnings such as `type:` that several values share, with what they share. */
function tagFamilies(texts: readonly string[]): string[] {
  const families = new Map<string, number>();
  for (const text of texts) {
    const [prefix] = /^[\p{L}\d _-]{2,30}[:=/]\s*(?=\S)/u.exec(text) ?? [];
    if (prefix) families.set(prefix, (families.get(prefix) ?? 0) + 1);
  }
  return [...families].filter(([, values]) => values >= 2).map(([prefix]) => prefix);
}

/** The share of the records that have a value beginning so: a family of tags is in fewer than tags are. */
function shareWith(column: ValueColumn, prefix: string, records: number): number {
  const wanted = Uint8Array.from({ length: column.size }, (_, value) => Number(column.name(value).startsWith(prefix)));
  let having = 0;
  for (let record = 0; record < records; record++) if (column.hasAny(record, wanted)) having++;
  return records === 0 ? 0 : having / records;
}

/** Shoppers narrow by what a product is before they narrow by when it came, and by one thing before a bag of many. */
const worthOf = ({ kind }: AttributeProfile, { prefix }: FilterSetting): number =>
  kind === 'date' || (kind === 'list' && prefix === undefined) ? 0.4 : 1;

const mostCandidates = 24;

/**
 * The filters a catalog is good for and the setup does not have, best first: by how often each would divide the results
 * of the searches made, and how much one choice would narrow them. `coloursOf` says what values look like that are colours,
 * and nothing of others. Cost: a search for each of them, all candidates counted.
 */
export function proposeFilters(
  engine: Engine,
  prepared: PreparedSetup,
  { searches, areMadeUp }: TriedSearches,
  coloursOf: (texts: readonly string[]) => Readonly<Record<string, string>> | null,
): FilterProposal[] {
  const { snapshot } = engine;
  const { setup, today } = prepared;
  const existing = new Set(Object.values(setup.filters).map(({ attribute, prefix }) => `${attribute} ${prefix ?? ''}`));
  const textsOf = (key: string): string[] => {
    const column = snapshot.values.get(key);
    return column ? Array.from({ length: Math.min(column.size, 5000) }, (_, value) => column.name(value)) : [];
  };
  const all = engine.matcher.all(null).records.slice();
  const keys = new Set(snapshot.attributes.map(({ key }) => key));
  const candidates = snapshot.attributes
    .filter((profile) => !never.has(profile.key) && (isNumeric(profile) || !isTranslation(profile.key, keys)))
    .filter((profile) => hasChoices(profile) || isNumeric(profile))
    .filter(({ coverage, values, key }) => coverage > 0.005 && values > 1 && (values <= 5000 || key === 'price'))
    .flatMap((profile) => {
      const texts = textsOf(profile.key);
      const families = profile.kind === 'list' ? tagFamilies(texts) : [];
      const column = snapshot.values.get(profile.key);
      const colours = texts.length > 0 ? coloursOf(texts) : null;
      const most = snapshot.numbers.get(profile.key)?.range(all, null, 0)?.most ?? 0;
      return [undefined, ...families].map((prefix) => ({
        profile,
        coverage: prefix === undefined || !column ? profile.coverage : shareWith(column, prefix, snapshot.records),
        texts: prefix === undefined ? texts : texts.filter((text) => text.startsWith(prefix)),
        setting: {
          attribute: profile.key,
          label: prefix === undefined ? profile.label : labelFromKey(prefix.replace(/[:=/]\s*$/, '')),
          kind: 'ticks',
          order: 0,
          counts: true,
          valueOrder: 'count',
          hideUndividing: true,
          ...(prefix === undefined ? firstLook(profile, texts, { colours, most }) : { prefix }),
        } satisfies FilterSetting as FilterSetting,
      }));
    })
    .filter(({ setting }) => !existing.has(`${setting.attribute} ${setting.prefix ?? ''}`))
    .sort((a, b) => b.coverage - a.coverage)
    .slice(0, mostCandidates)
    .map((candidate, at) => ({
      ...candidate,
      bound: bindFilter(snapshot, `c${at}`, candidate.setting, {}, onDay(today)),
    }))
    .filter(({ bound }) => bound.values !== null || bound.numbers !== null);
  const alone = { ...prepared, filters: candidates.map(({ bound }): BoundFilter => bound) };
  const asked = filtersOfSearches(engine, alone, searches);
  // In a small catalog no search may find what could be divided: then what filters do to the whole shop is reported.
  const isDivided = asked.some(({ shown }) => shown.length > 0);
  const tried = isDivided ? asked : filtersOfSearches(engine, alone, [{ search: '', searches: 1 }]);
  const worth = filterWorth(alone.filters, tried);
  return candidates
    .map(({ profile, coverage, texts, setting }, at): FilterProposal & { readonly score: number } => {
      const { shownIn, times, leaves } = worth[at]!;
      const made = tried.reduce((sum, each) => sum + each.searches, 0);
      const narrows = (1 - (leaves ?? 1)) * (made === 0 ? coverage : times / made);
      const values = isNumeric(profile) ? 0 : texts.length;
      return {
        setting,
        coverage,
        values,
        tried: tried.length,
        areMadeUp,
        divides: shownIn,
        leaves,
        samples: setting.prefix ? texts.slice(0, 5).map((text) => text.slice(setting.prefix!.length)) : profile.samples,
        warnings: sourceWarnings(profile, texts),
        score: narrows * worthOf(profile, setting) * (values > manyValues ? 0.3 : 1) * Math.min(1, coverage * 2),
      };
    })
    .filter(({ divides, tried: count }) => count === 0 || divides > 0)
    .sort((a, b) => b.score - a.score || (a.setting.attribute < b.setting.attribute ? -1 : 1))
    .map(({ score: _, ...proposal }) => proposal);
}

/** The key a proposed filter would have among a setup's filters. */
export const keyFor = (filters: Setup['filters'], { attribute, prefix }: FilterSetting): string =>
  freeKey(filters, prefix ? `${attribute}-${prefix.replace(/\W+/g, '')}` : attribute);
