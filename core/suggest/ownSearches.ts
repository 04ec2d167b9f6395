import type { OfferedSearch } from '../setup/parts/suggestedSearches.ts';
import type { Setup } from '../setup/schema.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';
import { sameWords, wordsOfPhrase } from './phrase.ts';

/** What a merchandiser decided about searches that are offered, bound for looking through it with every letter. */
export interface OwnSearches {
  /** Those in force that go on from what was typed (`typedAs`), the highest priority first. */
  matching(typed: string): readonly string[];
  /** Those in force that are offered always. */
  readonly always: readonly string[];
  /** Whether a search has words that none may have, or is itself never offered. */
  isNever(text: string): boolean;
}

const bound = new WeakMap<Setup['suggestedSearches'], { readonly when: When; readonly own: OwnSearches }>();

/** Cost: a pass over the list where it, or the time, has changed; then one over what is in force for each question. */
export function ownSearches(list: Setup['suggestedSearches'], when: When): OwnSearches {
  const before = bound.get(list);
  if (before?.when === when) return before.own;
  const entries = Object.values(list);
  const offered = entries
    .filter((entry): entry is OfferedSearch => entry.what === 'offer' && entry.on && holdsAt(entry, when))
    .map((entry) => ({ ...entry, words: ` ${wordsOfPhrase(entry.text)}` }))
    .sort((a, b) => b.priority - a.priority || (a.words < b.words ? -1 : a.words > b.words ? 1 : 0));
  const refused = entries.filter((entry) => entry.what === 'never');
  const never = refused.flatMap(({ alone, text }) => (alone ? [] : [` ${wordsOfPhrase(text)} `]));
  const alone = new Set(refused.flatMap((entry) => (entry.alone ? [sameWords(entry.text)] : [])));
  const own: OwnSearches = {
    matching: (typed) =>
      offered
        .filter(({ words }) => words.includes(` ${typed}`) && words !== ` ${typed.trimEnd()}`)
        .map(({ text }) => text),
    always: offered.filter(({ always }) => always).map(({ text }) => text),
    isNever(text) {
      if (alone.has(sameWords(text))) return true;
      if (never.length === 0) return false;
      const words = ` ${wordsOfPhrase(text)} `;
      return never.some((each) => words.includes(each));
    },
  };
  bound.set(list, { when, own });
  return own;
}
