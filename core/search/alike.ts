import { tokenize } from '../text/tokenize.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { rank } from './rank.ts';

/** A family, and the variant of it that is most like. */
export interface Alike {
  readonly family: number;
  readonly record: number;
}

/**
 * Families like a product by what it is called: what has most of its title's words; else what is called as its last words
 * say, which name what it is. `but` is its own family, -1 for none; what is hidden is left out, as in any search. Cost: a
 * search, and where nothing has its title one for each of its words. Overwrites what the engine found last.
 */
export function familiesAlike(
  engine: Engine,
  prepared: PreparedSetup,
  title: string,
  { but, most }: { readonly but: number; readonly most: number },
): Alike[] {
  for (const query of [title, ...tokenize(title).reverse()]) {
    const { placed, candidates } = rank(engine, prepared, { query, filters: {}, page: 1, limit: most + 1 }, most + 1);
    const alike = placed
      .map(({ candidate }) => ({
        family: candidates.families[candidate]!,
        record: candidates.representatives[candidate]!,
      }))
      .filter(({ family }) => family !== but);
    if (alike.length > 0) return alike.slice(0, most);
  }
  return [];
}
