const prime = 0x01000193;

function fnv(text: string, offset: number): number {
  let hash = offset;
  for (let at = 0; at < text.length; at++) {
    const unit = text.charCodeAt(at);
    hash = Math.imul(hash ^ (unit & 255), prime);
    hash = Math.imul(hash ^ (unit >>> 8), prime);
  }
  return hash >>> 0;
}

/**
 * Thirteen letters and digits that stay the same for a text, for good: for ids of what has none, not for secrets. Of a
 * million texts two have the same with a chance of one in some ten millions. Source: FNV-1a of 32 bits from two beginnings.
 */
export const textHash = (text: string): string =>
  fnv(text, 0x811c9dc5).toString(36).padStart(7, '0') + fnv(text, 0x9e3779b9).toString(36).padStart(7, '0').slice(-6);
