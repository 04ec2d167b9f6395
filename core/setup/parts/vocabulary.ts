import { z } from 'zod';
import { conditionSchema } from '../terms/condition.ts';
import { conditionInWords } from '../terms/conditionInWords.ts';
import { aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { longest, most } from '../terms/limits.ts';
import { listed, type NamesForChanges, openPart } from '../terms/part.ts';
import { key } from '../terms/texts.ts';

const word = z.string().trim().min(1).max(longest.word);
const words = z.array(word).max(most.words);
/** One side of a synonym: a word, or up to four that belong together. */
const saying = z
  .string()
  .trim()
  .min(1)
  .max(longest.saying)
  .refine((text) => text.split(/\s+/).length <= most.sayingWords, {
    message: 'must have at most four words',
  });
/** How a recognised value counts: as found in the best way there is, or as a filter. */
const recognisedWays = ['strong', 'filter'] as const;
const entryName = z.string().trim().min(1).max(longest.entryName).optional();

/**
 * What is decided about words: those that are passed over, sets that mean the same, words that lead to others one way
 * (`aquarelle` finds watercolour, not the reverse), and what spelling may and may not do.
 */
export const vocabularyEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('stopWords'), words }),
  z.strictObject({
    what: z.literal('synonyms'),
    name: entryName,
    words: z.array(saying).min(2).max(most.sayings),
    on: z.boolean(),
  }),
  z.strictObject({
    what: z.literal('oneWay'),
    name: entryName,
    from: z.array(saying).min(1).max(most.sayings),
    to: z.array(saying).min(1).max(most.sayings),
    on: z.boolean(),
  }),
  z.strictObject({
    what: z.literal('corrections'),
    pairs: z.array(z.strictObject({ from: word, to: word })).max(most.words),
  }),
  z.strictObject({ what: z.literal('neverCorrected'), words }),
  z.strictObject({ what: z.literal('neverOffered'), words }),
  /** Words shoppers search for, the commonest first: of equally near corrections these come first. */
  z.strictObject({ what: z.literal('spoken'), words }),
  /** Words that belong together: found side by side before apart. */
  z.strictObject({
    what: z.literal('phrases'),
    phrases: z
      .array(saying.refine((text) => /\s/.test(text), { message: 'must have at least two words' }))
      .max(most.words),
  }),
  /**
   * What is recognised in a search besides words: limits of price, values of attributes (counted as strong matches, or
   * turned into filters), and sayings that stand for a condition.
   */
  z.strictObject({
    what: z.literal('recognised'),
    price: z.boolean(),
    attributes: z.record(key, z.enum(recognisedWays)).optional(),
    conditions: z
      .array(z.strictObject({ words: saying, condition: conditionSchema }))
      .max(most.conditions)
      .optional(),
  }),
]);
export type VocabularyEntry = z.infer<typeof vocabularyEntrySchema>;
type Kind = VocabularyEntry['what'];
type Entry<What extends Kind> = Extract<VocabularyEntry, { what: What }>;

const quoted = (texts: readonly string[]): string => texts.map((text) => `“${text}”`).join(', ');
/** What was added to a list and what was taken from it. */
function listChange(what: string, was: readonly string[], is: readonly string[]): string[] {
  const more = is.filter((text) => !was.includes(text));
  const less = was.filter((text) => !is.includes(text));
  return [
    ...(more.length > 0 ? [`${what} added: ${quoted(more)}`] : []),
    ...(less.length > 0 ? [`${what} removed: ${quoted(less)}`] : []),
  ];
}

function correctionsChange(before: Entry<'corrections'> | null, after: Entry<'corrections'> | null): string[] {
  const [was, is] = [before?.pairs ?? [], after?.pairs ?? []];
  const has = (pairs: typeof was, { from, to }: (typeof was)[number]) =>
    pairs.some((pair) => pair.from === from && pair.to === to);
  return [
    ...is.filter((pair) => !has(was, pair)).map(({ from, to }) => `“${from}” is always corrected to “${to}”`),
    ...was.filter((pair) => !has(is, pair)).map(({ from, to }) => `“${from}” is no longer always corrected to “${to}”`),
  ];
}

