import { pictureWidths } from '../../core/catalog/pictureWidths.ts';

/** Pictures that our server keeps or fetches, and makes smaller. */
const ours = /\/pictures\/(?:of|own|named)\//;

/**
 * The addresses of a picture that is shown so many CSS pixels wide at most: one for plain screens, one for fine ones. Any
 * other picture is taken as it is.
 */
export function sizedPicture(src: string, width: number): { readonly src: string; readonly srcSet?: string } {
  if (!ours.test(src)) return { src };
  const wideAs = (pixels: number): number => pictureWidths.find((each) => each >= pixels) ?? pictureWidths.at(-1)!;
  const at = (pixels: number): string => `${src}${src.includes('?') ? '&' : '?'}width=${pixels}`;
  const [plain, fine] = [wideAs(width), wideAs(width * 2)];
  return { src: at(plain), ...(fine !== plain && { srcSet: `${at(plain)} 1x, ${at(fine)} 2x` }) };
}
