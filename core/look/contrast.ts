/** A colour's part in luminance, by WCAG 2.2: https://www.w3.org/TR/WCAG22/#dfn-relative-luminance */
const linear = (part: number): number => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4);
const partsOf = (colour: string): number[] => [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16));

/** The luminance of a colour written #rrggbb, 0 for black to 1 for white. */
function luminance(colour: string): number {
  const [red, green, blue] = partsOf(colour).map((part) => linear(part / 255));
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
}

/** How much two colours written #rrggbb differ in light: 1 for none to 21. https://www.w3.org/TR/WCAG22/#dfn-contrast-ratio */
export function contrastOf(one: string, other: string): number {
  const [darker, lighter] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [number, number];
  return (lighter + 0.05) / (darker + 0.05);
}

/** What a text needs to be read by most. https://www.w3.org/TR/WCAG22/#contrast-minimum */
export const readable = 4.5;

/** Black or white, whichever contrasts more with a ground written #rrggbb: at least 4.5 to 1 on every one. */
export const readableOn = (ground: string): '#000000' | '#ffffff' =>
  contrastOf(ground, '#000000') >= contrastOf(ground, '#ffffff') ? '#000000' : '#ffffff';

/** A colour on the way from one to another, both written #rrggbb: 0 is the first, 1 the second. */
export function mixed(one: string, other: string, share: number): string {
  const to = partsOf(other);
  const parts = partsOf(one).map((part, at) => Math.round(part + (to[at]! - part) * share));
  return `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}

/**
 * A colour as near to the one given as can be read on all of some grounds: it is taken towards black or white, whichever
 * goes further on the first. Where nothing can be read on all, the one that contrasts most with the first.
 */
export function readableOf(colour: string, grounds: readonly string[]): string {
  const isRead = (each: string): boolean => grounds.every((ground) => contrastOf(each, ground) >= readable);
  const end = readableOn(grounds[0]!);
  for (let step = 0; step <= 20; step++) {
    const nearer = mixed(colour, end, step / 20);
    if (isRead(nearer)) return nearer;
  }
  return end;
}
