import { wordsOf } from '../query/readUnits.ts';
import { higherInList } from '../setup/parts/plans/planOrder.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { usualHow } from '../setup/terms/planTerms.ts';
import { holdsAt, isAlways, type When } from '../setup/terms/span.ts';
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
/** The same for one search. */
export interface Held extends Triggered {
  /** Which of the ways of reading the search it holds for; -1 for a collection's page. */
  readonly reading: number;
}

/** The plans that are switched on, by what they hold for: a search that none holds for costs a few lookups. */
export interface Triggers {
  /**
   * Those that hold for the words of a search, folded and in order, or for another way of reading it, or on a collection's
   * page: the most exact first, then as the list has them. Each once, for the first reading of those that it holds for as exactly.
   */
  holdingFor(readings: readonly (readonly string[])[], collection?: string | null): readonly Held[];
  /** Whether any plan holds for words: otherwise a search need not be read for them. */
  readonly areForWords: boolean;
}

/** The same without one of the plans; nothing is bound anew. */
export const withoutPlan = (triggers: Triggers, id: string): Triggers => ({
  areForWords: triggers.areForWords,
  holdingFor: (readings, collection) => triggers.holdingFor(readings, collection).filter(({ plan }) => plan.id !== id),
});

/** How many things besides its searches a plan is limited by. */
const restrictionsOf = ({ whenChosen = [], devices, ...span }: ShelfPlan): number =>
  whenChosen.length + (devices ? 1 : 0) + (isAlways(span) ? 0 : 1);

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

const keyOfAll = (stems: readonly string[]): string => [...stems].sort().join(' ');

type Sought = Triggered & { readonly sought: readonly string[] };
/** What a plan is found by: keys of its searches, by how they hold. */
interface PlanSayings {
  readonly exact: (readonly [string, Triggered])[];
  readonly meaning: (readonly [string, Triggered])[];
  readonly first: (readonly [string, Sought])[];
}
/** By plan, what it is found by: plans that an edit leaves alone stay the same value, and are bound again with every edit. */
const known = new WeakMap<
  ShelfPlan,
  {
    readonly id: string;
    readonly vocabulary: Setup['vocabulary'];
    readonly language: Language;
    readonly sayings: PlanSayings;
  }
>();

/** Works out once what each plan holds for at an instant. Cost: a little for each search of a plan; up to 64 sayings of those by meaning. */
export function openTriggers(setup: Setup, language: Language, when: When): Triggers {
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
  /** How many words those have: a search of another number holds for none of them, and its words need no stems. */
  const meant = new Set<number>();
  const byCollection = new Map<string, Triggered[]>();
  /** By their first word, those that a search begins with or contains. */
  const byFirst = new Map<string, Sought[]>();
  const add = <T>(map: Map<string, T[]>, key: string, item: T): void => {
    const known = map.get(key);
    if (known) known.push(item);
    else map.set(key, [item]);
  };
  /** What one plan is found by. */
  const sayingsOf = (plan: PlanInForce): PlanSayings => {
    const how = plan.how ?? usualHow;
    const sayings: PlanSayings = { exact: [], meaning: [], first: [] };
    for (const search of plan.searches) {
      const sought = wordsOf(search).tokens;
      if (sought.length === 0) continue;
      const triggered: Triggered = { plan, how, words: sought.length, restrictions: restrictionsOf(plan) };
      if (how === 'exactly') sayings.exact.push([sought.join(' '), triggered]);
      else if (how === 'meaning') {
        let said: (readonly string[])[] = [[]];
        for (const word of telling(sought)) {
          const ways = [...(synonyms.get(stemOf(word)) ?? [stemOf(word)])];
          said = said.flatMap((saying) => ways.map((way) => [...saying, way])).slice(0, mostSayings);
        }
        for (const key of new Set(said.map(keyOfAll))) sayings.meaning.push([key, triggered]);
      } else sayings.first.push([sought[0]!, { ...triggered, sought }]);
    }
    return sayings;
  };
  for (const [id, own] of Object.entries(setup.plans)) {
    if (!own.on || !holdsAt(own, when)) continue;
    const before = known.get(own);
    const isKnown = before?.vocabulary === setup.vocabulary && before.language === language && before.id === id;
    const sayings = isKnown ? before.sayings : sayingsOf({ ...own, id });
    if (!isKnown) known.set(own, { id, vocabulary: setup.vocabulary, language, sayings });
    for (const [key, triggered] of sayings.exact) add(exact, key, triggered);
    for (const [key, triggered] of sayings.meaning) {
      add(byMeaning, key, triggered);
      meant.add(key.split(' ').length);
    }
    for (const [key, triggered] of sayings.first) add(byFirst, key, triggered);
    for (const collection of own.collections ?? [])
      add(byCollection, collection, {
        ...{ plan: { ...own, id }, how: 'collection', words: 0, restrictions: restrictionsOf(own) },
      });
  }
  const holding = (readings: readonly (readonly string[])[], collection: string | null): readonly Held[] => {
    const held = new Map<string, Held>();
    const hold = (triggered: Triggered, reading: number): void => {
      const { id } = triggered.plan;
      const before = held.get(id);
      if (!before || moreExact(triggered, before) < 0) held.set(id, { ...triggered, reading });
    };
    for (const [reading, words] of readings.entries()) {
      for (const triggered of exact.get(words.join(' ')) ?? []) hold(triggered, reading);
      const said = meant.size > 0 ? telling(words) : words;
      if (meant.has(said.length))
        for (const triggered of byMeaning.get(keyOfAll(said.map(stemOf))) ?? []) hold(triggered, reading);
      for (let at = 0; at < words.length && byFirst.size > 0; at++)
        for (const triggered of byFirst.get(words[at]!) ?? []) {
          const { how, sought } = triggered;
          if (at > 0 && how !== 'containing') continue;
          let same = 1;
          while (same < sought.length && words[at + same] === sought[same]) same++;
          if (same === sought.length) hold(triggered, reading);
        }
    }
    if (collection !== null) for (const triggered of byCollection.get(collection) ?? []) hold(triggered, -1);
    return [...held.values()].sort((a, b) => moreExact(a, b) || higherInList([a.plan.id, a.plan], [b.plan.id, b.plan]));
  };
  /** A search asks twice: for what it is taken for, and for what is done to it. */
  let last: { readonly asked: string; readonly held: readonly Held[] } = { asked: '', held: [] };
  return {
    areForWords: exact.size + byMeaning.size + byFirst.size > 0,
    holdingFor(readings, collection = null) {
      const page = collection === null ? '' : `on ${collection}`;
      const asked = [page, ...readings.map((words) => words.join(' '))].join('\n');
      if (asked !== last.asked) last = { asked, held: holding(readings, collection) };
      return last.held;
    },
  };
}
