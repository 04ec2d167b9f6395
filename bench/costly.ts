import { pick } from '../core/base/random.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';
import { firstText, textsOf } from '../core/catalog/record.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { misspell } from './misspell.ts';

export interface CostlySearch {
  readonly text: string;
  readonly typing: boolean;
}

/** The commonest words of a catalog, and some of all others. */
function wordPool(records: readonly CatalogRecord[]): { readonly common: string[]; readonly all: string[] } {
  const counts = new Map<string, number>();
  for (let at = 0; at < records.length; at += Math.ceil(records.length / 4000))
    for (const value of Object.values(records[at]!.values))
      for (const token of textsOf(value).flatMap(tokenize)) counts.set(token, (counts.get(token) ?? 0) + 1);
  const all = [...counts.keys()];
  return { common: all.sort((a, b) => counts.get(b)! - counts.get(a)!).slice(0, 40), all };
}

/** One piece of a bad search: a common word, any word, a beginning, a slip, two words as one, a part number cut up, noise. */
function badPiece(random: () => number, pool: ReturnType<typeof wordPool>, records: readonly CatalogRecord[]): string {
  const kind = Math.floor(random() * 9);
  const word = pick(random, random() < 0.6 ? pool.common : pool.all);
  if (kind <= 3) return word;
  if (kind === 4) return word.slice(0, 2);
  if (kind === 5) return word.length > 3 ? misspell(random, word) : word;
  if (kind === 6) return word + pick(random, pool.common);
  if (kind === 7) return tokenize(pick(random, records).sku).join(' ');
  return kind === 8 && random() < 0.5
    ? firstText(pick(random, records).values.title)
    : 'q'.repeat(1 + Math.floor(random() * 40));
}

/**
 * Looks for the search that costs most: begins with bad ones, then changes a word of the worst of them again and again
 * and keeps what got worse. Each cost is the least of three runs, so that a hiccup of the machine is not taken for it.
 */
export function findCostliest(
  random: () => number,
  records: readonly CatalogRecord[],
  ask: (search: CostlySearch) => void,
  steps = 500,
): CostlySearch & { readonly milliseconds: number } {
  const pool = wordPool(records);
  const cost = (search: CostlySearch): number => {
    const times = Array.from({ length: 3 }, () => {
      const start = performance.now();
      ask(search);
      return performance.now() - start;
    });
    return Math.min(...times);
  };
  const piece = (): string => badPiece(random, pool, records);
  const measured = (text: string, typing: boolean) => ({ text, typing, milliseconds: cost({ text, typing }) });
  const fresh = () =>
    measured(
      Array.from({ length: 1 + Math.floor(random() * 12) }, piece)
        .join(' ')
        .slice(0, 500),
      random() < 0.5,
    );
  const kept = Array.from({ length: 40 }, fresh).sort((a, b) => b.milliseconds - a.milliseconds);
  for (let step = 0; step < steps; step++) {
    const words = kept[Math.floor(random() ** 2 * kept.length)]!.text.split(' ');
    const at = Math.floor(random() * words.length);
    if (random() < 0.5) words[at] = piece();
    else if (random() < 0.6 && words.length < 14) words.splice(at, 0, piece());
    else if (words.length > 1) words.splice(at, 1);
    const next = measured(words.join(' ').slice(0, 500), random() < 0.5);
    if (next.milliseconds <= kept.at(-1)!.milliseconds) continue;
    kept[kept.length - 1] = next;
    kept.sort((a, b) => b.milliseconds - a.milliseconds);
  }
  return kept[0]!;
}
