import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import { emptySearches, emptySearchNames, mostLeading, usualBegin } from '../terms/beginTerms.ts';
import {
  besideKinds,
  besidePlaceNames,
  besidePlaces,
  blockPlaces,
  mostBefore,
  mostBesides,
  mostBlocks,
  mostInBlock,
  usualBesides,
} from '../terms/besidesTerms.ts';
import { colour } from '../terms/filterTexts.ts';
import { fieldsOf, listBy } from '../terms/inside.ts';
import {
  apartLimits,
  atOnceLimits,
  fitNames,
  inRowLimits,
  layoutShapes,
  layoutWays,
  pictureFits,
  pictureLimits,
  roomNames,
  shapeNames,
  usualLayout,
  usuallyApart,
  wayNames,
} from '../terms/layoutTerms.ts';
import { longest } from '../terms/limits.ts';
import { fixedEntry, fixedPart, type NamesForChanges } from '../terms/part.ts';
import { key, productId, searchText } from '../terms/texts.ts';
import { card } from './resultsPage/card.ts';
import { ownCards } from './resultsPage/ownCards.ts';
import { page } from './resultsPage/page.ts';

const inRow = z.number().int().min(inRowLimits.least).max(inRowLimits.most);
export const layoutSchema = z.strictObject({
  shape: z.enum(layoutShapes),
  /** Cards side by side, by the room the results have. */
  inRow: z.strictObject({ narrow: inRow, middle: inRow, wide: inRow }),
  picture: z.strictObject({
    /** In CSS pixels. */
    height: z.number().int().min(pictureLimits.least).max(pictureLimits.most),
    fit: z.enum(pictureFits),
    /** The ground behind it, as #rrggbb; absent: the look's own. */
    ground: colour.optional(),
  }),
  /** Pixels from one product to the next; absent: 14. */
  apart: z.number().int().min(apartLimits.least).max(apartLimits.most).optional(),
  /** Products shown at once. */
  atOnce: z.number().int().min(atOnceLimits.least).max(atOnceLimits.most),
  way: z.enum(layoutWays),
});
export type Layout = z.infer<typeof layoutSchema>;
const usual: Layout = usualLayout;

const layout = fixedEntry({
  value: layoutSchema,
  usualFields: { apart: usuallyApart },
  usual,
  inside: fieldsOf({ inRow: fieldsOf({}), picture: fieldsOf({}) }),
  describe({ before, after }) {
    const [was, is] = [before ?? usual, after ?? usual];
    const said: string[] = [];
    if (was.shape !== is.shape) said.push(`Products stand as ${shapeNames[is.shape]}`);
    for (const room of ['narrow', 'middle', 'wide'] as const)
      if (was.inRow[room] !== is.inRow[room]) said.push(`Cards stand ${is.inRow[room]} in a row ${roomNames[room]}`);
    if (was.picture.height !== is.picture.height) said.push(`Pictures are ${is.picture.height} pixels high`);
    if (was.picture.fit !== is.picture.fit) said.push(`Pictures are shown ${fitNames[is.picture.fit]}`);
    if (was.picture.ground !== is.picture.ground)
      said.push(
        is.picture.ground ? `Pictures stand on ${is.picture.ground}` : 'Pictures stand on the look’s own ground',
      );
    const apart = is.apart ?? usuallyApart;
    if ((was.apart ?? usuallyApart) !== apart) said.push(`Products stand ${apart} pixels apart`);
    if (was.atOnce !== is.atOnce) said.push(`${is.atOnce} products are shown at once`);
    if (was.way !== is.way) said.push(`What follows the products shown at once: ${wayNames[is.way]}`);
    return said;
  },
});

/** What stands before anything is searched for. */
const leadsSchema = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('products'),
    products: z
      .array(productId)
      .min(1)
      .max(mostLeading)
      .refine((ids) => isEachOnce(ids), 'A product is in the list twice.'),
  }),
  z.strictObject({ what: z.literal('collection'), collection: key }),
  z.strictObject({ what: z.literal('search'), search: searchText }),
  z.strictObject({ what: z.literal('shuffle') }),
]);
export type Leads = z.infer<typeof leadsSchema>;
const beginSchema = z.strictObject({
  order: z.union([z.literal(''), key]),
  emptySearch: z.enum(emptySearches),
  /** What stands before all that order; absent: nothing. */
  leads: leadsSchema.optional(),
});
export type Begin = z.infer<typeof beginSchema>;
const usuallyBegun: Begin = usualBegin;

