import { own } from '../../core/base/named.ts';
import { effectsOf } from '../../core/proposals/effect.ts';
import { checkVocabulary } from '../../core/query/checkVocabulary.ts';
import { readUnits } from '../../core/query/readUnits.ts';
import { bindVocabulary, meaningsOf } from '../../core/query/vocabulary.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { DraftRef, SetupRef } from '../../core/setup/setupRef.ts';
import { isQuantityToken } from '../../core/text/quantity.ts';
import { isNumberLike, tokenize } from '../../core/text/tokenize.ts';
import type { Workbench } from '../searching/workbench.ts';
import { familiesNamedBy, usualStopWords } from './stopWords.ts';
import { says } from './wordEvidence.ts';

/** Searches looked through for an entry's words, and of those that have them the ones it is tried on. */
const searchesLookedAt = 2000;
const searchesTried = 20;
const holds = (tokens: readonly string[], said: readonly string[]): boolean =>
  tokens.some((_, at) => said.every((token, place) => tokens[at + place] === token));

/** How often some searches say a word of each entry, by its key. Cost: a look at every word of every search. */
function timesSaid(
  vocabulary: Setup['vocabulary'],
  searches: readonly { readonly search: string; readonly searches: number }[],
): Map<string, number> {
  const byFirst = new Map<string, { readonly key: string; readonly said: readonly string[] }[]>();
  for (const [key, entry] of Object.entries(vocabulary))
    for (const { from } of meaningsOf(entry)) {
      const said = tokenize(from);
      if (said.length > 0) byFirst.set(said[0]!, [...(byFirst.get(said[0]!) ?? []), { key, said }]);
    }
  const times = new Map<string, number>();
  for (const { search, searches: made } of searches) {
    const tokens = tokenize(search);
    const touched = tokens.flatMap((token, at) =>
      (byFirst.get(token) ?? []).filter(({ said }) => said.every((each, place) => tokens[at + place] === each)),
    );
    for (const key of new Set(touched.map((each) => each.key))) times.set(key, (times.get(key) ?? 0) + made);
  }
  return times;
}

const mostPopular = 500;

/** Known words of searches that led to a click, those searched for most first. */
function popularWords(
  searches: readonly { readonly search: string; readonly searches: number; readonly clicked: number }[],
  isKnown: (token: string) => boolean,
): string[] {
  const times = new Map<string, number>();
  for (const { search, searches: made, clicked } of searches)
    if (clicked > 0)
      for (const token of new Set(tokenize(search)))
        if (token.length > 2 && !isNumberLike(token) && isKnown(token))
          times.set(token, (times.get(token) ?? 0) + made);
  return [...times]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, mostPopular)
    .map(([word]) => word);
}

/** What the vocabulary does for real searches. */
export function vocabularyQuestions({ ready, log, setups }: Workbench) {
  return {
    vocabularyNotes(ref: SetupRef, keys: readonly string[]) {
      const { engine, setup: prepared, view } = ready(ref);
      const { setup, when, asked } = prepared;
      const under = { now: when.now, collections: asked.collections };
      const problems = checkVocabulary(setup.vocabulary, (text) => says(view.snapshot, text));
      const searches = log.top(searchesLookedAt).map((demand) => ({ ...demand, tokens: tokenize(demand.search) }));
      return keys.flatMap((key) => {
        const entry = own(setup.vocabulary, key);
        if (!entry) return [];
        const said = meaningsOf(entry).map(({ from }) => tokenize(from));
        const touched = searches.filter(({ tokens }) => said.some((saying) => holds(tokens, saying)));
        const tried = touched
          .slice(0, searchesTried)
          .map(({ search, searches: times }) => ({ search, searches: times }));
        const off = { part: 'vocabulary' as const, key, value: { ...entry, on: false } };
        const [effect] =
          tried.length > 0 ? effectsOf(engine, setup, under, [[off]], { searches: tried, areMadeUp: false }) : [];
        return [
          {
            key,
            searches: touched.length,
            times: touched.reduce((sum, { searches: times }) => sum + times, 0),
            added: effect?.fewer ?? 0,
            problems: [...(problems.get(key) ?? [])],
          },
        ];
      });
    },
    usualStopWords(ref: SetupRef) {
      const { setup: prepared, view } = ready(ref);
      const { snapshot } = view;
      const passedOver = Object.values(prepared.setup.vocabulary).flatMap((entry) =>
        entry.what === 'stopWords' ? entry.words : [],
      );
      return {
        language: snapshot.language,
        usual: usualStopWords(snapshot).filter((word) => !passedOver.includes(word)),
        meaningful: passedOver
          .map((word) => ({ word, products: familiesNamedBy(snapshot, tokenize(word)[0] ?? '') }))
          .filter(({ products }) => products > 0),
        idle: passedOver.filter((word) => {
          const units = readUnits(word, () => true);
          return tokenize(word).length !== 1 || units.length !== 1 || isQuantityToken(units[0]!.token);
        }),
      };
    },
    /** How often searches say a word of each entry, by its key. */
    vocabularyTimes: (ref: DraftRef): [string, number][] => [
      ...timesSaid(setups.draft(ref).draft().vocabulary, log.top(searchesLookedAt)),
    ],
    dictionary(ref: SetupRef) {
      const { setup, view } = ready(ref);
      const { terms, deletions } = view.snapshot;
      const said = bindVocabulary(setup.setup).saidAlone.filter((token) => terms.find(token) < 0);
      const popular = popularWords(log.top(searchesLookedAt), (token) => terms.find(token) >= 0);
      return { catalog: deletions.words(), vocabulary: said.length, popular };
    },
  };
}
