import { type CssNode, type Declaration, generate, parse, walk } from 'css-tree';
import { type LookColours, mostPageStyle } from '../setup/terms/lookTerms.ts';
import { balanced } from './balancedStyle.ts';
import { contrastOf } from './contrast.ts';

/** Variables that stand for others, one behind the other, at most. */
const deepest = 8;

/** Whether a selector means the page as a whole, or what is pressed. */
const ofPage = /(?:^|[\s,>])(?:html|body|:root)(?![\w-])/i;
const ofPressed = /(?:^|[\s,>])(?:a|button)(?![\w-])|btn|button|\[type=["']?submit/i;
const variable = /^var\(\s*(--[\w-]+)\s*(?:,(.*))?\)$/s;

/**
 * The three colours of a page, as its style sheet has them: ground and text of the whole page, and what links and buttons
 * are coloured with; what it does not say is left as it is. `hexOf` reads one colour as #rrggbb, null where it is none.
 * Variables are looked up. Null where it says no colour. Never throws. Cost: a pass over the text.
 */
export function coloursInStyle(
  css: string,
  before: LookColours,
  hexOf: (colour: string) => string | null,
): LookColours | null {
  const whole = balanced(css.slice(0, mostPageStyle));
  if ('wrongAt' in whole) return null;
  const variables = new Map<string, string>();
  const said: { readonly selector: string; readonly property: string; readonly value: CssNode }[] = [];
  const note = ({ property, value }: Declaration, selector: string): void => {
    if (property.startsWith('--')) variables.set(property, generate(value).trim());
    else if (/^(?:background|background-color|color)$/i.test(property))
      said.push({ selector, property: property.toLowerCase(), value });
  };
  walk(parse(whole.css, { parseCustomProperty: false }), {
    visit: 'Declaration',
    enter(node) {
      if (this.rule) note(node, generate(this.rule.prelude));
    },
  });
  const colourOf = (text: string, depth = 0): string | null => {
    const [, name, otherwise] = variable.exec(text) ?? [];
    if (name === undefined) return hexOf(text);
    if (depth >= deepest) return null;
    const meant = variables.get(name) ?? otherwise?.trim();
    return meant === undefined ? null : colourOf(meant, depth + 1);
  };
  /** Of a short form, the part that is a colour. */
  const colourIn = (value: CssNode): string | null => {
    const parts = value.type === 'Value' ? value.children.toArray().map((part) => generate(part)) : [generate(value)];
    return parts.map((part) => colourOf(part)).find((colour) => colour !== null) ?? null;
  };
  // What is said last holds.
  const last = (selector: RegExp, isGround: boolean, is: (colour: string) => boolean = () => true): string | null =>
    said
      .filter((each) => selector.test(each.selector) && (each.property !== 'color') === isGround)
      .flatMap(({ value }) => colourIn(value) ?? [])
      .findLast(is) ?? null;
  const ground = last(ofPage, true);
  const text = last(ofPage, false);
  const on = ground ?? before.ground;
  const standsOut = (colour: string): boolean => contrastOf(colour, on) > 1.5;
  const accent = last(ofPressed, true, standsOut) ?? last(ofPressed, false, standsOut);
  if (ground === null && text === null && accent === null) return null;
  return { ground: on, text: text ?? before.text, accent: accent ?? before.accent };
}

/** The same of several style sheets, of which the later ones hold; those that cannot be read, and what would be too much, are passed over. */
export function coloursInStyles(
  sheets: readonly string[],
  ...given: readonly [before: LookColours, hexOf: (colour: string) => string | null]
): LookColours | null {
  let room = mostPageStyle;
  const read = sheets.filter((css) => {
    if (css.length >= room || 'wrongAt' in balanced(css)) return false;
    room -= css.length + 1;
    return true;
  });
  return coloursInStyle(read.join('\n'), ...given);
}
