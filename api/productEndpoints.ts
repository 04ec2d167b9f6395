import { z } from 'zod';
import { hidingLimits } from '../core/setup/parts/hiding.ts';
import { decisionSchema } from '../core/setup/parts/products.ts';
import { longest } from '../core/setup/terms/limits.ts';
import { productId as id, key } from '../core/setup/terms/texts.ts';
import { endpoint } from './endpoint.ts';
import { mostCells, mostIds } from './limits.ts';
import { paths } from './paths.ts';
import { listFields, withFilters } from './searchQuery.ts';
import { deskStateSchema } from './stateSchema.ts';

const none = z.object({});
const whole = z.number().int();
const revision = whole.min(0).describe('The draft revision the writer saw.');

const listedCellSchema = z.object({
  text: z.string(),
  shown: z.string(),
  different: whole.describe('Different values among the variants the row stands for.'),
  from: z.enum(['file', 'here']),
  contested: z.boolean().describe('Whether both the file and a decision have a value.'),
});
export const listedRowSchema = z.object({
  id: z.string(),
  product: z.string(),
  variant: z.string().nullable(),
  title: z.string(),
  picture: z.string().nullable(),
  variants: whole,
  isSoldOut: z.boolean(),
  isHidden: z.boolean(),
  cells: z.record(z.string(), listedCellSchema),
});
export type ListedProduct = z.infer<typeof listedRowSchema>;

/** Which products are meant: some by id, or all that a list shows, but for some. */
export const whichSchema = z.union([
  z.strictObject({ ids: z.array(id).min(1).max(mostIds) }),
  z.strictObject({
    list: z.strictObject({
      q: z.string().max(512).default(''),
      filters: z.record(key, z.array(z.string().max(longest.value)).max(100)).default({}),
      missing: z.array(key).max(20).default([]),
      state: z.enum(['all', 'decided', 'hidden', 'soldOut']).default('all'),
      except: z.array(id).max(mostIds).default([]),
    }),
  }),
]);
export type Which = z.infer<typeof whichSchema>;

export const productActSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('addTag'), tag: z.string().trim().min(1).max(200) }),
  z.strictObject({ act: z.literal('removeTag'), tag: z.string().trim().min(1).max(200) }),
  z.strictObject({ act: z.literal('set'), attribute: key, text: z.string().max(longest.decidedText) }),
  z.strictObject({ act: z.literal('discard'), attribute: key.nullable() }),
  z.strictObject({ act: z.literal('hide'), ...hidingLimits }),
  z.strictObject({ act: z.literal('show') }),
]);
export type ProductAct = z.infer<typeof productActSchema>;

const freshnessSchema = z.object({
  importedAt: z.string(),
  factsAt: z
    .string()
    .nullable()
    .describe('When a feed last changed a price or stock; null where none has since the import.'),
  version: z.string().describe('Changes with everything that is new in the index.'),
  feed: z.object({ isOn: z.boolean(), changed: whole }).describe('The simulated feed that ships with the demo.'),
});

/** Looking through the catalog, and deciding about its products. */
export const productEndpoints = {
  rows: endpoint({
    ...paths.rows,
    summary: 'A stretch of the catalog’s table: products or variants, hidden and sold-out ones too.',
    query: withFilters(listFields),
    body: none,
    answer: z.object({ total: whole, products: whole, rows: z.array(listedRowSchema) }),
  }),
  product: endpoint({
    ...paths.product,
    summary:
      'Everything known of one product: its variants, what was decided about it, the rules that touch it, where it stands.',
    query: z.object({ id, searches: z.union([z.string().max(200), z.array(z.string().max(200)).max(30)]).optional() }),
    body: none,
    answer: z.object({
      id: z.string(),
      title: z.string(),
      picture: z.string().nullable(),
      attributes: z.array(
        z.object({
          key: z.string(),
          label: z.string(),
          ofVariants: z.boolean(),
          canDecide: z.boolean(),
          wins: z.enum(['here', 'file']),
        }),
      ),
      variants: z.array(
        z.object({
          id: z.string(),
          sku: z.string(),
          values: z.record(
            z.string(),
            z.object({ text: z.string(), fact: z.string(), from: z.enum(['file', 'here']), contested: z.boolean() }),
          ),
        }),
      ),
      decisions: z.array(z.object({ key: z.string(), decision: decisionSchema, text: z.string() })),
      rules: z.array(
        z.object({
          kind: z.enum(['pin', 'pull', 'hidden', 'file', 'boost']),
          plan: z.string().nullable(),
          rule: z.string().nullable(),
          text: z.string(),
          isInForce: z.boolean(),
        }),
      ),
      searches: z.array(z.object({ query: z.string(), place: whole.nullable(), of: whole })),
    }),
  }),
  editCells: endpoint({
    ...paths.editCells,
    mostBytes: 16_000_000,
    summary: 'Types values into cells of the catalog’s table: decisions of the draft, all or none.',
    query: none,
    body: z.strictObject({
      revision,
      cells: z
        .array(
          z.strictObject({
            product: id,
            variant: id.nullable(),
            attribute: key,
            text: z.string().max(longest.decidedText),
          }),
        )
        .min(1)
        .max(mostCells),
    }),
    answer: deskStateSchema,
  }),
  editProducts: endpoint({
    ...paths.editProducts,
    mostBytes: 8_000_000,
    summary: 'Does one thing to many products: decisions of the draft, all or none, one step for undo.',
    query: none,
    body: z.strictObject({ revision, which: whichSchema, what: productActSchema }),
    answer: z.object({ products: whole.describe('Products that are different now.'), state: deskStateSchema }),
  }),
  discard: endpoint({
    ...paths.discard,
    summary: 'Discards unpublished decisions that are reported as one change.',
    query: none,
    body: z.strictObject({ revision, group: z.string().max(2000) }),
    answer: deskStateSchema,
  }),
  facts: endpoint({
    ...paths.facts,
    mostBytes: 8_000_000,
    summary: 'What a feed says of prices and stock; it is in the next answer.',
    query: none,
    body: z.strictObject({
      records: z
        .array(
          z.strictObject({
            id,
            price: z.number().min(0).max(1e9).nullable().optional(),
            former_price: z.number().min(0).max(1e9).nullable().optional(),
            stock: z.number().min(-1e9).max(1e9).nullable().optional(),
          }),
        )
        .min(1)
        .max(10_000),
    }),
    answer: z.object({ changed: whole, unknown: z.array(z.string()) }),
  }),
  feed: endpoint({
    ...paths.feed,
    summary: 'Switches the simulated feed on or off.',
    query: none,
    body: z.strictObject({ isOn: z.boolean() }),
    answer: freshnessSchema,
  }),
  freshness: endpoint({
    ...paths.freshness,
    summary: 'How old what shoppers find is.',
    query: none,
    body: none,
    answer: freshnessSchema,
  }),
} as const;
