/** Signs with which a spreadsheet takes a cell for a formula. */
const formula = /^'*[=+\-@\t\r]/;
/** A plain negative number is no formula. */
const number = /^-?\d+([.,]\d+)?$/;

/** A cell that no spreadsheet runs: one that looks like a formula gets an apostrophe before it. */
export const neutralised = (text: string): string => (formula.test(text) && !number.test(text) ? `'${text}` : text);

/** Takes the apostrophe off again that `neutralised` put before a formula, so that what goes out comes in unchanged. */
export const plainAgain = (text: string): string =>
  text.startsWith("'") && formula.test(text.slice(1)) ? text.slice(1) : text;

const cell = (text: string): string => {
  const safe = neutralised(text);
  return /[",\r\n]|^\s|\s$/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** One line of a CSV file (RFC 4180), formulas neutralised. */
export const csvLine = (cells: readonly string[]): string => `${cells.map(cell).join(',')}\r\n`;

export function writeCsv(header: readonly string[], rows: readonly (readonly string[])[]): string {
  return [header, ...rows].map(csvLine).join('');
}