const wayTexts = { strong: 'count as strong matches', filter: 'narrow its results' } as const;

function recognisedChange(
  before: Entry<'recognised'> | null,
  after: Entry<'recognised'> | null,
  names: NamesForChanges,
): string[] {
  const said: string[] = [];
  if ((before?.price ?? false) !== (after?.price ?? false))
    said.push(
      after?.price
        ? 'Limits of price in a search narrow its results'
        : 'Limits of price in a search are words like any other',
    );
  for (const attribute of new Set([
    ...Object.keys(before?.attributes ?? {}),
    ...Object.keys(after?.attributes ?? {}),
  ])) {
    const way = after?.attributes?.[attribute];
    if (way !== before?.attributes?.[attribute])
      said.push(
        `Values of ${names.attribute(attribute)} named in a search ${way ? wayTexts[way] : 'are words like any other'}`,
      );
  }
  const sayings = (of: Entry<'recognised'> | null) =>
    new Map(
      (of?.conditions ?? []).map((each) => [
        each.words,
        conditionInWords(each.condition, names.attribute, names.collection),
      ]),
    );
  const [was, is] = [sayings(before), sayings(after)];
  for (const [text, condition] of is)
    if (was.get(text) !== condition) said.push(`“${text}” in a search stands for: ${condition}`);
  for (const text of was.keys()) if (!is.has(text)) said.push(`“${text}” is a word like any other`);
  return said;
}

/** What a change of each kind of entry means. */
const descriptions: {
  readonly [What in Kind]: (before: Entry<What> | null, after: Entry<What> | null, names: NamesForChanges) => string[];
} = {
  stopWords: (before, after) => listChange('Stop words', before?.words ?? [], after?.words ?? []),
  synonyms: (before, after) =>
    after
      ? [`${quoted(after.words)} ${after.on ? 'are synonyms' : 'are switched off as synonyms'}`]
      : [`${quoted(before!.words)} are no longer synonyms`],
  oneWay(before, after) {
    const { from, to, on } = (after ?? before)!;
    const finds = after ? (on ? 'finds' : 'is switched off for') : 'no longer finds';
    return [`${quoted(from)} ${finds} ${quoted(to)}`];
  },
  corrections: correctionsChange,
  neverCorrected: (_, after) => [`Never corrected: ${listed(after?.words.map((each) => `“${each}”`) ?? [])}`],
  neverOffered: (_, after) => [
    `Never suggested as a correction: ${listed(after?.words.map((each) => `“${each}”`) ?? [])}`,
  ],
  spoken: (_, after) => [
    after
      ? `Of equally near corrections ${after.words.length} words shoppers search for come first`
      : 'Of equally near corrections the commonest in the catalog come first',
  ],
  phrases: (before, after) => listChange('Phrases', before?.phrases ?? [], after?.phrases ?? []),
  recognised: recognisedChange,
};

function describeKind<What extends Kind>(
  what: What,
  before: VocabularyEntry | null,
  after: VocabularyEntry | null,
  names: NamesForChanges,
): string[] {
  const of = (entry: VocabularyEntry | null) => (entry?.what === what ? (entry as Entry<What>) : null);
  return descriptions[what](of(before), of(after), names);
}

export const vocabulary = openPart({
  key,
  value: vocabularyEntrySchema,
  most: 20_000,
  inside: fieldsOf({
    ...{ words: aSet, from: aSet, to: aSet, phrases: aSet },
    pairs: listBy('from'),
    conditions: listBy('words'),
  }),
  usualFields: { attributes: {}, conditions: [] },
  describe: ({ before, after }, names) => describeKind((after ?? before)!.what, before, after, names),
});
