import { type AttributeProfile, isNumeric } from '../catalog/profileAttributes.ts';
import { availability } from '../catalog/standardColumns.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import { amountIn } from '../values/valueGroups.ts';

const sizeLike = /^(\d{1,3}(\/0)?|[a-c]\d{1,2}|x{0,3}[sml]|[2-5]xl)$/i;

/**
 * The look that fits an attribute's values best, for whoever proposes a filter. `texts` are its values, or its commonest
 * ones; `colours`, what they look like, where they are colours; `most` is the greatest amount, which tells a rating out of
 * five from one out of ten.
 */
export function firstLook(
  profile: AttributeProfile,
  texts: readonly string[],
  { colours, most }: { readonly colours: Readonly<Record<string, string>> | null; readonly most: number },
): Partial<FilterSetting> {
  const { key, kind } = profile;
  if (key === 'rating' && most <= 5) return { kind: 'rating' };
  if (key === 'rating' && most <= 10) return { kind: 'rating', thresholds: [6, 7, 8, 9] };
  if (kind === 'date') return { kind: 'bands', thresholds: [30, 90, 365] };
  if (isNumeric(profile)) return { kind: 'slider' };
  if (key === availability.key) return { kind: 'yesNo', yes: availability.inStock, label: availability.inStock };
  if (kind === 'path') return { kind: 'tree' };
  if (colours && texts.length <= 60) return { kind: 'swatches', showFirst: 12, colours: { ...colours } };
  const sized = texts.filter((text) => sizeLike.test(text.trim()) || amountIn(text) !== null).length;
  if (texts.length > 0 && sized >= texts.length * 0.7)
    return {
      kind: texts.length <= 30 ? 'tiles' : 'dropdown',
      valueOrder: texts.every((text) => amountIn(text) !== null) ? 'amount' : 'natural',
    };
  return texts.length > 40 ? { kind: 'dropdown' } : { kind: 'ticks' };
}
