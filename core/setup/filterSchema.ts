import { z } from 'zod';
import { languages } from '../text/languages.ts';
import { filterKinds, filterPositions, valueOrders } from './filterTerms.ts';
import { key, productId, searchText, valueText } from './texts.ts';

const label = z.string().trim().min(1).max(80);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i, { message: 'must be a colour such as #a03623' });
const language = z.enum(languages);
const values = z.array(valueText).max(500);

/** Where a filter is shown: where any of these holds, and everywhere where none is given. */
export const filterPlacesSchema = z.strictObject({
  /** Collections, by id. */
  collections: z.array(productId).max(200),
  /** Searches, compared folded and word by word. */
  searches: z.array(searchText).max(200),
  /** Where at least half of the products found have one of these values; of a path, that level or one below it. */
  values: z.array(z.strictObject({ attribute: key, value: valueText })).max(50),
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
  prefix: z.string().min(1).max(60).optional(),
  /** Several chosen values: products with any of them, or with all. Absent: any. */
  match: z.enum(['any', 'all', 'one']).optional(),
  /** An entry that takes the choice back; one that chooses all that is listed. Absent: none. */
  anyEntry: z.boolean().optional(),
  selectAll: z.boolean().optional(),
  help: z.string().trim().max(300).optional(),
  /** Collapsed until the shopper opens it. Absent: open. */
  closed: z.boolean().optional(),
  /** Values shown before "show more". Absent: eight. */
  showFirst: z.number().int().min(1).max(100).optional(),
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
    .max(20)
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
        help: z.string().trim().max(300).optional(),
        values: z.record(valueText, label),
      }),
    )
    .optional(),
});
export type FilterSetting = z.infer<typeof filterSettingSchema>;

/**
 * One value shown for several. A value of the catalog belongs to the first group that lists it (compared folded), then to
 * the first whose rule it fits: it has one of the words, or an amount from `from` up to below `to`.
 */
export const valueGroupSchema = z.strictObject({
  label,
  values: z.array(valueText).max(5000),
  words: z.array(z.string().trim().min(1).max(40)).max(50).optional(),
  from: z.number().optional(),
  to: z.number().optional(),
  /** What its swatch shows. */
  colour: colour.optional(),
  picture: z
    .string()
    .max(500)
    .regex(/^\/[^\s"\\]*$/, { message: 'must be a path within the shop, such as /pictures/red.svg' })
    .optional(),
});
export type ValueGroup = z.infer<typeof valueGroupSchema>;
/** The value groups of one attribute: used by any filter of it, and recognised in searches where the attribute is. */
export const valueGroupsSchema = z.strictObject({
  name: label,
  attribute: key,
  groups: z
    .array(valueGroupSchema)
    .max(200)
    .refine((list) => new Set(list.map((group) => group.label)).size === list.length, {
      message: 'must not have the same label twice',
    }),
  /** Values in no group: shown as they are, together as one, or not at all. */
  rest: z.enum(['own', 'together', 'hidden']),
  restLabel: label.optional(),
});
export type ValueGroups = z.infer<typeof valueGroupsSchema>;

/** Where the filters stand by the width of the shopper's window, and whether a new search keeps what was chosen. */
export const filterLayoutSchema = z.strictObject({
  wide: z.enum(filterPositions),
  /** Below 1024 pixels. */
  middle: z.enum(['above', 'drawer']),
  /** Below 500 pixels. */
  narrow: z.enum(['above', 'drawer']),
  keep: z.boolean(),
});
export type FilterLayout = z.infer<typeof filterLayoutSchema>;

/** The languages a shopper may choose from, the first being the catalog's own. */
export const storefrontLanguagesSchema = z.strictObject({ list: z.array(language).max(8) });
