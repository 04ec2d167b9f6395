import { vocabularyEndpoints } from '../../api/vocabularyEndpoints.ts';
import { named } from '../../core/base/named.ts';
import { readSynonymRow } from '../../core/setup/readSynonymRow.ts';
import { type SynonymEntry, vocabularyChanges } from '../../core/setup/vocabularyCsv.ts';
import { rowsOfCsv } from './rowsOfCsv.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

const mostEntries = 10_000;
const refusedListed = 50;

/** What the vocabulary does, and synonyms from a file. */
export function serveVocabulary(serve: Serve, { searcher }: Pick<Services, 'searcher'>): void {
  serve.desk(vocabularyEndpoints.vocabularyNotes, async ({ ref }, { key }) => ({
    notes: await searcher.vocabularyNotes(ref, key),
  }));
  serve.desk(vocabularyEndpoints.usualStopWords, ({ ref }) => searcher.usualStopWords(ref));
  serve.desk(vocabularyEndpoints.vocabularyTimes, async ({ ref }) => ({
    times: named(await searcher.vocabularyTimes(ref)),
  }));
  serve.desk(vocabularyEndpoints.dictionary, ({ ref }) => searcher.dictionary(ref));

  serve.desk(vocabularyEndpoints.readVocabulary, async ({ setups }, _, { csv }) => {
    const entries: SynonymEntry[] = [];
    const refused: { line: number; reason: string }[] = [];
    for (const row of await rowsOfCsv(csv, 'csv', mostEntries)) {
      const read = 'reason' in row ? { refusal: row.reason } : readSynonymRow(row.cells);
      if ('refusal' in read) refused.push({ line: row.line, reason: read.refusal });
      else entries.push(read.entry);
    }
    const { added, changed, unchanged } = vocabularyChanges(setups.draft().vocabulary, entries);
    return {
      added: [...added],
      changed: [...changed],
      unchanged,
      refused: refused.slice(0, refusedListed),
      refusedInAll: refused.length,
    };
  });
}
