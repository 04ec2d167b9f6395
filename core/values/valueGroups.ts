import type { ValueGroup, ValueGroups } from '../setup/parts/valueGroups.ts';
import { usualRestLabel } from '../setup/terms/filterTerms.ts';
import { fold } from '../text/fold.ts';
import { findQuantities } from '../text/quantity.ts';
import { tokenize } from '../text/tokenize.ts';

/** Texts that differ only in case, accents and spaces are one value to a group. */
export const sameValue = (text: string): string => fold(text).replace(/\s+/g, ' ').trim();

/** The amount a text holds: with its unit in the canonical one, or as a number by itself; null where there is none. */
export function amountIn(text: string): number | null {
  const folded = fold(text);
  const [quantity] = findQuantities(folded);
  if (quantity) return quantity.amount;
  // "No. 6" and "6" are amounts; "A3", "10/0" and "6B" name something.
  const bare = /(?<![\p{L}\p{N}.,/-])(-?\d+(?:[.,]\d+)?)(?![\p{N}/]|[.,-]?\p{L})/u.exec(folded);
  return bare ? Number(bare[1]!.replace(',', '.')) : null;
}

/** Whether a value that no group lists fits a group's rule; one without a rule takes nothing in. */
function fits({ words = [], from, to }: ValueGroup, tokens: readonly string[], amount: number | null): boolean {
  if (words.some((word) => tokenize(word).every((token) => tokens.includes(token)))) return true;
  if (from === undefined && to === undefined) return false;
  return amount !== null && amount >= (from ?? Number.NEGATIVE_INFINITY) && amount < (to ?? Number.POSITIVE_INFINITY);
}

/** The group each value of the catalog belongs to, or null: one that lists it comes before one whose rule it fits. */
export function bindGroups({ groups }: ValueGroups): (text: string) => ValueGroup | null {
  const listed = new Map<string, ValueGroup>();
  for (const group of groups)
    for (const text of group.values) if (!listed.has(sameValue(text))) listed.set(sameValue(text), group);
  const ruled = groups.filter(({ words, from, to }) => words?.length || from !== undefined || to !== undefined);
  return (text) => {
    const found = listed.get(sameValue(text));
    if (found || ruled.length === 0) return found ?? null;
    const tokens = tokenize(text);
    const amount = amountIn(text);
    return ruled.find((group) => fits(group, tokens, amount)) ?? null;
  };
}

/** What a filter shows a value of the catalog as; null where it does not show it. */
export function shownThrough(setting: ValueGroups): (text: string) => string | null {
  const groupOf = bindGroups(setting);
  const rest = setting.restLabel ?? usualRestLabel;
  return (text) => {
    const group = groupOf(text);
    if (group) return group.label;
    return setting.rest === 'own' ? text : setting.rest === 'together' ? rest : null;
  };
}
