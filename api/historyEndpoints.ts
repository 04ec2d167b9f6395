import { z } from 'zod';
import { setupParts } from '../core/setup/registry.ts';
import { endpoint } from './endpoint.ts';
import { historyDays } from './limits.ts';
import { paths } from './paths.ts';
import { deskStateSchema } from './stateSchema.ts';

const whole = z.number().int();
const keptDays = z
  .union(historyDays.map((days) => z.literal(days)))
  .nullable()
  .describe('For how many days the history is kept; null: for good.');

/** What of the history is asked for. */
export const historyQuery = z.object({
  of: z.enum(['draft', 'storefront']).default('storefront'),
  who: z.string().max(80).default(''),
  part: z.enum(setupParts).optional(),
  product: z.string().max(200).default(''),
  before: z
    .string()
    .regex(/^\d{1,15}\/-?\d{1,15}$/)
    .transform((text) => {
      const [at, id] = text.split('/').map(Number) as [number, number];
      return { at, id };
    })
    .optional()
    .describe('Goes on behind the last step of an answer, as its `next` says.'),
});

const stepSchema = z.object({
  id: whole.describe('Names the step; below 0 for a release.'),
  at: z.string(),
  who: z.string(),
  draft: z.string().nullable(),
  draftName: z.string().nullable(),
  isHere: z.boolean().describe('Whether it is of the draft that the address names.'),
  kind: z.enum(['edit', 'undo', 'redo', 'release']),
  source: z.string().nullable().describe('Of a merge, the setup it was of.'),
  note: z.string(),
  parts: z.array(z.enum(setupParts)),
  sentences: z.array(z.string()),
  more: whole.describe('Sentences that are not told.'),
});
export type HistoryRow = z.infer<typeof stepSchema>;

/** What anybody did. */
export const historyEndpoints = {
  history: endpoint({
    ...paths.history,
    summary:
      'What anybody did in the storefront, newest first. The same with .csv at the end of the path is a CSV file.',
    query: historyQuery,
    body: z.object({}),
    answer: z.object({
      steps: z.array(stepSchema),
      people: z.array(z.string()),
      next: z.string().nullable(),
      keptDays,
    }),
  }),
  keepHistory: endpoint({
    ...paths.keepHistory,
    summary:
      'Says for how long the storefront’s history is kept. What undo, the live release or an open draft needs is kept longer.',
    query: z.object({}),
    body: z.strictObject({ days: keptDays }),
    answer: z.object({}),
  }),
  takeStepBack: endpoint({
    ...paths.takeStepBack,
    summary: 'Takes one step of the draft back, however long ago it was, as a new step.',
    query: z.object({}),
    body: z.strictObject({
      revision: whole.min(0),
      step: whole.min(1),
      changedSince: z.enum(['ask', 'keep', 'take']).default('ask'),
    }),
    answer: deskStateSchema,
  }),
} as const;
