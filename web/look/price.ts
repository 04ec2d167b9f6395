const formats = new Map<string, Intl.NumberFormat>();

/** An amount of money as shoppers read it. */
export function price(amount: number, currency = 'GBP'): string {
  let format = formats.get(currency);
  if (!format) {
    format = new Intl.NumberFormat('en-GB', { style: 'currency', currency });
    formats.set(currency, format);
  }
  return format.format(amount);
}

const whole = new Intl.NumberFormat('en-GB');
/** A count with its thousands set apart. */
export const count = (amount: number): string => whole.format(amount);

/** A count with its noun: "1 product", "1,200 products". */
export const counted = (amount: number, noun: string, plural = `${noun}s`): string =>
  `${count(amount)} ${amount === 1 ? noun : plural}`;

/** From the lowest to the highest price, or the one there is; empty where there is none. */
export function priceRange(lowest: number | null, highest: number | null, currency?: string): string {
  if (lowest === null || highest === null) return '';
  return lowest === highest ? price(lowest, currency) : `${price(lowest, currency)} to ${price(highest, currency)}`;
}
