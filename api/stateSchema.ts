import { z } from 'zod';
import { setupParts } from '../core/setup/registry.ts';
import { setupSchema } from '../core/setup/schema.ts';

const revision = z.number().int().min(0).describe('The draft revision the writer saw.');

export const changeSchema = z.object({
  part: z.enum(setupParts),
  key: z.string(),
  before: z.unknown(),
  after: z.unknown(),
  sentences: z.array(z.string()),
  /** For decisions told as one: how many there are, and the name by which they are dropped together. */
  group: z.object({ name: z.string(), count: z.number().int() }).optional(),
});
export type DescribedChange = z.infer<typeof changeSchema>;

export const deskStateSchema = z.object({
  storefront: z.object({ id: z.string(), name: z.string().describe('What it is called at the desk.') }),
  draft: z.object({
    id: z.string(),
    name: z.string(),
    base: z.number().int().nullable().describe('The release it is up to, which its changes are told against.'),
    isBehind: z.boolean().describe('Whether another release is live by now.'),
  }),
  revision,
  setup: setupSchema.describe('The draft; of decisions about products only their number is reported.'),
  decisions: z.number().int().describe('Decisions about products in the draft.'),
  changes: z.array(changeSchema).describe('What the draft changes against what is published.'),
  setAside: z.number().int().describe('Entries of the draft that cannot be read; they are kept.'),
  canUndo: z.string().nullable().describe('What undo would take back, in words.'),
  canRedo: z.string().nullable(),
  release: z.object({ number: z.number().int(), at: z.string(), who: z.string() }).nullable(),
  catalog: z.object({ generation: z.number().int(), records: z.number().int(), families: z.number().int() }),
});
export type DeskState = z.infer<typeof deskStateSchema>;
