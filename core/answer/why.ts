import { z } from 'zod';

/** Scores and their lines are whole thousandths of a point: 100,000 is a perfect match. */
export const points = z.number().int();

/** The ways in which a word is found. */
export const howSchema = z.enum([
  'exact',
  'form',
  'joined',
  'split',
  'synonym',
  'prefix',
  'oneEdit',
  'rivalEdit',
  'twoEdits',
  'value',
  'compound',
  'related',
]);

const foundSchema = z.object({
  attribute: z.string(),
  label: z.string(),
  term: z.string().describe('The catalog word that was found.'),
  how: howSchema,
  weight: z.number(),
  parts: z
    .object({ weight: z.number(), quality: z.number(), length: z.number(), place: z.number() })
    .describe(
      'What the gain is the product of, each 0 to 1: weight over the heaviest, how it was found, length, place.',
    ),
  words: z.number().int().describe('Words its value has, at least; exact up to 8.'),
  before: z.number().int().describe('Words of the value before it, at least; exact up to 7.'),
  gain: z.number().describe('0 to 1: how well it was found there.'),
  points,
});
const signalSchema = z.object({
  attribute: z.string(),
  label: z.string(),
  direction: z.enum(['high', 'low']),
  value: z.number().nullable(),
  how: z
    .enum(['plain', 'pulled', 'newness', 'enough'])
    .describe(
      'What the value is: the amount itself, a rating pulled to the mean, newness in percent, 1 for enough stock.',
    ),
});
export type ExplainedSignal = z.infer<typeof signalSchema>;
/** What an effect comes from: a shelf plan, a house rule, or the catalog's boost, which has neither id nor name; nor has any for shoppers. */
export const sourceSchema = z.object({
  from: z.enum(['plan', 'rule', 'collection', 'begin', 'boost']),
  id: z.string(),
  name: z.string(),
  corrected: z
    .string()
    .optional()
    .describe(
      'The search that the one typed was corrected to, where the plan holds for that and not for what was typed.',
    ),
});
export const whySchema = z.object({
  words: z.array(
    z.object({
      word: z.string(),
      share: z.number().describe('Points this word could give at most, in thousandths.'),
      best: foundSchema,
      also: foundSchema.nullable(),
    }),
  ),
  closeness: z.array(z.object({ words: z.tuple([z.string(), z.string()]), gap: z.number().int(), points })),
  whole: z
    .object({ attribute: z.string(), label: z.string(), found: z.number().int(), words: z.number().int(), points })
    .nullable()
    .describe('How much of a value the search says: so many of its words.'),
  start: points.describe(
    'What every product begins with where nothing is searched for, and what a product brought in has for its title; else 0.',
  ),
  broughtIn: z.boolean().describe('Whether it shows only since a plan brings it in.'),
  first: sourceSchema.nullable().describe('The plan, or the order of the collection, that puts it first.'),
  takenFor: sourceSchema
    .extend({ search: z.string() })
    .nullable()
    .describe('The search that this one was taken for, and by which plan.'),
  matchScore: points.describe('The sum of the lines above.'),
  pulls: z.array(sourceSchema.extend({ pull: z.number() })),
  totalPull: z.number().describe('The product of the pulls, kept between 0.1 and 10.'),
  score: points.describe('The score after pulls.'),
  closeCall: z
    .object({
      leader: points.describe('Score of the first product of the group.'),
      width: points,
      signals: z.array(signalSchema),
      decidedBy: z.string().nullable().describe('Attribute that put it below the one before it in its group.'),
    })
    .nullable(),
  sortedByPlan: sourceSchema.nullable().describe('The plan that gives the results this order.'),
  sorted: z
    .object({ label: z.string(), signals: z.array(signalSchema) })
    .nullable()
    .describe('The order chosen from the sorting menu, or that before any search, with its amounts.'),
  ahead: sourceSchema
    .nullable()
    .describe('The collection whose products stand before the others before any search; null where it is in none.'),
  begins: z
    .boolean()
    .describe('Whether `sorted` is the order before any search, which nobody chose; shuffled where it has no name.'),
  afterStock: z.boolean().describe('Whether it stands after everything in stock, being sold out.'),
  pin: sourceSchema.extend({ place: z.number().int() }).nullable(),
  exactSku: z.boolean(),
  together: z.array(z.string()).describe('Phrases of the search: only what has their words side by side is shown.'),
  narrowed: z.array(z.string()).describe('What narrowed the results instead of being looked for as words.'),
  place: z.number().int(),
});
export type Why = z.infer<typeof whySchema>;
export type FoundLine = z.infer<typeof foundSchema>;
