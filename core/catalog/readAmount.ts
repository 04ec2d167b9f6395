/** No amount is written with more characters; the patterns below take quadratic time over digits that go on and on. */
export const amountCharacters = 80;

/**
 * Reads an amount as exports write it: `12`, `£7.20`, `1,200.00`, `7,20`, `EUR 5`. Answers null where the text is
 * no single amount. A comma is a decimal mark only when it is the last mark and is followed by one or two digits; points
 * part thousands where several of them stand before three digits each.
 */
export function readAmount(text: string): number | null {
  if (text.length > amountCharacters) return null;
  const bare = text.replace(/[\s\p{Sc}]|^[A-Z]{3}(?=[\s\d])|(?<=[\s\d])[A-Z]{3}$/gu, '');
  if (!/^[-+]?[\d.,]*\d[\d.,]*$/.test(bare)) return null;
  const pointGroups = /^[-+]?\d{1,3}(\.\d{3}){2,}(,\d+)?$/.test(bare);
  const decimalComma = /,\d{1,2}$/.test(bare) && !/\..*\./.test(bare);
  const plain = decimalComma || pointGroups ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(',', '');
  const amount = Number(plain);
  return Number.isFinite(amount) ? amount : null;
}

const isoDate = /^(\d{4})-(\d{2})-(\d{2})/;
const dayFirst = /^(\d{1,2})[/.](\d{1,2})[/.](\d{4})$/;

/** Reads `2026-03-09` or `9/3/2026` (day first) as days since 1970-01-01, or null where it is no date. */
export function readDate(text: string): number | null {
  const iso = isoDate.exec(text);
  const other = iso ? null : dayFirst.exec(text);
  const [year, month, day] = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : other
      ? [Number(other[3]), Number(other[2]), Number(other[1])]
      : [0, 0, 0];
  if (month < 1 || month > 12 || day < 1 || day > 31) return null;
  return Math.floor(Date.UTC(year, month - 1, day) / 86_400_000);
}
