import { dayNumber } from '../base/day.ts';
import { wordsOf } from '../query/readUnits.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { usualHow } from '../setup/terms/planTerms.ts';
import type { Language } from '../text/languages.ts';
import { stem } from '../text/wordForms.ts';
import { type Exactness, moreExact } from './effects.ts';

export interface PlanInForce extends ShelfPlan {
  readonly id: string;
}
/** A plan with how exactly it holds for a search. */
export interface Triggered extends Exactness {
  readonly plan: PlanInForce;
}

/** The plans that are switched on, by what they hold for: a search that none holds for costs a few lookups. */
export interface Triggers {
  /** Those that hold for the words of a search, folded and in order: the most exact first, then in order of their ids. Each once. */
  holdingFor(words: readonly string[]): readonly Triggered[];
}

/** Ways of saying a plan's search by synonyms that are kept; more would be made of a few long sets. */
const mostSayings = 64;

/** Single words that mean the same, by their stems: those of one set, and no further. */
function synonymsByStem(setup: Setup, stemOf: (word: string) => string): ReadonlyMap<string, ReadonlySet<string>> {
  const all = new Map<string, Set<string>>();
  for (const entry of Object.values(setup.vocabulary)) {
    if (entry.what !== 'synonyms' || !entry.on) continue;
    const stems = entry.words
      .map((saying) => wordsOf(saying).tokens)
      .flatMap((words) => (words.length === 1 ? [stemOf(words[0]!)] : []));
    for (const own of stems) for (const other of stems) all.set(own, (all.get(own) ?? new Set([own])).add(other));
  }
  return all;
}

/** Whether a day is one of a plan's. */
const isOnAt = ({ from, until }: ShelfPlan, today: number): boolean =>
  (from === undefined || dayNumber(from) <= today) && (until === undefined || today <= dayNumber(until));

const keyOfAll = (stems: readonly string[]): string => [...stems].sort().join(' ');

/** Works out once what each plan holds for on a day, in days since 1970. Cost: a little for each search of a plan; up to 64 sayings of those by meaning. */
export function openTriggers(setup: Setup, language: Language, today: number): Triggers {
  const stemOf = (word: string): string => stem(word, language);
  const stopWords = new Set(
    Object.values(setup.vocabulary).flatMap((entry) =>
      entry.what === 'stopWords' ? entry.words.flatMap((word) => wordsOf(word).tokens) : [],
    ),
  );
  /** The words that say something; all of them where none does. */
  const telling = (words: readonly string[]): readonly string[] => {
    const left = words.filter((word) => !stopWords.has(word));
    return left.length > 0 ? left : words;
  };
  const synonyms = synonymsByStem(setup, stemOf);
  const exact = new Map<string, Triggered[]>();
  const byMeaning = new Map<string, Triggered[]>();
  /** By their first word, those that a search begins with or contains. */
  const byFirst = new Map<string, (Triggered & { readonly sought: readonly string[] })[]>();
  const add = <T>(map: Map<string, T[]>, key: string, item: T): void => {
    const known = map.get(key);
    if (known) known.push(item);
    else map.set(key, [item]);
  };
  for (const id of Object.keys(setup.plans).sort()) {
    const plan = { ...setup.plans[id]!, id };
    if (!plan.on || !isOnAt(plan, today)) continue;
    const how = plan.how ?? usualHow;
    for (const search of plan.searches) {
      const sought = wordsOf(search).tokens;
      if (sought.length === 0) continue;
      const triggered: Triggered = { plan, how, words: sought.length };
      if (how === 'exactly') add(exact, sought.join(' '), triggered);
      else if (how === 'meaning') {
        let sayings: (readonly string[])[] = [[]];
        for (const word of telling(sought)) {
          const ways = [...(synonyms.get(stemOf(word)) ?? [stemOf(word)])];
          sayings = sayings.flatMap((saying) => ways.map((way) => [...saying, way])).slice(0, mostSayings);
        }
        for (const key of new Set(sayings.map(keyOfAll))) add(byMeaning, key, triggered);
      } else add(byFirst, sought[0]!, { ...triggered, sought });
    }
  }
  return {
    holdingFor(words) {
      const held = new Map<string, Triggered>();
      const hold = (triggered: Triggered): void => {
        const { id } = triggered.plan;
        const before = held.get(id);
        if (!before || moreExact(triggered, before) < 0) held.set(id, triggered);
      };
      for (const triggered of exact.get(words.join(' ')) ?? []) hold(triggered);
      if (byMeaning.size > 0)
        for (const triggered of byMeaning.get(keyOfAll(telling(words).map(stemOf))) ?? []) hold(triggered);
      for (let at = 0; at < words.length && byFirst.size > 0; at++)
        for (const triggered of byFirst.get(words[at]!) ?? []) {
          const { how, sought } = triggered;
          if ((at === 0 || how === 'containing') && sought.every((word, index) => words[at + index] === word))
            hold(triggered);
        }
      return [...held.values()].sort((a, b) => moreExact(a, b) || (a.plan.id < b.plan.id ? -1 : 1));
    },
  };
}
