import { Readable } from 'node:stream';
import { vocabularyEndpoints } from '../../api/vocabularyEndpoints.ts';
import { named } from '../../core/base/named.ts';
import { readSynonymRow } from '../../core/setup/readSynonymRow.ts';
import { type SynonymEntry, vocabularyChanges } from '../../core/setup/vocabularyCsv.ts';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import { Refused } from '../refused.ts';
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
      refused: refused.slice(0, refusedListed),
      refusedInAll: refused.length,
    };
  });
}
