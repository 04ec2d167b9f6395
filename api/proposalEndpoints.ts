import { z } from 'zod';
import { proposalKinds } from '../core/proposals/proposal.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';
import { deskStateSchema } from './stateSchema.ts';

const none = z.object({});
const whole = z.number().int();

export const proposalSchema = z.object({
  id: z.string(),
  kind: z.enum(proposalKinds),
  title: z.string(),
  reason: z.string(),
  isSure: z.boolean().describe('Whether its evidence is strong; else somebody should look at it first.'),
  effect: z.object({
    areMadeUp: z.boolean().describe('Whether the searches were made up from the catalog.'),
    looked: whole,
    finding: whole,
    changed: whole,
    times: whole,
    foundBefore: whole,
    foundAfter: whole,
    fewer: whole,
    rescued: z.array(z.string()),
    examples: z.array(z.string()),
  }),
  withheld: z.string().nullable().describe('Why it is held back; null where it is worth making.'),
});
export type ProposalRow = z.infer<typeof proposalSchema>;

/** What the application proposes for the catalog in force. */
export const proposalEndpoints = {
  proposals: endpoint({
    ...paths.proposals,
    summary: 'What a setup for this catalog might say and the draft does not, each with its reason and its effect.',
    query: none,
    body: none,
    answer: z.object({
      proposals: z.array(proposalSchema),
      declined: whole,
      isComplete: z.boolean().describe('Whether all are worked out; else ask again in a moment for more.'),
      done: whole,
      of: whole.describe('Proposals known to be there so far.'),
    }),
  }),
  acceptProposals: endpoint({
    ...paths.acceptProposals,
    summary: 'Takes proposals into the draft, in one step for undo.',
    query: none,
    body: z.strictObject({ revision: whole.min(0), ids: z.array(z.string().max(200)).min(1).max(300) }),
    answer: deskStateSchema,
  }),
  declineProposal: endpoint({
    ...paths.declineProposal,
    summary: 'Does not make a proposal again; or makes all declined ones again.',
    query: none,
    body: z.strictObject({ id: z.string().max(200).nullable() }),
    answer: none,
  }),
} as const;
