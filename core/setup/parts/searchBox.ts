import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import {
  type BoxMoment,
  blockKinds,
  blockNames,
  blockShows,
  boxColumns,
  boxWidths,
  freeWidth,
  linePieces,
  longestButton,
  longestHeading,
  momentNames,
  mostInRow,
  mostLetters,
  mostLines,
  pieceNames,
  usualBlocks,
  widthNames,
} from '../terms/boxTerms.ts';
import { language } from '../terms/filterTexts.ts';
import { aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { fixedEntry, fixedPart, listed } from '../terms/part.ts';
import { key } from '../terms/texts.ts';

/** Texts of one's own by language; a language that has none reads the usual one. */
const textsByLanguage = (longest: number) => z.partialRecord(language, z.string().trim().min(1).max(longest));
const quoted = (texts: Partial<Readonly<Record<string, string>>> | undefined): string =>
  listed(Object.values(texts ?? {}).map((text) => `“${text}”`));

const blockSchema = z.strictObject({
  kind: z.enum(blockKinds),
  on: z.boolean(),
  /** Lines at most. */
  most: z.number().int().min(1).max(mostLines),
  column: z.literal(boxColumns),
  /** Its heading; absent: the usual one. */
  title: textsByLanguage(longestHeading).optional(),
  /** Of products: so many side by side; absent: a list. */
  inRow: z.number().int().min(1).max(mostInRow).optional(),
  /** Of products: the order of the sorting menu they stand in, by its key; absent, or gone from the menu: as results stand. */
  sort: key.optional(),
});
export type BoxBlock = z.infer<typeof blockSchema>;

/** The blocks of one moment, from the top down within each column. */
const momentEntry = (moment: BoxMoment) => {
  const kinds = Object.keys(blockShows[moment]);
  const usual = { blocks: usualBlocks[moment] as BoxBlock[] };
  return fixedEntry({
    value: z.strictObject({
      blocks: z
        .array(blockSchema)
        .max(kinds.length)
        .refine((blocks) => isEachOnce(blocks, ({ kind }) => kind), 'A block stands there twice.')
        .refine((blocks) => blocks.every(({ kind }) => kinds.includes(kind)), 'A block belongs to another moment.'),
    }),
    usual,
    inside: fieldsOf({ blocks: listBy('kind') }),
    describe({ before, after }) {
      const [was, is] = [(before ?? usual).blocks, (after ?? usual).blocks];
      const when = `The search box, ${momentNames[moment].toLowerCase()}:`;
      const said: string[] = [];
      for (const block of is) {
        const name = blockNames[block.kind];
        const earlier = was.find(({ kind }) => kind === block.kind);
        if ((earlier?.on ?? false) !== block.on) said.push(`${when} ${name} ${block.on ? 'show' : 'do not show'}`);
        if (earlier && earlier.most !== block.most) said.push(`${when} ${name}, up to ${block.most}`);
        if (earlier && earlier.column !== block.column) said.push(`${when} ${name} stand in column ${block.column}`);
        if (JSON.stringify(earlier?.title ?? {}) !== JSON.stringify(block.title ?? {}))
          said.push(`${when} ${name} are headed ${quoted(block.title)}`);
        if ((earlier?.inRow ?? 1) !== (block.inRow ?? 1))
          said.push(`${when} ${name} stand ${(block.inRow ?? 1) > 1 ? `${block.inRow} in a row` : 'as a list'}`);
        if (earlier?.sort !== block.sort)
          said.push(`${when} ${name} stand ${block.sort ? `in the order “${block.sort}”` : 'as results stand'}`);
      }
      const order = (blocks: readonly BoxBlock[]): string => blocks.map(({ kind }) => kind).join();
      if (order(was) !== order(is)) said.push(`${when} the order is ${listed(is.map(({ kind }) => blockNames[kind]))}`);
      return said;
    },
  });
};

const shapeSchema = z.strictObject({
  /** How wide what hangs under the box is. */
  wide: z.enum(boxWidths),
  /** In CSS pixels, where it is set freely. */
  pixels: z.number().int().min(freeWidth.least).max(freeWidth.most).optional(),
  /** Letters typed before anything is suggested. */
  letters: z.number().int().min(1).max(mostLetters),
  /** What the empty box says. */
  placeholder: textsByLanguage(longestHeading).optional(),
  /** What its button says; absent: nothing, it shows a glass. */
  button: textsByLanguage(longestButton).optional(),
  /** What a product's line shows besides its title. */
  line: z.array(z.enum(linePieces)).max(linePieces.length),
  /** Whether the typed letters are told apart in what is suggested. */
  marks: z.boolean(),
  /** Whether the last line leads to all results. */
  allResults: z.boolean(),
  /** Whether a search can be spoken, where the browser takes dictation. */
  dictation: z.boolean().optional(),
});
export type BoxShape = z.infer<typeof shapeSchema>;
const usualShape: BoxShape = {
  ...{ wide: 'page', letters: 2, line: ['picture', 'price', 'brand', 'availability'], marks: true, allResults: true },
};

const shape = fixedEntry({
  value: shapeSchema,
  usual: usualShape,
  usualFields: { dictation: false, pixels: freeWidth.usual },
  inside: fieldsOf({ line: aSet }),
  describe({ before, after }) {
    const [was, is] = [before ?? usualShape, after ?? usualShape];
    const said: string[] = [];
    const width = ({ wide, pixels }: BoxShape): string =>
      wide === 'free' ? `${pixels ?? freeWidth.usual} pixels wide` : `as wide as ${widthNames[wide]}`;
    if (width(was) !== width(is)) said.push(`What hangs under the search box is ${width(is)}`);
    if (was.letters !== is.letters)
      said.push(`The search box suggests from ${is.letters === 1 ? 'the first letter' : `letter ${is.letters}`} on`);
    if (JSON.stringify(was.placeholder ?? {}) !== JSON.stringify(is.placeholder ?? {}))
      said.push(`The empty search box says ${quoted(is.placeholder)}`);
    if (JSON.stringify(was.button ?? {}) !== JSON.stringify(is.button ?? {}))
      said.push(
        Object.keys(is.button ?? {}).length > 0
          ? `The button of the search box says ${quoted(is.button)}`
          : 'The button of the search box shows a glass',
      );
    if ([...was.line].sort().join() !== [...is.line].sort().join())
      said.push(`A product’s line in the box shows ${listed(is.line.map((piece) => pieceNames[piece]))}`);
    if (was.marks !== is.marks) said.push(`The search box ${is.marks ? 'marks' : 'does not mark'} what was typed`);
    if ((was.dictation ?? false) !== (is.dictation ?? false))
      said.push(`The search box ${is.dictation ? 'takes' : 'does not take'} dictation`);
    if (was.allResults !== is.allResults)
      said.push(`The search box ${is.allResults ? 'leads' : 'does not lead'} to all results`);
    return said;
  },
});

/** What shoppers see under the search box. */
export const searchBox = fixedPart({
  before: momentEntry('before'),
  typing: momentEntry('typing'),
  nothing: momentEntry('nothing'),
  shape,
});
