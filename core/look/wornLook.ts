import { z } from 'zod';
import type { Look, OwnStyleEntry } from '../setup/parts/look.ts';
import { type Density, type Letters, usualLook } from '../setup/terms/lookTerms.ts';
import { readOwnStyle } from './ownStyle.ts';
import { darkOf, paletteOf } from './palette.ts';

const variables = z.record(z.string(), z.string()).describe('Variables of style sheets with their values.');
/** A look as it is put on: what of the shop's own it changes. */
export const wornLookSchema = z.object({
  light: variables,
  dark: variables.nullable().describe('Besides, on dark pages; null: the shop is never dark.'),
  letters: z.array(z.string()).describe('Letters that come with the shop and have to be fetched.'),
  style: z.string().describe('Style sheet of the merchandiser’s own, without what could reach beyond the shop.'),
});
export type WornLook = z.infer<typeof wornLookSchema>;

/** By name; the page's own are left as they are. */
const families: Readonly<Record<Exclude<Letters, 'page'>, string>> = {
  newsreader: '"Newsreader Variable", Georgia, serif',
  hanken: '"Hanken Grotesk Variable", system-ui, sans-serif',
  bricolage: '"Bricolage Grotesque Variable", system-ui, sans-serif',
  serif: 'Georgia, "Times New Roman", serif',
  sans: 'system-ui, "Segoe UI", Helvetica, Arial, sans-serif',
};
const isShipped = (letters: Letters): boolean => ['newsreader', 'hanken', 'bricolage'].includes(letters);

/** Of corners of one size, how round those of small, middling and large things are. */
const roundness = { xs: 0.25, sm: 0.5, md: 0.75, lg: 1, xl: 1.5 } as const;
/** Pixels of the step that all room is made of. */
const steps: Readonly<Record<Density, number>> = { close: 3.4, usual: 4, wide: 4.7 };

const coloured = (palette: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(palette).map(([name, colour]) => [`--${name}`, colour]));

const read = new WeakMap<OwnStyleEntry, string>();
/** What is taken of an own style sheet, read once for an entry. */
function takenOf(entry: OwnStyleEntry): string {
  const known = read.get(entry) ?? readOwnStyle(entry.css).style;
  read.set(entry, known);
  return known;
}

/** What a look changes; nothing where it is the usual one. */
export function wornLook(look: Look, style: OwnStyleEntry): WornLook {
  const { colours, hasDark, text, headings, corners, density } = look;
  const dark = colours && paletteOf(darkOf(colours));
  const light = colours && paletteOf(colours);
  return {
    light: {
      ...(light && { ...coloured(light), '--shelf-ground': light.surface }),
      ...(text !== 'page' && { '--shelf-text-font': families[text] }),
      ...(headings !== 'page' && { '--shelf-heading-font': families[headings] }),
      ...(corners !== usualLook.corners &&
        Object.fromEntries(
          Object.entries(roundness).map(([name, share]) => [`--radius-${name}`, `${+(corners * share).toFixed(2)}px`]),
        )),
      ...(density !== 'usual' && { '--spacing': `${steps[density]}px` }),
    },
    dark: hasDark ? { ...(dark && { ...coloured(dark), '--shelf-ground': dark.surface }) } : null,
    letters: [...new Set([text, headings].filter(isShipped))],
    style: takenOf(style),
  };
}
