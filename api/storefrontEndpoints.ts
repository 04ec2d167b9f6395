import { z } from 'zod';
import { followableParts } from '../core/setup/terms/followable.ts';
import { shopSchema } from '../core/setup/terms/shop.ts';
import { languages } from '../core/text/languages.ts';
import { endpoint } from './endpoint.ts';
import { longestName, longestNote } from './limits.ts';
import { paths } from './paths.ts';
import { setupName } from './searchQuery.ts';
import { changeSchema, deskStateSchema } from './stateSchema.ts';

const none = z.object({});
const whole = z.number().int();
const id = z.string().min(1).max(80);
const name = z.string().trim().min(1, 'It needs a name.').max(longestName);
const moment = z.string().describe('ISO 8601.');

const storefrontSchema = z.object({
  id: z.string(),
  name: z.string().describe('What it is called at the desk.'),
  shop: shopSchema.nullable().describe('As shoppers see it now.'),
  madeAt: moment,
  archivedAt: moment.nullable().describe('Since when shoppers are told that it is closed.'),
  shares: z.string().nullable().describe('The storefront whose records it shares; null: its catalog is its own.'),
  follows: z
    .array(z.object({ part: z.enum(followableParts), storefront: z.string() }))
    .describe('The parts in which it follows another one, as is live in it.'),
  records: whole,
  families: whole,
  release: whole.nullable(),
  drafts: whole,
  draft: z.string().describe('The draft one comes to where none is named.'),
});
export type StorefrontRow = z.infer<typeof storefrontSchema>;

const draftSchema = z.object({
  id: z.string(),
  name: z.string(),
  note: z.string(),
  who: z.string().describe('Who began it.'),
  madeAt: moment,
  touchedAt: moment.describe('When something was changed in it last.'),
  removedAt: moment.nullable(),
  base: whole.nullable().describe('The release it is up to.'),
  isBehind: z.boolean().describe('Whether another release is live by now.'),
  changes: whole.describe('Changes against the release it is up to.'),
  isLeftAlone: z.boolean().describe('Whether nobody changed anything in it for 90 days.'),
});
export type DraftRow = z.infer<typeof draftSchema>;

const sideSchema = z.enum(['ours', 'theirs']);
const conflictSchema = z.object({
  id: z.string(),
  part: z.string(),
  key: z.string(),
  path: z.array(z.string()),
  reason: z.string().nullable().describe('Why both cannot stand; null where both changed the same.'),
  ours: z.array(z.string()).describe('What this draft changed of it, in sentences.'),
  theirs: z.array(z.string()),
});
export type ConflictRow = z.infer<typeof conflictSchema>;

/** Storefronts and drafts as wholes. */
export const storefrontEndpoints = {
  storefronts: endpoint({
    ...paths.storefronts,
    summary: 'The storefronts, oldest first.',
    query: none,
    body: none,
    answer: z.object({ storefronts: z.array(storefrontSchema) }),
  }),
  makeStorefront: endpoint({
    ...paths.makeStorefront,
    summary:
      'Makes a storefront: empty, or with what is live in another one, with its catalog, sharing its records, or without.',
    query: none,
    body: z.strictObject({
      name,
      shop: shopSchema,
      language: z
        .enum(languages)
        .nullable()
        .default(null)
        .describe('What its catalog is read in; null: as its texts are.'),
      from: z
        .strictObject({
          storefront: id,
          catalog: z.enum(['none', 'copy', 'share']),
          follow: z.boolean().default(false).describe('Whether it follows the other one in every part.'),
        })
        .nullable(),
    }),
    answer: z.object({ id: z.string(), draft: z.string() }),
  }),
  shareCatalog: endpoint({
    ...paths.shareCatalog,
    summary:
      'Has the storefront share another one’s records, read by its own mapping; with null it keeps what it has for its own.',
    query: none,
    body: z.strictObject({ storefront: id.nullable() }),
    answer: none,
  }),
  nameStorefront: endpoint({
    ...paths.nameStorefront,
    summary: 'Says what a storefront is called at the desk; its addresses stay.',
    query: none,
    body: z.strictObject({ id, name }),
    answer: none,
  }),
  archiveStorefront: endpoint({
    ...paths.archiveStorefront,
    summary: 'Closes a storefront for shoppers, or opens it again; nothing of it is lost.',
    query: none,
    body: z.strictObject({ id, archived: z.boolean() }),
    answer: none,
  }),
  removeStorefront: endpoint({
    ...paths.removeStorefront,
    summary:
      'Removes a storefront with all that is kept of it, for good. Its name is typed, so that it is the one meant.',
    query: none,
    body: z.strictObject({ id, typed: z.string().max(200) }),
    answer: none,
  }),
  drafts: endpoint({
    ...paths.drafts,
    summary: 'The drafts of the storefront, oldest first, those taken out too.',
    query: none,
    body: none,
    answer: z.object({ live: whole.nullable(), drafts: z.array(draftSchema) }),
  }),
  beginDraft: endpoint({
    ...paths.beginDraft,
    summary: 'Begins a draft from another setup of the storefront.',
    query: none,
    body: z.strictObject({ name, note: z.string().trim().max(longestNote).default(''), from: setupName }),
    answer: z.object({ id: z.string() }),
  }),
  nameDraft: endpoint({
    ...paths.nameDraft,
    summary: 'Names a draft and notes something about it; its address stays.',
    query: none,
    body: z.strictObject({ draft: id, name, note: z.string().trim().max(longestNote) }),
    answer: none,
  }),
  takeOutDraft: endpoint({
    ...paths.takeOutDraft,
    summary: 'Takes a draft out; it can be put back.',
    query: none,
    body: z.strictObject({ draft: id }),
    answer: none,
  }),
  putBackDraft: endpoint({
    ...paths.putBackDraft,
    summary: 'Puts a draft back that was taken out.',
    query: none,
    body: z.strictObject({ draft: id }),
    answer: none,
  }),
  mergePreview: endpoint({
    ...paths.mergePreview,
    summary: 'What merging another setup of the storefront into the draft would change, and what it asks.',
    query: z.object({ from: setupName }),
    body: none,
    answer: z.object({ revision: whole, changes: z.array(changeSchema), conflicts: z.array(conflictSchema) }),
  }),
  place: endpoint({
    ...paths.place,
    summary: 'Says on which screen and in which field somebody is, for the others at the same draft.',
    query: none,
    body: z.strictObject({ tab: z.string().min(1).max(80), screen: z.string().max(200), field: z.string().max(120) }),
    answer: none,
  }),
  merge: endpoint({
    ...paths.merge,
    summary: 'Merges another setup of the storefront into the draft, as one step; every conflict is answered.',
    mostBytes: 4_000_000,
    query: none,
    body: z.strictObject({
      revision: whole.min(0),
      from: setupName,
      answers: z.array(z.strictObject({ id: z.string().max(2000), side: sideSchema })).max(20_000),
    }),
    answer: deskStateSchema,
  }),
} as const;
