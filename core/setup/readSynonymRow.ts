import { own } from '../base/named.ts';
import { vocabularyEntrySchema } from './parts/vocabulary.ts';
import { type SynonymEntry, sayingsIn } from './vocabularyCsv.ts';

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
