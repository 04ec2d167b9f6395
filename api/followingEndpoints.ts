import { z } from 'zod';
import { followableParts } from '../core/setup/terms/followable.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';
import { deskStateSchema } from './stateSchema.ts';

const none = z.object({});
const part = z.enum(followableParts);

/** Parts that follow another storefront's. A part begins to follow by an edit of `following`. */
export const followingEndpoints = {
  reach: endpoint({
    ...paths.reach,
    summary: 'Which other storefronts publishing the draft would reach, and in which parts they follow this one.',
    query: none,
    body: none,
    answer: z.object({
      storefronts: z.array(
        z.object({ id: z.string(), name: z.string(), parts: z.array(part).describe('What becomes other there.') }),
      ),
    }),
  }),
  ownPart: endpoint({
    ...paths.ownPart,
    summary: 'Makes a part that follows another storefront’s the storefront’s own, as it is there.',
    query: none,
    body: z.strictObject({ revision: z.number().int().min(0), part }),
    answer: deskStateSchema,
  }),
} as const;
