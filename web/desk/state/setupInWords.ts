import { readName } from '../../../core/setup/setupRef.ts';
import { placeNow } from '../../client/place.ts';

/** A setup of this storefront within a sentence: “the draft”, “release 12”, “what shoppers get”. */
export function setupInWords(name: string): string {
  const { storefront, draft } = placeNow();
  const ref = readName(storefront, name);
  if (!ref) return 'another setup';
  if ('draft' in ref) return ref.draft === draft ? 'the draft' : 'another draft';
  return ref.release === 'live' ? 'what shoppers get' : `release ${ref.release}`;
}
