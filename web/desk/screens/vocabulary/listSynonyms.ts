import type { Setup } from '../../../../core/setup/schema.ts';
import { isSynonym, type SynonymEntry } from '../../../../core/setup/vocabularyCsv.ts';
import { fold } from '../../../../core/text/fold.ts';

export interface SynonymRow {
  readonly key: string;
  readonly entry: SynonymEntry;
}
export const kinds = ['all', 'synonyms', 'oneWay', 'off'] as const;
export type Kind = (typeof kinds)[number];

const textsOf = (entry: SynonymEntry): readonly string[] =>
  entry.what === 'synonyms' ? entry.words : [...entry.from, ...entry.to];

/** An entry in words, as it is called everywhere. */
export const synonymText = (entry: SynonymEntry): string =>
  entry.what === 'synonyms' ? entry.words.join(', ') : `${entry.from.join(', ')} finds ${entry.to.join(', ')}`;

/** The synonyms whose words or name hold a text, of one kind, by their first word. */
export function listSynonyms(vocabulary: Setup['vocabulary'], contains: string, kind: Kind): SynonymRow[] {
  const sought = fold(contains.trim());
  return Object.entries(vocabulary)
    .flatMap(([key, entry]): SynonymRow[] => (isSynonym(entry) ? [{ key, entry }] : []))
    .filter(({ entry }) => (kind === 'off' ? !entry.on : kind === 'all' || entry.what === kind))
    .filter(({ entry }) => sought === '' || fold([entry.name ?? '', ...textsOf(entry)].join(' | ')).includes(sought))
    .sort((a, b) => synonymText(a.entry).localeCompare(synonymText(b.entry)) || (a.key < b.key ? -1 : 1));
}

export type Order = 'words' | 'finds' | 'searches';

const whatItFinds = (entry: SynonymEntry): string => (entry.what === 'synonyms' ? entry.words : entry.to).join(', ');

/** Rows in another order: by what they find, or by how often shoppers say one of their words. */
export function inOrder(
  rows: readonly SynonymRow[],
  order: Order,
  times: ReadonlyMap<string, number>,
): readonly SynonymRow[] {
  if (order === 'words') return rows;
  if (order === 'finds') return [...rows].sort((a, b) => whatItFinds(a.entry).localeCompare(whatItFinds(b.entry)));
  return [...rows].sort((a, b) => (times.get(b.key) ?? 0) - (times.get(a.key) ?? 0));
}
