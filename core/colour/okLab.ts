/** A colour in a space where equal distances look about equally different: lightness 0..1, and two axes of hue. */
export type OkLab = readonly [lightness: number, greenRed: number, blueYellow: number];

const linear = (channel: number): number => {
  const share = channel / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
};

/** Reads `#rrggbb` or `#rgb`; null where the text is no such colour. Source: B. Ottosson, OKLab (2020), from linear sRGB. */
export function okLab(hex: string): OkLab | null {
  const found = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(hex.trim());
  if (!found) return null;
  const digits = found[1]!.length === 3 ? [...found[1]!].map((digit) => digit + digit).join('') : found[1]!;
  const [red, green, blue] = [0, 2, 4].map((at) => linear(Number.parseInt(digits.slice(at, at + 2), 16)));
  const l = Math.cbrt(0.4122214708 * red! + 0.5363325363 * green! + 0.0514459929 * blue!);
  const m = Math.cbrt(0.2119034982 * red! + 0.6806995451 * green! + 0.1073969566 * blue!);
  const s = Math.cbrt(0.0883024619 * red! + 0.2817188376 * green! + 0.6299787005 * blue!);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/** How different two colours look: 0 for the same, about 0.02 for just noticeable, 1 for black and white. */
export function colourDistance(a: OkLab, b: OkLab): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}
