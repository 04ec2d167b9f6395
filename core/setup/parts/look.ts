import { z } from 'zod';
import { fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { cornerLimits, densities, densityNames, letterKinds, letterNames, usualLook } from '../terms/lookTerms.ts';
import { fixedEntry, fixedPart } from '../terms/part.ts';

const colour = z.string().regex(/^#[0-9a-f]{6}$/, 'must be written #rrggbb');
export const lookSchema = z.strictObject({
  /** Null: those that come with the shop. */
  colours: z.strictObject({ ground: colour, text: colour, accent: colour }).nullable(),
  /** Whether shoppers whose machine asks for dark pages get one. */
  hasDark: z.boolean(),
  text: z.enum(letterKinds),
  headings: z.enum(letterKinds),
  corners: z.number().int().min(cornerLimits.least).max(cornerLimits.most),
  density: z.enum(densities),
});
export type Look = z.infer<typeof lookSchema>;
const usual: Look = usualLook;

const shop = fixedEntry({
  value: lookSchema,
  usual,
  inside: fieldsOf({ colours: fieldsOf({}) }),
  describe({ before, after }) {
    const [was, is] = [before ?? usual, after ?? usual];
    const said: string[] = [];
    if (JSON.stringify(was.colours) !== JSON.stringify(is.colours))
      said.push(
        is.colours === null
          ? 'The shop has the colours that come with it'
          : `The shop is coloured from ${is.colours.ground}, its text ${is.colours.text}, links and buttons ${is.colours.accent}`,
      );
    if (was.hasDark !== is.hasDark)
      said.push(is.hasDark ? 'Shoppers who ask for dark pages get one' : 'The shop is never dark');
    if (was.text !== is.text) said.push(`Texts are written in ${letterNames[is.text]}`);
    if (was.headings !== is.headings) said.push(`Headings and titles are written in ${letterNames[is.headings]}`);
    if (was.corners !== is.corners) said.push(`Corners are ${is.corners} pixels round`);
    if (was.density !== is.density) said.push(`Things stand ${densityNames[is.density]}`);
    return said;
  },
});

const ownStyleSchema = z.strictObject({
  /** As it was written; the shop puts on what `readOwnStyle` takes of it. */
  css: z.string().max(longest.ownStyle),
});
export type OwnStyleEntry = z.infer<typeof ownStyleSchema>;
const usualStyle: OwnStyleEntry = { css: '' };

const style = fixedEntry({
  value: ownStyleSchema,
  usual: usualStyle,
  describe({ before, after }) {
    const [was, is] = [(before ?? usualStyle).css, (after ?? usualStyle).css];
    if (was === is) return [];
    if (is.trim() === '') return ['The shop has no style sheet of its own any more'];
    return [was.trim() === '' ? 'The shop has a style sheet of its own' : 'The shop’s own style sheet is changed'];
  },
});

/** How the shop looks. */
export const look = fixedPart({ shop, style });
