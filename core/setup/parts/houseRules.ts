import { z } from 'zod';
import { conditionSchema } from '../terms/condition.ts';
import { conditionInWords } from '../terms/conditionInWords.ts';
import { aSet, fieldsOf } from '../terms/inside.ts';
import { leastPull, longest, most } from '../terms/limits.ts';
import { inOrder, spanClash, spanFields } from '../terms/moments.ts';
import { openPart } from '../terms/part.ts';
import { places } from '../terms/placeTerms.ts';
import { aboutRule } from '../terms/rule.ts';
import { doesInWords, heldInWords } from '../terms/ruleInWords.ts';
import { key } from '../terms/texts.ts';

const houseRuleSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(longest.planName),
    on: z.boolean(),
    /** The products it is about, those that come later too. */
    condition: conditionSchema,
    does: z.discriminatedUnion('what', [
      /** A factor on scores: above 1 boosts, below 1 lowers. */
      z.strictObject({ what: z.literal('pull'), pull: z.number().min(leastPull).max(most.pull) }),
      z.strictObject({ what: z.literal('hide') }),
      /** Hides everything else. */
      z.strictObject({ what: z.literal('only') }),
    ]),
    /** The places it holds in; absent: everywhere. */
    places: z.array(z.enum(places)).min(1, 'Choose at least one place.').max(places.length).optional(),
    ...spanFields,
    ...aboutRule,
  })
  .refine(inOrder.test, inOrder.says);
export type HouseRule = z.infer<typeof houseRuleSchema>;

/** Standing rules over attributes that hold for every search. */
export const houseRules = openPart({
  key,
  value: houseRuleSchema,
  most: most.rules,
  inside: fieldsOf({ places: aSet }),
  clash: spanClash,
  describe({ before, after }, names) {
    if (!after) return [`House rule “${before!.name}” is removed`];
    const rule = `House rule “${after.name}”`;
    const said = `${doesInWords(after)} what meets: ${conditionInWords(after.condition, names.attribute, names.collection)}`;
    if (!before) {
      // A rule that nobody named is called by its condition, which need not be said twice.
      const isCalledSo = said.endsWith(`: ${after.name}`);
      return [`${rule} is added: it ${isCalledSo ? `${doesInWords(after)} what meets it` : said}${heldInWords(after)}`];
    }
    const sentences: string[] = [];
    if (before.name !== after.name) sentences.push(`House rule “${before.name}” is now called “${after.name}”`);
    if (before.on !== after.on) sentences.push(`${rule} is switched ${after.on ? 'on' : 'off'}`);
    if (
      `${doesInWords(before)} what meets: ${conditionInWords(before.condition, names.attribute, names.collection)}` !==
      said
    )
      sentences.push(`${rule} now ${said}`);
    if (heldInWords(before) !== heldInWords(after))
      sentences.push(`${rule} holds${heldInWords(after) || ' everywhere, always'}`);
    return sentences;
  },
});