function leadsInWords(leads: Leads | undefined, names: NamesForChanges): string {
  switch (leads?.what) {
    case undefined:
      return 'Before any search nothing leads the products';
    case 'products': {
      const { products } = leads;
      const shown = products.slice(0, 3).map(names.product).join(', ');
      return `Before any search stand first: ${shown}${products.length > 3 ? ` and ${products.length - 3} more` : ''}`;
    }
    case 'collection':
      return `Before any search stands first what is in ${names.collection(leads.collection)}`;
    case 'search':
      return `Before any search stands first what “${leads.search}” finds`;
    case 'shuffle':
      return 'Before any search products are shuffled, anew each day';
  }
}

const begin = fixedEntry({
  value: beginSchema,
  usual: usuallyBegun,
  inside: fieldsOf({}),
  describe({ before, after }, names) {
    const [was, is] = [before ?? usuallyBegun, after ?? usuallyBegun];
    const said: string[] = [];
    if (was.order !== is.order)
      said.push(
        is.order === ''
          ? 'Before any search products stand as a search would order them'
          : `Before any search products stand in the order “${is.order}” of the sorting menu`,
      );
    if (JSON.stringify(was.leads) !== JSON.stringify(is.leads)) said.push(leadsInWords(is.leads, names));
    if (was.emptySearch !== is.emptySearch) said.push(`A search without words ${emptySearchNames[is.emptySearch]}`);
    return said;
  },
});

const beside = z.strictObject({
  where: z.enum(besidePlaces),
  /** Where it stands with the products; the rest is a press away. */
  most: z.number().int().min(1).max(mostBesides),
});
export const besidesSchema = z.strictObject({
  collections: beside,
  articles: beside,
  /** Products before what stands between them. */
  after: z.number().int().min(1).max(mostBefore),
  /** What the search finds within a collection, each under its own heading. */
  blocks: z
    .array(
      z.strictObject({
        collection: key,
        heading: z.string().trim().min(1).max(longest.label),
        most: z.number().int().min(1).max(mostInBlock),
        where: z.enum(blockPlaces),
      }),
    )
    .max(mostBlocks)
    .refine((blocks) => isEachOnce(blocks, ({ collection }) => collection), 'A collection has a block already.'),
});
export type Besides = z.infer<typeof besidesSchema>;
const usuallyBeside: Besides = { ...usualBesides, blocks: [] };
const kindNames = { collections: 'Collections that a search finds', articles: 'Articles that a search finds' } as const;

const besides = fixedEntry({
  value: besidesSchema,
  usual: usuallyBeside,
  inside: fieldsOf({ collections: fieldsOf({}), articles: fieldsOf({}), blocks: listBy('collection') }),
  describe({ before, after }, names) {
    const [was, is] = [before ?? usuallyBeside, after ?? usuallyBeside];
    const said = besideKinds.flatMap((kind) => [
      ...(was[kind].where !== is[kind].where
        ? [
            `${kindNames[kind]} ${is[kind].where === 'none' ? 'are not shown' : `stand ${besidePlaceNames[is[kind].where]}`}`,
          ]
        : []),
      ...(was[kind].most !== is[kind].most ? [`${kindNames[kind]}: up to ${is[kind].most} with the products`] : []),
    ]);
    if (was.after !== is.after) said.push(`What stands between the products comes after ${is.after} of them`);
    const of = (blocks: Besides['blocks'], collection: string) => blocks.find((each) => each.collection === collection);
    for (const block of is.blocks) {
      const earlier = of(was.blocks, block.collection);
      if (JSON.stringify(earlier) !== JSON.stringify(block))
        said.push(
          `What a search finds in ${names.collection(block.collection)} stands ${besidePlaceNames[block.where]} as “${block.heading}”, up to ${block.most}`,
        );
    }
    for (const { collection } of was.blocks)
      if (!of(is.blocks, collection))
        said.push(`What a search finds in ${names.collection(collection)} has no block of its own any more`);
    const orderOf = ({ blocks }: Besides): string => blocks.map(({ collection }) => collection).join('\n');
    if (said.length === 0 && orderOf(was) !== orderOf(is)) said.push('Blocks of the results stand in another order');
    return said;
  },
});

/** How the results stand on their page. */
export const resultsPage = fixedPart({ page, layout, card, ownCards, begin, besides });
