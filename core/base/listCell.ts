const bar = ' | ';

/** Texts in one cell, with a bar between them; as JSON where one of them has a bar itself. */
export const asList = (items: readonly string[]): string =>
  items.some((item) => item.includes('|')) || items[0]?.startsWith('[') ? JSON.stringify(items) : items.join(bar);

/** The texts of such a cell. What begins like JSON and is none is a syntax error. */
export function listIn(text: string): string[] {
  if (text.startsWith('[')) {
    const items: unknown = JSON.parse(text);
    return Array.isArray(items) ? items.map(String) : [];
  }
  return text
    .split('|')
    .map((item) => item.trim())
    .filter(Boolean);
}
