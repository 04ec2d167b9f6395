import { z } from 'zod';

/** Style sheets of a page that are asked for. */
export const mostSheets = 12;

/** What came of asking a page of another host for its style. */
export const styleFoundSchema = z.object({
  problem: z
    .enum(['not-allowed', 'no-connection', 'not-found', 'too-slow', 'too-large', 'no-style'])
    .optional()
    .describe('Not allowed: it leads into a private network. No style: a page that says none.'),
  styles: z.array(z.string()).describe('The style sheets, in the order in which they hold.'),
});
export type StyleFound = z.infer<typeof styleFoundSchema>;
