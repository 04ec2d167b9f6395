import { z } from 'zod';
import { longestQuery } from '../core/query/readUnits.ts';
import { furthestPlace } from '../core/search/laidOut.ts';
import type { SearchRequest } from '../core/search/searchRequest.ts';
import { readName } from '../core/setup/setupRef.ts';
import { besideKinds } from '../core/setup/terms/besidesTerms.ts';
import { momentText } from '../core/setup/terms/moments.ts';
import { devices } from '../core/setup/terms/planTerms.ts';
import type { BoxRequest } from '../core/suggest/suggest.ts';
import { languages } from '../core/text/languages.ts';
import { chosenFilters } from './filterParameters.ts';
import { unknownName } from './problem.ts';

/** Most products a page. */
const mostPerPage = 250;
/** Where neither a request nor a layout says how many. */
const usualPerPage = 24;
/** Values one filter may be given at once. */
const mostChosen = 100;

const wholeNumber = (least: number, most: number) =>
  z
    .string()
    .regex(/^\d{1,6}$/, 'must be a whole number')
    .transform(Number)
    .pipe(z.number().int().min(least).max(most));
export const flag = z.enum(['0', '1']).transform((value) => value === '1');
const texts = z.union([z.string().max(300), z.array(z.string().max(300)).max(mostChosen).readonly()]);

/** Sayings given once or several times. */
export const sayings = z
  .union([z.string().max(200), z.array(z.string().max(200)).max(12)])
  .default([])
  .transform((value) => [value].flat());

/** A setup by its name in its storefront: `draft:winter`, `release:12`, `release:live`. */
export const setupName = z
  .string()
  .max(60)
  .refine((text) => readName('-', text) !== null, 'must be draft:NAME, release:NUMBER or release:live');

/** By which a page of another site asks; a program and the shop's own pages need none. */
export const shopKey = z.string().max(100).optional();

const shopFields = {
  q: z.string().max(longestQuery, `must have at most ${longestQuery} characters`).default(''),
  page: wholeNumber(1, furthestPlace).default(1),
  /** Absent: as many as the shop's layout shows at once; where it goes on below, all up to the page. */
  limit: wholeNumber(1, mostPerPage).optional(),
  typing: flag.default(false),
  collection: z.string().max(200).default(''),
  /** The order chosen from the sorting menu. */
  sort: z.string().max(80).default(''),
  /** Sayings to be taken as words though they are recognised. */
  asWords: sayings,
  /** Only what was typed: nothing corrected, left out or looked for instead. */
  exactly: flag.default(false),
  /** What the shopper looks with, where the shop says so: plans may hold for some devices only. */
  device: z.enum(devices).optional(),
  /** All articles, or collections, that the search finds, besides the products. */
  show: z.enum(besideKinds).optional(),
  /** Asked by the search box while the shopper types. */
  box: flag.default(false),
  /** The shopper's language, for the names of filters and values. */
  language: z.enum(languages).optional(),
  /** `KEY:text`: the values of that filter with this text in their names, for looking through long lists. */
  like: z
    .string()
    .max(200)
    .regex(/^[^:]{1,80}:/, 'must be a filter’s key, a colon and a text')
    .transform((text) => ({ key: text.slice(0, text.indexOf(':')), text: text.slice(text.indexOf(':') + 1) }))
    .optional(),
};
const deskFields = {
  ...shopFields,
  /** Which setup of the storefront answers; absent: the draft that the address names. */
  from: setupName.optional(),
  /** The moment it is asked as of, on the storefront's clock: what is in force by its dates then; absent: now. */
  at: momentText.optional(),
  explain: flag.default(false),
  /** Compare places with what is published. */
  movement: flag.default(false),
};

/** What the search box is asked. */
const suggestFields = { q: shopFields.q, device: shopFields.device, language: shopFields.language };
export const shopSuggestQuery = z.object({ ...suggestFields, key: shopKey });
export const deskSuggestQuery = z.object({ ...suggestFields, from: deskFields.from, at: deskFields.at });
/** The engine's request from a validated query. */
export const boxRequestOf = ({ q, device, language }: z.output<typeof shopSuggestQuery>): BoxRequest => ({
  typed: q,
  ...(device && { device }),
  ...(language && { language }),
});

const many = z.union([z.string().max(80), z.array(z.string().max(80)).max(60)]).transform((value) => [value].flat());
/** What a stretch of the catalog's table is asked for by. */
export const listFields = {
  q: shopFields.q,
  columns: many.default([]),
  missing: many.default([]),
  state: z.enum(['all', 'decided', 'hidden', 'soldOut']).default('all'),
  kind: z.enum(['products', 'variants']).default('products'),
  sort: z.string().max(80).default(''),
  direction: z.enum(['up', 'down']).default('up'),
  offset: wholeNumber(0, 999_999).default(0),
  count: wholeNumber(1, 300).default(100),
};

/** Filters are given as `f.KEY=value`, repeated for several values; a range as `from..to`. */
export function withFilters<Fields extends z.ZodRawShape>(fields: Fields) {
  const known = [...Object.keys(fields), 'f.KEY'];
  return z
    .object(fields)
    .catchall(texts)
    .superRefine((query, context) => {
      for (const name of Object.keys(query))
        if (!Object.hasOwn(fields, name) && !/^f\..{1,80}$/.test(name))
          context.addIssue({ code: 'custom', path: [name], message: unknownName('parameter', name, known) });
      const { page, limit } = query as unknown as { page?: number; limit?: number };
      if ((page ?? 1) * (limit ?? 1) > furthestPlace)
        context.addIssue({
          code: 'custom',
          path: ['page'],
          message: `only the first ${furthestPlace} places can be shown`,
        });
    });
}

export const shopSearchQuery = withFilters({ ...shopFields, key: shopKey });
export const deskSearchQuery = withFilters(deskFields);

/** The engine's request from a validated query: by the shop, the desk and the terminal alike. */
export function requestOf(query: z.output<typeof shopSearchQuery>): SearchRequest {
  const { q, page, limit, typing, collection, sort, asWords, exactly, box, device, language, like, show, ...rest } =
    query;
  return {
    query: q,
    page,
    limit: limit ?? usualPerPage,
    ...(limit === undefined && { asLaidOut: true }),
    typing,
    collection,
    sort,
    asWords,
    exactly,
    box,
    filters: chosenFilters(rest),
    ...(device && { device }),
    ...(language && { language }),
    ...(like && { like }),
    ...(show && { show }),
  };
}
