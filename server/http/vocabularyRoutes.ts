import { Readable } from 'node:stream';
import { vocabularyEndpoints } from '../../api/vocabularyEndpoints.ts';
import { checkVocabulary } from '../../core/query/checkVocabulary.ts';
import { readUnits } from '../../core/query/readUnits.ts';
import { bindVocabulary, meaningsOf } from '../../core/query/vocabulary.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { readSynonymRow, type SynonymEntry, vocabularyChanges } from '../../core/setup/vocabularyCsv.ts';
import { isQuantityToken } from '../../core/text/quantity.ts';
import { isNumberLike, tokenize } from '../../core/text/tokenize.ts';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import type { Services } from './services.ts';
import { noCatalog, Refused, type Serve } from './serving.ts';
import { familiesTold, usualStopWords } from './stopWords.ts';
import { says } from './wordEvidence.ts';

/** Searches looked through for an entry's words, and of those that have them the ones it is tried on. */
const searchesLookedAt = 2000;
const searchesTried = 20;
const mostEntries = 10_000;
const refusedTold = 50;

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

const mostSpoken = 500;

/** Known words of searches that led to a click, those searched for most first. */
function wordsSpoken(
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
    .slice(0, mostSpoken)
    .map(([word]) => word);
}

/** What the vocabulary does, and synonyms from a file. */
export function serveVocabulary(serve: Serve, { setups, catalogs, searcher, log }: Services): void {
  serve(vocabularyEndpoints.vocabularyNotes, async ({ key: keys }) => {
    const reader = catalogs.current();
    if (!reader) throw noCatalog();
    const setup = setups.draft();
    const { snapshot } = catalogs.standing()!.view(setup);
    const problems = checkVocabulary(setup.vocabulary, (text) => says(snapshot, text));
    const searches = log.top(searchesLookedAt).map((demand) => ({ ...demand, tokens: tokenize(demand.search) }));
    const notes = keys.flatMap((key) => {
      const entry = setup.vocabulary[key];
      if (!entry) return [];
      const said = meaningsOf(entry).map(({ from }) => tokenize(from));
      const touched = searches.filter(({ tokens }) => said.some((saying) => holds(tokens, saying)));
      return [{ key, entry, touched }];
    });
    const task = { generation: reader.generation, shared: reader.buffer };
    const answered = [];
    for (const { key, entry, touched } of notes) {
      const tried = touched.slice(0, searchesTried).map(({ search, searches: times }) => ({ search, searches: times }));
      const off = { part: 'vocabulary' as const, key, value: { ...entry, on: false } };
      const [effect] = tried.length > 0 ? await searcher.effects(task, [[off]], tried) : [];
      answered.push({
        key,
        searches: touched.length,
        times: touched.reduce((sum, { searches: times }) => sum + times, 0),
        added: effect?.fewer ?? 0,
        problems: [...(problems.get(key) ?? [])],
      });
    }
    return { notes: answered };
  });

  serve(vocabularyEndpoints.usualStopWords, () => {
    if (!catalogs.current()) throw noCatalog();
    const setup = setups.draft();
    const { snapshot } = catalogs.standing()!.view(setup);
    const passedOver = Object.values(setup.vocabulary).flatMap((entry) =>
      entry.what === 'stopWords' ? entry.words : [],
    );
    return {
      language: snapshot.language,
      usual: usualStopWords(snapshot).filter((word) => !passedOver.includes(word)),
      telling: passedOver
        .map((word) => ({ word, products: familiesTold(snapshot, tokenize(word)[0] ?? '') }))
        .filter(({ products }) => products > 0),
      idle: passedOver.filter((word) => {
        const units = readUnits(word, () => true);
        return tokenize(word).length !== 1 || units.length !== 1 || isQuantityToken(units[0]!.token);
      }),
    };
  });

  serve(vocabularyEndpoints.vocabularyTimes, () => ({
    times: Object.fromEntries(timesSaid(setups.draft().vocabulary, log.top(searchesLookedAt))),
  }));

  serve(vocabularyEndpoints.dictionary, () => {
    if (!catalogs.current()) throw noCatalog();
    const setup = setups.draft();
    const { snapshot } = catalogs.standing()!.view(setup);
    const said = bindVocabulary(setup).saidAlone.filter((token) => snapshot.terms.find(token) < 0);
    const spoken = wordsSpoken(log.top(searchesLookedAt), (token) => snapshot.terms.find(token) >= 0);
    return { catalog: snapshot.deletions.words(), vocabulary: said.length, spoken };
  });

  serve(vocabularyEndpoints.readVocabulary, async (_, { csv }) => {
    const entries: SynonymEntry[] = [];
    const refused: { line: number; reason: string }[] = [];
    const form = { delimiter: ',', quote: '"', escape: '"' };
    try {
      for await (const row of csvRows(Readable.from([Buffer.from(csv)]), form)) {
        if ('reason' in row) refused.push({ line: row.line, reason: row.reason });
        else {
          const read = readSynonymRow(row.cells as Readonly<Record<string, string>>);
          if ('refusal' in read) refused.push({ line: row.line, reason: read.refusal });
          else entries.push(read.entry);
        }
        if (entries.length > mostEntries)
          throw new FileProblem('too-many', `The file has more than ${mostEntries} synonyms.`);
      }
    } catch (error) {
      if (error instanceof FileProblem)
        throw new Refused(400, { code: error.code, message: error.message, field: 'csv' });
      throw error;
    }
    const { added, changed, unchanged } = vocabularyChanges(setups.draft().vocabulary, entries);
    return {
      added: [...added],
      changed: [...changed],
      unchanged,
      refused: refused.slice(0, refusedTold),
      refusedInAll: refused.length,
    };
  });
}
