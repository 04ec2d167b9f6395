import { deepestLevels, lastLevel } from '../catalog/levels.ts';
import { type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import type { Badge } from '../setup/parts/badges.ts';
import { savingName, withValues } from '../setup/terms/badgeTerms.ts';
import type { Language } from '../text/languages.ts';
import type { BadgeAnswer } from './answer.ts';

/** How much less a product costs than before, in whole percent rounded down; null where it is not below 100 and above 0. */
function savingOf(record: CatalogRecord): number | null {
  const [price, former] = [heldBy(record, 'price'), heldBy(record, 'former_price')];
  if (typeof price !== 'number' || typeof former !== 'number' || former <= price || price <= 0) return null;
  const percent = Math.floor(((former - price) / former) * 100);
  return percent > 0 ? percent : null;
}

function textFor(record: CatalogRecord, name: string): string | null {
  if (name === savingName) {
    const saving = savingOf(record);
    return saving === null ? null : `${saving}%`;
  }
  const value = name === 'sku' ? record.sku : heldBy(record, name);
  if (typeof value === 'number') return String(value);
  return deepestLevels(textsOf(value)).map(lastLevel).join(', ') || null;
}

/**
 * The badges of a card among those its record meets, in their order: what each says in the shopper's language, in the
 * first one the badge has where it lacks that. One that names a value the product has not is left out, as is one that says
 * what another on the card says.
 */
export function badgesOn(
  record: CatalogRecord,
  met: readonly Badge[],
  { language, most }: { readonly language: Language; readonly most: number },
): BadgeAnswer[] {
  const badges: BadgeAnswer[] = [];
  for (const { text: texts, place, colour } of met) {
    if (badges.length >= most) break;
    const text = withValues(texts[language] ?? Object.values(texts)[0]!, (name) => textFor(record, name));
    if (text !== null && !badges.some((other) => other.text === text)) badges.push({ text, place, colour });
  }
  return badges;
}
