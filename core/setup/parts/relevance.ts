import { fixedPart } from '../terms/part.ts';
import { closeCall } from './relevance/closeCall.ts';
import { fillUp } from './relevance/fillUp.ts';
import { partNumbers } from './relevance/partNumbers.ts';
import { soldOut } from './relevance/soldOut.ts';
import { sorting } from './relevance/sorting.ts';
import { spelling } from './relevance/spelling.ts';
import { tieBreakers } from './relevance/tieBreakers.ts';

/** How finds are weighed and ordered. */
export const relevance = fixedPart({ spelling, closeCall, tieBreakers, soldOut, partNumbers, sorting, fillUp });
