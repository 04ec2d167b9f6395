import { z } from 'zod';
import { mostSearchesListed } from '../core/demand/mostSearchesListed.ts';
import { longestTarget, otherClicks } from '../core/demand/otherClicks.ts';
import { endpoint } from './endpoint.ts';
import { historyDays } from './limits.ts';
import { paths } from './paths.ts';
import { shopKey } from './searchQuery.ts';

const none = z.object({});
const byKey = z.object({ key: shopKey });
const whole = z.number().int();

const demandSchema = z.object({
  search: z.string(),
  key: z.string(),
  searches: whole,
  sessions: whole,
  foundNothing: whole,
  clicked: whole,
  bought: whole,
  clickPlace: z.number().nullable(),
});
const logSummarySchema = z.object({
  searches: whole,
  sessions: whole,
  foundNothing: whole,
  clicks: whole,
  purchases: whole,
  from: z.string().nullable(),
  to: z.string().nullable(),
});

const session = z.string().min(1).max(100);
/** What shoppers searched for. */
export const demandEndpoints = {
  topSearches: endpoint({
    ...paths.topSearches,
    summary: 'The searches made most: a list that is kept, so that it is there at once.',
    query: none,
    body: none,
    answer: z.object({ top: z.array(z.object({ search: z.string(), searches: whole })) }),
  }),
  demand: endpoint({
    ...paths.demand,
    summary: 'What shoppers searched for, most often first, and what came of it.',
    query: z.object({
      limit: z
        .string()
        .regex(/^\d{1,5}$/)
        .transform(Number)
        .pipe(whole.min(1).max(mostSearchesListed))
        .default(100),
    }),
    body: none,
    answer: z.object({
      summary: logSummarySchema,
      top: z.array(demandSchema),
      chosen: z
        .array(z.object({ inBox: z.boolean(), kind: z.string(), times: whole }))
        .describe('Besides products among results.'),
      isOn: z.boolean().describe('Whether what shoppers do is written.'),
      keptDays: z
        .union(historyDays.map((days) => z.literal(days)))
        .nullable()
        .describe('For how long; null: for good.'),
    }),
  }),
  bringInLog: endpoint({
    ...paths.bringInLog,
    summary:
      'Takes a shopper log in (JSON Lines or CSV as the request body); lines that are there already are taken once.',
    query: none,
    body: none,
    answer: z.object({
      searches: whole,
      refused: whole,
      refusedLines: z.array(z.object({ line: whole, column: z.string(), reason: z.string() })),
    }),
  }),
  noteSearch: endpoint({
    ...paths.noteSearch,
    summary: 'The shop notes a search as it is made.',
    query: byKey,
    body: z.strictObject({
      session,
      search: z.string().max(512),
      filters: z.record(z.string().max(80), z.array(z.string().max(300)).max(100)).default({}),
      results: whole.min(0),
      inDesk: z.boolean().default(false),
    }),
    answer: z.object({
      id: whole
        .nullable()
        .describe('Null where it is not written: the shop writes nothing, or the shopper asks not to be followed.'),
    }),
  }),
  noteClick: endpoint({
    ...paths.noteClick,
    summary: 'The shop notes what was chosen under the search box, or a banner.',
    query: byKey,
    body: z.strictObject({
      session,
      inBox: z.boolean(),
      search: z.string().max(512).describe('As far as it was typed.'),
      kind: z.enum(otherClicks),
      target: z.string().max(longestTarget),
    }),
    answer: none,
  }),
  keepLog: endpoint({
    ...paths.keepLog,
    summary: 'Says whether what shoppers of the storefront do is written, and for how many days it is kept.',
    query: none,
    body: z.strictObject({ isOn: z.boolean(), days: z.union(historyDays.map((days) => z.literal(days))).nullable() }),
    answer: none,
  }),
  noteOutcome: endpoint({
    ...paths.noteOutcome,
    summary: 'The shop notes what came of a search: a click with its place, a basket, a purchase.',
    query: byKey,
    body: z.strictObject({
      session,
      search: whole,
      kind: z.enum(['click', 'basket', 'purchase']),
      product: z.string().min(1).max(200),
      place: whole.min(1).max(100_000).nullable().default(null),
    }),
    answer: none,
  }),
} as const;
