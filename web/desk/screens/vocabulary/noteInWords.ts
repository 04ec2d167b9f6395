import type { EntryNote } from '../../../../api/vocabularyEndpoints.ts';
import { counted } from '../../../look/price.ts';

/** What an entry does, in a sentence. */
export function noteInWords({ searches, times, added }: Pick<EntryNote, 'searches' | 'times' | 'added'>): string {
  if (searches === 0) return 'No search in the log says any of its words yet.';
  const said = `Said in ${counted(searches, 'search', 'searches')}, made ${counted(times, 'time')}`;
  return added > 0
    ? `${said}; adds ${counted(added, 'product')} to the most frequent ones.`
    : `${said}; adds no product to them.`;
}
