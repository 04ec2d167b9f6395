import { Readable } from 'node:stream';
import { vocabularyEndpoints } from '../../api/vocabularyEndpoints.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { checkVocabulary } from '../../core/query/checkVocabulary.ts';
import { phrasePostings } from '../../core/query/phrasePostings.ts';
import { meaningsOf } from '../../core/query/vocabulary.ts';
import { readSynonymRow, type SynonymEntry, vocabularyChanges } from '../../core/setup/vocabularyCsv.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import type { Services } from './services.ts';
import { noCatalog, Refused, type Serve } from './serving.ts';
import { familiesTold, usualStopWords } from './stopWords.ts';

/** Searches looked through for an entry's words, and of those that have them the ones it is tried on. */
const searchesLookedAt = 2000;
const searchesTried = 20;
const mostEntries = 10_000;
const refusedTold = 50;

/** Whether the catalog says a text: its word in any form, or its words side by side. */
function says({ terms, formsOf, postings }: Snapshot, text: string): boolean {
  const tokens = tokenize(text);
  if (tokens.length === 1) return terms.find(tokens[0]!) >= 0 || formsOf(tokens[0]!).length > 0;
  const numbers = tokens.map((token) => terms.find(token));
  return numbers.length > 0 && !numbers.includes(-1) && phrasePostings(postings, numbers).length > 0;
}

const holds = (tokens: readonly string[], said: readonly string[]): boolean =>
  tokens.some((_, at) => said.every((token, place) => tokens[at + place] === token));

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
    };
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
