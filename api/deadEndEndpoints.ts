import { z } from 'zod';
import { deadEndCauses, deadEndKinds } from '../core/proposals/deadEnds.ts';
import { remedyKinds } from '../core/proposals/remedy.ts';
import { longestQuery } from '../core/query/readUnits.ts';
import { endpoint } from './endpoint.ts';
import { mostMendedAtOnce } from './limits.ts';
import { paths } from './paths.ts';
import { deskStateSchema } from './stateSchema.ts';

const none = z.object({});
const whole = z.number().int();

const deadEndSchema = z.object({
  search: z.string(),
  kind: z
    .enum(deadEndKinds)
    .describe('It finds nothing; it finds something nobody opened; it is mostly asked again in other words.'),
  cause: z.enum(deadEndCauses),
  also: z.array(z.string()).describe('The same search with a slip in it, as it was made too; counted with it.'),
  searches: whole.describe('How often it was made.'),
  sessions: whole.describe('Visits in which it was made.'),
  total: whole.describe('Products it finds.'),
});
export type DeadEndRow = z.infer<typeof deadEndSchema>;

const remedySchema = z.object({
  id: z.string(),
  kind: z.enum(remedyKinds),
  title: z.string(),
  total: whole.describe('Products a shopper would find.'),
  titles: z.array(z.string()).describe('The first of them.'),
  message: z.string().nullable().describe('Where nothing is found still: what stands there.'),
  mends: whole.describe('Dead ends it mends.'),
  mendsTimes: whole.describe('How often those are made.'),
  others: z.array(z.string()).describe('Of the searches made most, others whose first page changes.'),
});
export type RemedyRow = z.infer<typeof remedySchema>;

/** Searches that lead shoppers nowhere, and what mends them. */
export const deadEndEndpoints = {
  deadEnds: endpoint({
    ...paths.deadEnds,
    summary: 'The searches of the log that lead shoppers nowhere under the draft, most shoppers first.',
    query: none,
    body: none,
    answer: z.object({
      hasLog: z.boolean().describe('Whether any search of a shopper is known.'),
      deadEnds: z.array(deadEndSchema),
    }),
  }),
  remedies: endpoint({
    ...paths.remedies,
    summary: 'What may mend one of them, each tried out on the draft. Nothing is changed.',
    query: z.object({ q: z.string().max(longestQuery) }),
    body: none,
    answer: z.object({ remedies: z.array(remedySchema) }),
  }),
  takeRemedies: endpoint({
    ...paths.takeRemedies,
    summary: 'Takes remedies into the draft, in one step for undo.',
    query: none,
    body: z.strictObject({
      revision: whole.min(0),
      chosen: z
        .array(z.strictObject({ search: z.string().max(longestQuery), id: z.string().max(500) }))
        .min(1)
        .max(mostMendedAtOnce),
    }),
    answer: deskStateSchema,
  }),
} as const;
