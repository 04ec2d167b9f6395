/** A colour's part in luminance, by WCAG 2.2: https://www.w3.org/TR/WCAG22/#dfn-relative-luminance */
const linear = (part: number): number => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4);

/** The luminance of a colour written #rrggbb, 0 for black to 1 for white. */
function luminance(colour: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => linear(Number.parseInt(colour.slice(at, at + 2), 16) / 255));
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
}

/** Black or white, whichever contrasts more with a ground written #rrggbb: at least 4.5 to 1 on every one. */
export function readableOn(ground: string): '#000000' | '#ffffff' {
  const light = luminance(ground);
  return (light + 0.05) / 0.05 >= 1.05 / (light + 0.05) ? '#000000' : '#ffffff';
}
