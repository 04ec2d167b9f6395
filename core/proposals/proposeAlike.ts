import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { meanTheSame, type Proposal, quoted } from './proposal.ts';
import type { AlikeWords } from './samePlaces.ts';

const mostProposed = 20;
const besideShown = 3;

function reasonFor({ words: [first, second], kin, beside }: AlikeWords): string {
  const more = beside.length - besideShown;
  const places = `${quoted(beside.slice(0, besideShown))}${more > 0 ? ` and in ${more} more places` : ''}`;
  return kin === 'shortForm'
    ? `“${first}” looks like a short form of “${second}”, and your catalog has both in the same places: ${places}.`
    : `In English they can mean the same, and your catalog has both in the same places: ${places}.`;
}

/** Proposes words in the same places as synonyms, where shoppers search for one of them and nothing has joined them yet. */
export function proposeAlike(
  alike: readonly AlikeWords[],
  searches: readonly { readonly search: string }[],
  setup: Setup,
): Proposal[] {
  const sets = Object.values(setup.vocabulary).flatMap((entry) => {
    if (entry.what === 'synonyms') return [new Set(entry.words.flatMap(tokenize))];
    return entry.what === 'oneWay' ? [new Set([...entry.from, ...entry.to].flatMap(tokenize))] : [];
  });
  const searched = new Set(searches.flatMap(({ search }) => tokenize(search)));
  return alike
    .filter(({ words }) => words.some((word) => searched.has(word)))
    .filter(({ words: [first, second] }) => !sets.some((set) => set.has(first) && set.has(second)))
    .slice(0, mostProposed)
    .map((pair) => meanTheSame('alike', pair.words, reasonFor(pair), pair.words, false));
}
