import type { Gap } from '../../core/answer/answer.ts';

/** Why a pinned product does not stand at its place, said behind its title. */
export const gapTexts: Readonly<Record<Gap['why'], string>> = {
  waits: 'is sold out, and waits.',
  soldOut: 'is sold out, so it does not show.',
  hidden: 'is hidden.',
  notAmongOnly: 'is left out: only other products show.',
  elsewhere: 'is not in this collection.',
  filtered: 'is filtered away.',
  gone: 'is no longer in the catalog.',
};
