import { z } from 'zod';
import { longest } from '../terms/limits.ts';
import { inOrder, spanClash, spanFields } from '../terms/moments.ts';
import { openPart } from '../terms/part.ts';
import { spanInWords } from '../terms/span.ts';
import { longestSuggestionKey, mostPriority, mostSuggested } from '../terms/suggestionTerms.ts';
import { searchText } from '../terms/texts.ts';

const offered = z.strictObject({
  what: z.literal('offer'),
  /** The search, as shoppers read it. */
  text: searchText,
  on: z.boolean(),
  /** Among those of one's own, the higher ones stand first. */
  priority: z.number().int().min(1).max(mostPriority),
  /** Also before anything is typed, and where nothing is found; absent: only where its words begin as typed. */
  always: z.boolean().optional(),
  ...spanFields,
});
const never = z.strictObject({
  what: z.literal('never'),
  /** Words that stand side by side in no search that is offered, or one search. */
  text: z.string().trim().min(1).max(longest.saying),
  /** Only this search is not offered, whatever the order of its words; longer ones with its words are. */
  alone: z.boolean().optional(),
});
/** A search that is offered to shoppers, or words that none may have. */
const suggestedSearchSchema = z
  .discriminatedUnion('what', [offered, never])
  .refine((entry) => entry.what === 'never' || inOrder.test(entry), inOrder.says);
export type SuggestedSearch = z.infer<typeof suggestedSearchSchema>;
export type OfferedSearch = z.infer<typeof offered>;

/** The searches one chose to offer, and the words one never does. */
export const suggestedSearches = openPart({
  key: z.string().min(1).max(longestSuggestionKey),
  value: suggestedSearchSchema,
  most: mostSuggested,
  usualFields: { always: false, alone: false },
  clash: (entry) => (entry.what === 'offer' ? spanClash(entry) : null),
  describe({ before, after }) {
    const entry = (after ?? before)!;
    if (entry.what === 'never')
      return [
        entry.alone
          ? `The search “${entry.text}” is ${after ? 'never offered' : 'offered again'}`
          : `Searches with “${entry.text}” are ${after ? 'never offered' : 'offered again'}`,
      ];
    const search = `The search “${entry.text}”`;
    if (!after) return [`${search} is no longer suggested`];
    const was = before?.what === 'offer' ? before : null;
    const is = after.what === 'offer' ? after : entry;
    if (!was) return [`${search} is suggested${is.on ? '' : ', but switched off'}`];
    const said: string[] = [];
    if (was.text !== is.text) said.push(`The search “${was.text}” is suggested as “${is.text}”`);
    if (was.on !== is.on) said.push(`${search} is ${is.on ? 'suggested again' : 'not suggested for now'}`);
    if (was.priority !== is.priority) said.push(`${search} is suggested with priority ${is.priority}`);
    if ((was.always ?? false) !== (is.always ?? false))
      said.push(`${search} is suggested ${is.always ? 'before typing too' : 'only as it is typed'}`);
    if (spanInWords(was) !== spanInWords(is)) said.push(`${search} is suggested ${spanInWords(is) || 'at any time'}`);
    return said;
  },
});
