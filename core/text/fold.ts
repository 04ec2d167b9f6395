/** Letters that Unicode does not take apart, and what shoppers type for them. */
const spelledOut: Record<string, string> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  ł: 'l',
  ı: 'i',
};

const plainAscii = /^[\x20-\x7e]*$/;

/**
 * Folds a text so that spellings a shopper does not tell apart become equal: lower case, compatibility forms
 * (full width, ligatures), no accents, no apostrophes inside words (`artist's` = `artists`).
 *
 * The result may be longer or shorter than the input; cost is linear in its length.
 */
export function fold(text: string): string {
  if (plainAscii.test(text)) {
    const lower = text.toLowerCase();
    return lower.includes("'") ? lower.replaceAll("'", '') : lower;
  }
  return text
    .replace(/(?<=\d)(?=[¼-¾⅐-⅞])/g, ' ')
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/['’‘ʼ`´]/g, '')
    .replace(/[ßæœøđðþłı]/g, (letter) => spelledOut[letter] ?? letter);
}
