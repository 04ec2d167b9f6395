import type { LettersNeeded } from '../../../../core/suggest/lettersNeeded.ts';
import { counted } from '../../../look/price.ts';

const rounded = (letters: number): number => Math.round(letters * 10) / 10;

/** What the box saves shoppers of typing, and how that differs from what is published. */
export function lettersInWords(draft: LettersNeeded, live: LettersNeeded): string {
  const [now, before] = [rounded(draft.letters), rounded(live.letters)];
  const by = rounded(Math.abs(now - before));
  const than = by === 0 ? 'the same as now' : `${by} ${now < before ? 'sooner' : 'later'} than now (${before})`;
  return `Of the ${counted(draft.looked, 'search', 'searches')} made most, ${draft.sooner} are in the box, or what is bought after them is, before they are typed to the end: after ${now} of ${rounded(draft.ofLetters)} letters on average, ${than}.`;
}
