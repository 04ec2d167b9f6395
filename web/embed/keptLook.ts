import type { WornLook } from '../../core/look/wornLook.ts';

const bare: WornLook = { light: {}, dark: null, letters: [], style: '' };
const keyOf = (storefront: string): string => `shelf look ${storefront}`;

/** How a storefront looked when it was here last, so that it does not begin in other colours each time. */
export function keptLook(storefront: string): WornLook {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(storefront)) ?? 'null') as WornLook | null;
    return kept && typeof kept.light === 'object' && Array.isArray(kept.letters) ? { ...bare, ...kept } : bare;
  } catch {
    return bare;
  }
}

export function keepLook(storefront: string, look: WornLook): void {
  try {
    localStorage.setItem(keyOf(storefront), JSON.stringify(look));
  } catch {
    // A browser that keeps nothing begins as the shop comes.
  }
}
