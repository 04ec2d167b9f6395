import { z } from 'zod';
import { vocabularyEntrySchema } from '../core/setup/parts/vocabulary.ts';
import { languages } from '../core/text/languages.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';

const whole = z.number().int();
const keyed = z.array(z.object({ key: z.string(), entry: vocabularyEntrySchema }));

export const entryNoteSchema = z.object({
  key: z.string(),
  searches: whole.describe('Different searches of the log that say one of its words.'),
  times: whole.describe('How often those are made.'),
  added: whole.describe('Products that those searches find only by it, of the searches made most.'),
  problems: z.array(z.object({ code: z.enum(['findsNothing', 'twice', 'circle']), text: z.string() })),
});
export type EntryNote = z.infer<typeof entryNoteSchema>;

/** The vocabulary: what its entries do, and synonyms from a file. */
export const vocabularyEndpoints = {
  vocabularyNotes: endpoint({
    ...paths.vocabularyNotes,
    summary: 'What entries of the draft’s vocabulary do for real searches, and what is worth a look about them.',
    query: z.object({
      key: z.union([z.string().max(80), z.array(z.string().max(80)).max(60)]).transform((value) => [value].flat()),
    }),
    body: z.object({}),
    answer: z.object({ notes: z.array(entryNoteSchema) }),
  }),
  usualStopWords: endpoint({
    ...paths.usualStopWords,
    summary:
      'Words of a published list for the catalog’s language that no title or other short value has, and which of the draft’s do.',
    query: z.object({}),
    body: z.object({}),
    answer: z.object({
      language: z.enum(languages),
      usual: z.array(z.string()),
      meaningful: z
        .array(z.object({ word: z.string(), products: whole }))
        .describe('Words passed over now that titles have, with the products they matter for.'),
      idle: z.array(z.string()).describe('Entries that no search is ever passed over for: amounts, several words.'),
    }),
  }),
  vocabularyTimes: endpoint({
    ...paths.vocabularyTimes,
    summary: 'How often the searches made most say a word of each entry of the draft’s vocabulary, by the entry’s key.',
    query: z.object({}),
    body: z.object({}),
    answer: z.object({ times: z.record(z.string(), whole) }),
  }),
  dictionary: endpoint({
    ...paths.dictionary,
    summary:
      'How many words a misspelt one is held against: the catalog’s, and those only the draft’s vocabulary says.',
    query: z.object({}),
    body: z.object({}),
    answer: z.object({
      catalog: whole,
      vocabulary: whole,
      popular: z.array(z.string()).describe('Words of searches that led to a click, the commonest first.'),
    }),
  }),
  readVocabulary: endpoint({
    ...paths.readVocabulary,
    mostBytes: 16_000_000,
    summary: 'Reads synonyms from CSV and says what bringing them in would change; nothing is changed.',
    query: z.object({}),
    body: z.strictObject({ csv: z.string().max(4_000_000) }),
    answer: z.object({
      added: keyed,
      changed: keyed,
      unchanged: whole,
      refused: z.array(z.object({ line: whole, reason: z.string() })),
      refusedInAll: whole,
    }),
  }),
} as const;
