import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { previewDays } from './limits.ts';
import { paths } from './paths.ts';

const none = z.object({});
const previewSchema = z.object({
  token: z.string(),
  who: z.string(),
  madeAt: z.string(),
  endsAt: z.string(),
});
export type PreviewRow = z.infer<typeof previewSchema>;

/** Links by which a draft's shop is shown to somebody without the desk. */
export const previewEndpoints = {
  previews: endpoint({
    ...paths.previews,
    summary: 'The links to the shop under this draft that are open.',
    query: none,
    body: none,
    answer: z.object({ previews: z.array(previewSchema) }),
  }),
  makePreview: endpoint({
    ...paths.makePreview,
    summary: 'Makes a link to the shop under this draft, for so many days.',
    query: none,
    body: z.strictObject({ days: z.union(previewDays.map((days) => z.literal(days))) }),
    answer: previewSchema,
  }),
  withdrawPreview: endpoint({
    ...paths.withdrawPreview,
    summary: 'Ends a link at once.',
    query: none,
    body: z.strictObject({ token: z.string().max(100) }),
    answer: none,
  }),
} as const;
