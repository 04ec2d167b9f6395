const gtin = /^\d{8}(?:\d{4,6})?$/;
const isbn10 = /^\d{9}[\dXx]$/;

/** The sum of digits times their weights. */
const weighed = (digits: string, weightAt: (at: number) => number): number =>
  [...digits].reduce((sum, digit, at) => sum + Number(digit) * weightAt(at), 0);

/**
 * Whether a text is an article number of the trade with a right check digit: EAN, UPC or GTIN of 8, 12, 13 or 14 digits,
 * or an ISBN, hyphens and spaces between the digits allowed. Of numbers made at random one in ten is. Source: the GS1
 * check digit (weights 3 and 1 from the right), and ISO 2108 for ten digits (weights 10 to 1, modulo 11).
 */
export function isTradeNumber(text: string): boolean {
  if (text.length < 8 || text.length > 20) return false;
  const digits = text.replace(/[\s-]/g, '');
  if (gtin.test(digits)) {
    // All noughts check as well, and are what exports write where they have no number.
    if (/^0+$/.test(digits)) return false;
    return weighed(digits, (at) => ((digits.length - at) % 2 === 0 ? 3 : 1)) % 10 === 0;
  }
  if (!isbn10.test(digits)) return false;
  const last = /x$/i.test(digits) ? 10 : Number(digits[9]);
  return (weighed(digits.slice(0, 9), (at) => 10 - at) + last) % 11 === 0;
}
