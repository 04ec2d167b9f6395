import { writeCsv } from '../catalog/writeCsv.ts';
import { tokenize } from '../text/tokenize.ts';
import type { VocabularyEntry } from './parts/vocabulary.ts';
import type { Setup } from './schema.ts';
import { canonical } from './terms/canonical.ts';

type Vocabulary = Setup['vocabulary'];
export type SynonymEntry = Extract<VocabularyEntry, { what: 'synonyms' | 'oneWay' }>;

export const isSynonym = (entry: VocabularyEntry): entry is SynonymEntry =>
  entry.what === 'synonyms' || entry.what === 'oneWay';

/** Words of a CSV cell or a field, each once; several stand apart by a bar or a comma. */
export const sayingsIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[|,]/)
      .map((saying) => saying.trim().replace(/\s+/g, ' '))
      .filter(Boolean),
  ),
];

const header = ['kind', 'words', 'finds', 'on', 'name'] as const;
const kinds = { synonyms: 'same', oneWay: 'one way' } as const;

/** The synonyms as CSV: `same` sets in `words`; one-way ones with what the shopper says in `words` and what it finds in `finds`. */
export function writeVocabularyCsv(vocabulary: Vocabulary): string {
  const rows = Object.keys(vocabulary)
    .sort()
    .flatMap((key) => {
      const entry = vocabulary[key]!;
      if (!isSynonym(entry)) return [];
      const words = entry.what === 'synonyms' ? entry.words : entry.from;
      const finds = entry.what === 'synonyms' ? [] : entry.to;
      return [[kinds[entry.what], words.join('|'), finds.join('|'), entry.on ? 'on' : 'off', entry.name ?? '']];
    });
  return writeCsv(header, rows);
}

/** A key for an entry, made from its words so that it reads well; two entries with the same words have the same. */
export function synonymKey(entry: SynonymEntry): string {
  const texts = entry.what === 'synonyms' ? entry.words : [...entry.from, 'finds', ...entry.to];
  return `${entry.what === 'synonyms' ? 'same' : 'way'}-${texts.map((text) => tokenize(text).join('_')).join('-')}`.slice(
    0,
    80,
  );
}

/** What bringing entries in would do to a vocabulary; one that is named replaces the one of that name. */
export interface VocabularyChanges {
  readonly added: readonly { readonly key: string; readonly entry: SynonymEntry }[];
  readonly changed: readonly { readonly key: string; readonly entry: SynonymEntry }[];
  readonly unchanged: number;
}

export function vocabularyChanges(vocabulary: Vocabulary, entries: readonly SynonymEntry[]): VocabularyChanges {
  const byName = new Map(
    Object.entries(vocabulary).flatMap(([key, entry]) => (isSynonym(entry) && entry.name ? [[entry.name, key]] : [])),
  );
  const next = new Map(
    entries.map((entry) => [(entry.name ? byName.get(entry.name) : undefined) ?? synonymKey(entry), entry]),
  );
  const added: { key: string; entry: SynonymEntry }[] = [];
  const changed: { key: string; entry: SynonymEntry }[] = [];
  let unchanged = 0;
  for (const [key, entry] of next) {
    const before = vocabulary[key];
    if (before === undefined) added.push({ key, entry });
    else if (canonical(before) === canonical(entry)) unchanged++;
    else changed.push({ key, entry });
  }
  return { added, changed, unchanged };
}
