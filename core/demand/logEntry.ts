import { z } from 'zod';
import { named } from '../base/named.ts';
import { searchKey } from '../query/readUnits.ts';
import { boxClicks, longestTarget } from './otherClicks.ts';

const product = z.string().min(1).max(200);

/** Lines of the box and banners of one search, at most. */
const mostOthers = 50;

/** One search of a shopper and what came of it: a line of the shopper log. */
export const logEntrySchema = z.strictObject({
  /** When, as ISO 8601. */
  time: z.iso
    .datetime({ offset: true })
    .pipe(
      z.string().refine((text) => text >= '2000' && text < '2100', { message: 'must be in a year from 2000 to 2099' }),
    ),
  /** Names the visit, not the person. */
  session: z.string().min(1).max(100),
  search: z.string().max(512),
  /** Chosen filters by key. */
  filters: z.record(z.string().max(80), z.array(z.string().max(300)).max(100)).default({}),
  /** Products found. */
  results: z.number().int().min(0),
  clicks: z
    .array(z.strictObject({ product, place: z.number().int().min(1).max(100_000) }))
    .max(200)
    .default([]),
  baskets: z.array(product).max(200).default([]),
  purchases: z.array(product).max(200).default([]),
  /** Lines of the search box that were chosen on the way to it, by what each is. */
  box: z
    .array(z.strictObject({ kind: z.enum(boxClicks), target: z.string().max(longestTarget) }))
    .max(mostOthers)
    .default([]),
  /** Banners that were followed from it, by where they lead. */
  banners: z.array(z.string().min(1).max(longestTarget)).max(mostOthers).default([]),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** Several searches are one for counting when their folded words are the same, in order. */
export const demandKey = (search: string): string => searchKey(search);

/** What shoppers made of one search over the whole log. */
export interface Demand {
  /** As it is most often typed. */
  readonly search: string;
  readonly key: string;
  readonly searches: number;
  readonly sessions: number;
  /** Searches that found nothing, led to a click, to a basket, to a purchase. */
  readonly foundNothing: number;
  readonly clicked: number;
  readonly bought: number;
  /** Average place of the clicks, or null where nothing was clicked. */
  readonly clickPlace: number | null;
}

const time = /^\d{4}-\d{2}-\d{2}[ T]\d{2}:\d{2}/;

/** Reads a row of a CSV log: filters as `key=value`, clicks as `id@place`, lines of the box as `kind:target`, each joined by "|". */
export function entryOfCells(cells: Readonly<Record<string, string | readonly string[]>>): unknown {
  const text = (name: string): string => {
    const found = Object.entries(cells).find(([key]) => key.trim().toLowerCase() === name)?.[1];
    return typeof found === 'string' ? found.trim() : '';
  };
  const items = (name: string): string[] =>
    text(name)
      .split('|')
      .map((item) => item.trim())
      .filter(Boolean);
  const filters = named<string[]>();
  for (const item of items('filters')) {
    const [key, ...value] = item.split('=');
    filters[key!] = [...(filters[key!] ?? []), value.join('=')];
  }
  const at = text('time');
  return {
    time:
      time.test(at) && !/[zZ]|[+-]\d{2}:?\d{2}$/.test(at)
        ? `${at.replace(' ', 'T')}${at.length === 16 ? ':00' : ''}Z`
        : at,
    session: text('session'),
    search: text('search'),
    filters,
    results: text('results') === '' ? 0 : Number(text('results')),
    clicks: items('clicks').map((item) => {
      const [id, place] = item.split('@');
      return { product: id, place: Number(place ?? 1) };
    }),
    baskets: items('baskets'),
    purchases: items('purchases'),
    box: items('box').map((item) => {
      const [kind, ...target] = item.split(':');
      return { kind, target: target.join(':') };
    }),
    banners: items('banners'),
  };
}
