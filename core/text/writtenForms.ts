/**
 * Ways of writing that would part or join words wrongly, each with its one reading, for catalog and shopper alike:
 *
 * | written | read as |
 * | --- | --- |
 * | `l'analyse`, `d’eau`, `dell'acqua` | the word without the article: `analyse`, `eau`, `acqua` |
 * | `AT&T`, `B & W` | one word: `att`, `bw`; between longer words the sign parts them |
 * | `C++`, `C#` | `cplusplus`, `csharp` |
 * | `F2.8`, `f/2,8`, `USB3.0` | the letters, then the number: `f 2.8`, `usb 3` |
 * | `XF60mm` | the letters, then the amount: `xf`, `60 mm` |
 * | `No.2`, `Vol.3` | the word, then the number |
 * | `N.Y.C.` | one word: `nyc` |
 * | `#8` | the number |
 */

/** Articles and little words of French and Italian that lose their vowel before another. */
const elided =
  /(?<![\p{L}\p{N}'’])(?:l|d|j|m|t|s|c|n|qu|jusqu|lorsqu|puisqu|quoiqu|dell|nell|sull|dall|all|quell|un|gl)['’](?=[aeiouyhàâäæéèêëîïôöœûüù])/giu;
const apostrophe = /['’]/;
const digit = /\d/;

const initials = /(?<![\p{L}\p{N}])(\p{L}{1,3})&(\p{L}{1,3})(?![\p{L}\p{N}])/gu;
const plusPlus = /(?<![\p{L}\p{N}])(\p{L})\+\+(?![\p{L}\p{N}+])/gu;
const sharp = /(?<![\p{L}\p{N}])(c|f)#(?![\p{L}\p{N}])/giu;
/** With spaces only between single letters, of which few stand beside each other as words. */
const spacedInitials =
  /(?<![\p{L}\p{N}])(\p{L}{1,2}) & (\p{L})(?![\p{L}\p{N}])|(?<![\p{L}\p{N}])(\p{L}) & (\p{L}{2})(?![\p{L}\p{N}])/gu;
const lettersThenDecimal = /(?<![\p{L}\p{N}])(\p{L}{1,5})(?=\d+\.\d+(?![\p{L}\p{N}.]))/gu;
const apertures = /(?<![\p{L}\p{N}])(f\/?)(\d),(\d)(?![\p{L}\p{N}])/giu;
/** Units of two letters or more that end no word or part number by chance. */
const lettersThenAmount =
  /(?<![\p{L}\p{N}])(\p{L}{1,5})(?=\d+(?:\.\d+)? ?(?:mm|cm|ml|cl|kg|gsm|gb|tb|mah|mhz|ghz|khz)(?![\p{L}\p{N}]))/giu;
const pointBeforeNumber = /(?<=\p{L})\.(?=\d)/gu;
const dottedLetters = /(?<![\p{L}\p{N}.])\p{L}(?:\.\p{L})+(?![\p{L}\p{N}])\.?/gu;

/** A text, not yet folded, with each of these written as it is read. Linear in its length. */
export function withPlainForms(text: string): string {
  let plain = text;
  if (apostrophe.test(plain)) plain = plain.replace(elided, '');
  if (plain.includes('&')) plain = plain.replace(initials, '$1$2').replace(spacedInitials, '$1$2$3$4');
  if (plain.includes('+')) plain = plain.replace(plusPlus, '$1plusplus');
  if (plain.includes('#')) plain = plain.replace(sharp, '$1sharp');
  if (plain.includes('.'))
    plain = plain
      .replace(lettersThenDecimal, '$1 ')
      .replace(pointBeforeNumber, ' ')
      .replace(dottedLetters, (letters) => letters.replaceAll('.', ''));
  if (plain.includes(',')) plain = plain.replace(apertures, '$1 $2.$3');
  if (digit.test(plain)) plain = plain.replace(lettersThenAmount, '$1 ');
  return plain;
}

/** Longest of the little words, in letters, and the vowels that may stand behind them, as `PlainText` meets them. */
export const longestElided = 7;
export const elidesBefore: ReadonlySet<number> = new Set([...'aeiouyhAEIOUYH'].map((letter) => letter.charCodeAt(0)));
