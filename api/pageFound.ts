import { z } from 'zod';

/** What came of asking for a page of the own site or of another one. */
export const pageFoundSchema = z.object({
  is: z
    .enum(['there', 'gone', 'other', 'not-allowed', 'no-connection', 'too-slow', 'no-address', 'not-named'])
    .describe(
      'Other: it answers with another status. Not allowed: it leads into a private network. No address: a page of the own site, whose web address is not said. Not named: no redirect of the draft leads there.',
    ),
  statusCode: z.number().int().optional(),
});
export type PageFound = z.infer<typeof pageFoundSchema>;

/** Pages asked for in one request. */
export const mostPagesAsked = 12;
