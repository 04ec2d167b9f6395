import type { NearText } from '../query/nearTexts.ts';
import { withoutSynonyms } from '../query/withoutSynonyms.ts';
import { readSearch } from './findMatches.ts';
import { type Attempt, asTypedOnly, attemptsOf } from './ladder.ts';
import { nearSearches } from './nearSearches.ts';
import { type Engine, type PreparedSetup, prepareSetup } from './prepareSetup.ts';
import { type Ranking, rank } from './rank.ts';
import type { Scope } from './scope.ts';
import type { SearchRequest } from './searchRequest.ts';

/** A search as far up the ladder as it had to go. */
export interface Climbed {
  readonly ranking: Ranking;
  /** The setup as the search was read by in the end: explanations and offers go by it. */
  readonly prepared: PreparedSetup;
  /** The collection looked in; null for the whole shop. */
  readonly scope: Scope | null;
  /** The search, near in meaning, that was looked for instead; null where it was looked for itself. */
  readonly near: NearText | null;
  /** Whether it was looked for outside the collection it was asked in. */
  readonly isOutside: boolean;
}

const bound = new WeakMap<PreparedSetup, Map<string, PreparedSetup>>();

/** A setup as an attempt reads searches by. Cost: that of binding it without its synonyms, once. */
function readBy(engine: Engine, prepared: PreparedSetup, { synonyms, spelling }: Attempt): PreparedSetup {
  const corrects = spelling && prepared.spelling.atOnce;
  if (synonyms && corrects === prepared.spelling.atOnce) return prepared;
  const own = bound.get(prepared) ?? new Map<string, PreparedSetup>();
  bound.set(prepared, own);
  const key = `${synonyms} ${corrects}`;
  const before = own.get(key);
  if (before) return before;
  const { setup, when, asked } = prepared;
  const read = synonyms ? prepared : prepareSetup(engine, withoutSynonyms(setup), when.now, asked.collections);
  const made = { ...read, spelling: { ...read.spelling, atOnce: corrects } };
  own.set(key, made);
  return made;
}

/** The attempts of one search: without what makes no difference to it, or would while it is still being typed. */
function attemptsFor(
  { setup, spelling }: PreparedSetup,
  { typing }: SearchRequest,
  scope: Scope | null,
): readonly Attempt[] {
  const { order, off } = setup.emptyShelf.ladder;
  const idle: (typeof off)[number][] = [
    ...(scope === null ? (['wholeShop'] as const) : []),
    ...(typing ? (['meaning'] as const) : []),
  ];
  return attemptsOf({ order, off: [...off, ...idle] }, spelling.atOnce);
}

/** Whether nothing more is tried: something has the words, or the shopper is sent elsewhere. */
const isEnough = ({ isBrowsing, foundByWords, effects }: Ranking): boolean =>
  isBrowsing || foundByWords || effects.some(({ what }) => what === 'redirect');

/**
 * Ranks a search as shoppers get to see it: as it was typed, and where nothing has its words, step by step as the setup's
 * ladder has them, until something has. Where nothing ever does, as far as it was looked for itself where it was asked. With
 * `exactly`, only what was typed. Cost: one `rank` where the first attempt finds something, at most `mostNear` more for each
 * further step.
 */
export function climb(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  wanted: number,
  scope: Scope | null = null,
): Climbed {
  const attempts = request.exactly ? [asTypedOnly] : attemptsFor(prepared, request, scope);
  /** Whether plans put something there: then neither the whole shop nor what is near comes in its place. */
  let isPut = false;
  const tried = (attempt: Attempt, near: NearText | null): Climbed => {
    const isOutside = attempt.wholeShop && scope !== null && !isPut;
    const { collection: _, ...anywhere } = request;
    const asked = {
      ...(isOutside ? anywhere : request),
      ...(near && { query: near.text }),
      allWords: request.allWords || !attempt.words || near !== null,
    };
    const as = readBy(engine, prepared, attempt);
    const within = isOutside ? null : scope;
    const narrowing = request.exactly ? 'none' : attempt.filters ? 'fewer' : 'all';
    return {
      ranking: rank(engine, as, asked, wanted, within, narrowing),
      prepared: as,
      scope: within,
      near,
      isOutside,
    };
  };
  let inPlace: Attempt = attempts[0]!;
  let itself: Climbed | null = null;
  let isOverwritten = false;
  for (const attempt of attempts) {
    if (attempt.itself) {
      const found = tried(attempt, null);
      if (isEnough(found.ranking)) return found;
      isPut ||= found.ranking.foundAny;
      if (!found.isOutside) inPlace = attempt;
      isOverwritten = found.isOutside;
      itself = found;
    }
    if (!attempt.meaning || isPut) continue;
    const words = readSearch(engine, itself!.prepared, request.query, { typing: false }).expand(false);
    const { tolerance, atOnce } = itself!.prepared.spelling;
    for (const near of nearSearches(words, { near: engine.near, mayBeMisspelt: tolerance && atOnce })) {
      const found = tried(attempt, near);
      if (found.ranking.foundByWords) return found;
      isOverwritten = true;
    }
  }
  return itself && !isOverwritten ? itself : tried(inPlace, null);
}

/** Ids of the first `depth` products in order: for comparing two rankings without making cards. */
export function rankedFamilies(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  depth: number,
  scope: Scope | null = null,
): string[] {
  const { placed, candidates } = climb(engine, prepared, request, depth, scope).ranking;
  return placed.map(({ candidate }) => engine.snapshot.familyId(candidates.families[candidate]!));
}
