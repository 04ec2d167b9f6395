import { z } from 'zod';
import { named } from '../../base/named.ts';
import { type AttributeProfile, hasChoices } from '../../catalog/profileAttributes.ts';
import { availability } from '../../catalog/standardColumns.ts';
import { conditionSchema } from '../terms/condition.ts';
import { filterKindNames, filterKinds, usualFilter, type ValueOrder, valueOrders } from '../terms/filterTerms.ts';
import { colour, label, language } from '../terms/filterTexts.ts';
import { anOrder, aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { longest, most } from '../terms/limits.ts';
import { openPart } from '../terms/part.ts';
import { key, productId, searchText, valueText } from '../terms/texts.ts';

const values = z.array(valueText).max(most.values);
const help = z.string().trim().max(longest.help);

/** Where a filter is shown: where any of these holds, and everywhere where none is given. */
const filterPlacesSchema = z.strictObject({
  /** Collections, by id. */
  collections: z.array(productId).max(most.searches),
  /** Searches, compared folded and word by word. */
  searches: z.array(searchText).max(most.searches),
  /** Where at least half of the products found meet this, each by one of its variants that were found; absent: nowhere. */
  mostly: conditionSchema.optional(),
});
export type FilterPlaces = z.infer<typeof filterPlacesSchema>;

/** What is decided about one filter. What is absent is as its comment says. */
export const filterSettingSchema = z.strictObject({
  attribute: key,
  label,
  kind: z.enum(filterKinds),
  /** Place among the filters, ascending; equal places stand in order of key. */
  order: z.number(),
  /** Whether shoppers see how many products each value has. */
  counts: z.boolean(),
  valueOrder: z.enum(valueOrders),
  /** Only values that begin so, shown without it: a family of tags. Absent: all. */
  prefix: z.string().min(1).max(longest.prefix).optional(),
  /** Several chosen values: products with any of them, or with all. Absent: any. */
  match: z.enum(['any', 'all', 'one']).optional(),
  /** An entry that takes the choice back; one that chooses all that is listed. Absent: none. */
  anyEntry: z.boolean().optional(),
  selectAll: z.boolean().optional(),
  help: help.optional(),
  /** Collapsed until the shopper opens it. Absent: open. */
  closed: z.boolean().optional(),
  /** Values shown before "show more". Absent: eight. */
  showFirst: z.number().int().min(1).max(most.showFirst).optional(),
  /** A field that looks through the values. Absent: where there are more than twelve. */
  search: z.boolean().optional(),
  /** Values with fewer products are not listed. Absent: one. */
  minimum: z.number().int().min(1).max(100_000).optional(),
  /** Not shown where it would not divide the results. Absent: shown. */
  hideUndividing: z.boolean().optional(),
  /** Values of the search that the other choices leave nothing of are shown grey. Absent: not shown. */
  greyEmpty: z.boolean().optional(),
  /** Of `bands`: where one ends and the next begins, ascending; of dates, ages in days. */
  thresholds: z
    .array(z.number().min(-1e9).max(1e9))
    .max(most.thresholds)
    .refine((list) => list.every((each, at) => at === 0 || each > list[at - 1]!), { message: 'must ascend' })
    .optional(),
  /** Of `yesNo`: the value that is yes. */
  yes: valueText.optional(),
  /** Values in order by hand, values before all others, values not listed: as shoppers see them. */
  byHand: values.optional(),
  first: values.optional(),
  hiddenValues: values.optional(),
  /** Of `swatches`: the colours of values that no group gives one. */
  colours: z.record(valueText, colour).optional(),
  /** The value groups through which it shows the attribute. */
  groups: key.optional(),
  where: filterPlacesSchema.optional(),
  /** Shown once something is chosen in this other filter. */
  after: key.optional(),
  /** Chosen until the shopper takes it off: in one collection, or (null) wherever none of its own holds. */
  chosen: z
    .array(z.strictObject({ collection: productId.nullable(), values: values.min(1) }))
    .max(100)
    .optional(),
  /** The label, the help and the values as they are called in other languages. */
  names: z
    .partialRecord(
      language,
      z.strictObject({
        label: label.optional(),
        help: help.optional(),
        values: z.record(valueText, label),
      }),
    )
    .optional(),
});
export type FilterSetting = z.infer<typeof filterSettingSchema>;

/** Filters at first. More are proposed, each with the look that fits its values. */
const mostFirstFilters = 7;
/** Where nearly everything has one value, choosing it narrows nothing. */
const mostAlike = 0.9;

/** How much a choice narrows on average, as far as a profile says: what has no value is never chosen. */
const narrows = ({ coverage, commonest }: AttributeProfile): number => coverage * (1 - commonest);

const kindAtFirst = ({ key, kind }: AttributeProfile): FilterSetting['kind'] =>
  key === 'price' ? 'range' : key === availability.key ? 'single' : kind === 'path' ? 'tree' : 'ticks';

/**
 * Filters worth having at first: price, availability, the category, and the attributes that narrow most by few values. Long
 * texts and what nearly all have alike never are.
 */
function firstFilters(profiles: readonly AttributeProfile[]): Record<string, FilterSetting> {
  const ofKey = (key: string) => profiles.filter((profile) => profile.key === key && profile.values >= 2);
  const usual = [
    ...profiles.filter(({ key }) => key === 'price'),
    ...ofKey(availability.key),
    ...ofKey('category').filter(({ coverage, commonest }) => coverage >= 0.3 && commonest <= mostAlike),
  ];
  const dividing = profiles
    .filter((profile) => hasChoices(profile) && profile.kind !== 'path')
    .filter(({ key }) => key !== 'tags' && key !== 'description' && key !== availability.key)
    .filter(({ values, coverage }) => values >= 2 && values <= 200 && coverage >= 0.3)
    .filter(({ commonest }) => commonest <= mostAlike)
    .sort((a, b) => narrows(b) - narrows(a) || (a.key < b.key ? -1 : 1))
    .slice(0, mostFirstFilters - usual.length);
  return named(
    [...usual, ...dividing].map((profile, index): [string, FilterSetting] => [
      profile.key,
      {
        attribute: profile.key,
        label: profile.label,
        kind: kindAtFirst(profile),
        order: index + 1,
        counts: true,
        valueOrder: 'count',
      },
    ]),
  );
}

const orderNames: Readonly<Record<ValueOrder, string>> = {
  count: 'by count',
  name: 'by name',
  natural: 'in natural order',
  amount: 'by amount',
  hand: 'in an order made by hand',
};

/** What a change of a setting means, for those whose value says it by itself. */
const descriptions: { readonly [Key in keyof FilterSetting]?: (is: FilterSetting, was: FilterSetting) => string } = {
  label: (is, was) => `is now called “${is.label}” instead of “${was.label}”`,
  attribute: ({ attribute }) => `now shows “${attribute}”`,
  kind: ({ kind }) => `is now a ${filterKindNames[kind]}`,
  order: () => 'has moved',
  counts: ({ counts }) => `${counts ? 'shows' : 'hides'} its counts`,
  valueOrder: ({ valueOrder }) => `lists its values ${orderNames[valueOrder]}`,
  prefix: ({ prefix }) => (prefix ? `shows only values that begin with “${prefix}”` : 'shows all values'),
  match: ({ match }) =>
    match === 'one' ? 'lets one value be chosen' : `wants ${match === 'all' ? 'all' : 'any'} of several chosen values`,
  anyEntry: ({ anyEntry }) => `${anyEntry ? 'has' : 'no longer has'} an entry for any value`,
  selectAll: ({ selectAll }) => `${selectAll ? 'has' : 'no longer has'} an entry that chooses all`,
  help: ({ help }) => (help ? `explains itself: “${help}”` : 'has no help text any more'),
  closed: ({ closed }) => `is ${closed ? 'collapsed' : 'open'} at first`,
  showFirst: ({ showFirst = usualFilter.showFirst }) => `shows ${showFirst} values before “show more”`,
  search: ({ search }) =>
    search === undefined ? 'can be looked through where it is long' : `${search ? 'can' : 'cannot'} be looked through`,
  minimum: ({ minimum = usualFilter.minimum }) => `lists values of at least ${minimum} products`,
  hideUndividing: ({ hideUndividing }) =>
    `${hideUndividing ? 'is not' : 'is'} shown where it would not divide the results`,
  greyEmpty: ({ greyEmpty }) =>
    `${greyEmpty ? 'shows values that find nothing in grey' : 'leaves out values that find nothing'}`,
  thresholds: ({ thresholds }) =>
    thresholds?.length ? `has ranges that end at ${thresholds.join(', ')}` : 'has its usual ranges again',
  yes: ({ yes }) => (yes ? `is yes where the value is “${yes}”` : 'has no value for yes'),
  byHand: () => 'has another order of values by hand',
  first: ({ first = [] }) =>
    first.length > 0 ? `lists ${first.join(', ')} first` : 'lists no value before the others',
  hiddenValues: ({ hiddenValues = [] }) =>
    hiddenValues.length > 0 ? `does not list ${hiddenValues.join(', ')}` : 'lists all its values',
  colours: () => 'has other colours for its swatches',
  groups: ({ groups }) => (groups ? 'shows value groups' : 'shows the values as the catalog has them'),
  where: ({ where }) => (where ? 'is shown only in some places' : 'is shown everywhere'),
  after: ({ after }) => (after ? 'waits for another filter' : 'waits for no other filter'),
  chosen: ({ chosen = [] }) => (chosen.length > 0 ? 'has values preselected' : 'has nothing preselected'),
  names: () => 'has other names in other languages',
};

export const filters = openPart({
  key,
  value: filterSettingSchema,
  most: 1000,
  inside: fieldsOf({
    ...{ byHand: anOrder, first: anOrder, hiddenValues: aSet },
    where: fieldsOf({ collections: aSet, searches: aSet }),
    chosen: listBy('collection', fieldsOf({ values: aSet })),
  }),
  usualFields: {
    ...{ match: usualFilter.match, showFirst: usualFilter.showFirst, minimum: usualFilter.minimum },
    ...{ anyEntry: false, selectAll: false, closed: false, hideUndividing: false, greyEmpty: false, help: '' },
    ...{ byHand: [], first: [], hiddenValues: [], chosen: [], colours: {}, names: {} },
    where: { collections: [], searches: [] },
  },
  begin: ({ profiles }) => firstFilters(profiles),
  describe({ before, after }) {
    if (!before) return [`Filter “${after!.label}” is added`];
    if (!after) return [`Filter “${before.label}” is removed`];
    return (Object.keys(descriptions) as (keyof FilterSetting)[])
      .filter((name) => JSON.stringify(before[name] ?? null) !== JSON.stringify(after[name] ?? null))
      .map((name) => `Filter “${after.label}” ${descriptions[name]!(after, before)}`);
  },
});
