import { own } from '../base/named.ts';
import { writeCsv } from '../catalog/writeCsv.ts';
import { tokenize } from '../text/tokenize.ts';
import { type VocabularyEntry, vocabularyEntrySchema } from './parts/vocabulary.ts';
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

export type ReadSynonym = { readonly entry: SynonymEntry } | { readonly refusal: string };

const off = /^(off|no|false|0|aus|non)$/i;

/** Reads one row of such a CSV; what is wrong is said in a sentence. */
export function readSynonymRow(cells: Readonly<Record<string, string>>): ReadSynonym {
  const cell = (name: string): string => own(cells, name)?.trim() ?? '';
  const words = sayingsIn(cell('words'));
  const finds = sayingsIn(cell('finds'));
  const kind = cell('kind').toLowerCase();
  if (kind !== '' && kind !== 'same' && kind !== 'one way')
    return { refusal: `“${kind.slice(0, 40)}” is no kind; it is “same” or “one way”.` };
  const isOneWay = kind === 'one way' || (kind === '' && finds.length > 0);
  if (words.length === 0) return { refusal: 'The row has no words.' };
  if (isOneWay && finds.length === 0) return { refusal: 'A one-way row must say in “finds” what its words find.' };
  if (!isOneWay && words.length < 2) return { refusal: 'A set needs at least two words that mean the same.' };
  const shared = { on: !off.test(cell('on')), ...(cell('name') && { name: cell('name') }) };
  const parsed = vocabularyEntrySchema.safeParse(
    isOneWay ? { what: 'oneWay', from: words, to: finds, ...shared } : { what: 'synonyms', words, ...shared },
  );
  if (parsed.success) return { entry: parsed.data as SynonymEntry };
  return { refusal: `${parsed.error.issues[0]!.path.join(' ')} ${parsed.error.issues[0]!.message}.` };
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
