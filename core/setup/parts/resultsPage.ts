import { z } from 'zod';
import { fieldsOf } from '../terms/inside.ts';
import {
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
  wayNames,
} from '../terms/layoutTerms.ts';
import { fixedEntry, fixedPart } from '../terms/part.ts';

const inRow = z.number().int().min(inRowLimits.least).max(inRowLimits.most);
export const layoutSchema = z.strictObject({
  shape: z.enum(layoutShapes),
  /** Cards side by side, by the room the results have. */
  inRow: z.strictObject({ narrow: inRow, middle: inRow, wide: inRow }),
  picture: z.strictObject({
    /** In CSS pixels. */
    height: z.number().int().min(pictureLimits.least).max(pictureLimits.most),
    fit: z.enum(pictureFits),
  }),
  /** Products shown at once. */
  atOnce: z.number().int().min(atOnceLimits.least).max(atOnceLimits.most),
  way: z.enum(layoutWays),
});
export type Layout = z.infer<typeof layoutSchema>;
const usual: Layout = usualLayout;

const layout = fixedEntry({
  value: layoutSchema,
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
    if (was.atOnce !== is.atOnce) said.push(`${is.atOnce} products are shown at once`);
    if (was.way !== is.way) said.push(`What follows the products shown at once: ${wayNames[is.way]}`);
    return said;
  },
});

/** How the results stand on their page. */
export const resultsPage = fixedPart({ layout });
