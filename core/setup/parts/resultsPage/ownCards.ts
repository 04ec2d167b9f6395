import { z } from 'zod';
import { isEachOnce } from '../../../base/eachOnce.ts';
import { mostOwnCards } from '../../terms/cardTerms.ts';
import { conditionSchema } from '../../terms/condition.ts';
import { conditionInWords } from '../../terms/conditionInWords.ts';
import { fieldsOf, listBy } from '../../terms/inside.ts';
import { longest } from '../../terms/limits.ts';
import { fixedEntry, listed } from '../../terms/part.ts';
import { key } from '../../terms/texts.ts';
import { cardArrangementSchema, cardInWords, insideCard } from './card.ts';

const ownCardSchema = z.strictObject({
  key,
  name: z.string().trim().min(1).max(longest.label),
  on: z.boolean(),
  /** The products it is for: each by the variant that its card shows. */
  condition: conditionSchema,
  card: cardArrangementSchema,
});
export type OwnCard = z.infer<typeof ownCardSchema>;
const ownCardsSchema = z.strictObject({
  list: z
    .array(ownCardSchema)
    .max(mostOwnCards)
    .refine((list) => isEachOnce(list, ({ key }) => key), 'A card stands there twice.'),
});
export type OwnCards = z.infer<typeof ownCardsSchema>;
const noOwnCards: OwnCards = { list: [] };

/** Cards of their own, for products that meet a condition: of several the first. */
export const ownCards = fixedEntry({
  value: ownCardsSchema,
  usual: noOwnCards,
  inside: fieldsOf({ list: listBy('key', fieldsOf({ card: insideCard })) }),
  describe({ before, after }, names) {
    const [was, is] = [(before ?? noOwnCards).list, (after ?? noOwnCards).list];
    const meets = ({ condition }: OwnCard): string => conditionInWords(condition, names.attribute, names.collection);
    const said: string[] = [];
    for (const own of was) if (!is.some(({ key }) => key === own.key)) said.push(`The card “${own.name}” is removed`);
    for (const own of is) {
      const earlier = was.find(({ key }) => key === own.key);
      const called = `The card “${own.name}”`;
      if (!earlier) said.push(`${called} is for what meets: ${meets(own)}${own.on ? '' : ', but switched off'}`);
      else {
        if (earlier.name !== own.name) said.push(`The card “${earlier.name}” is called “${own.name}”`);
        if (earlier.on !== own.on) said.push(`${called} is switched ${own.on ? 'on' : 'off'}`);
        if (meets(earlier) !== meets(own)) said.push(`${called} is for what meets: ${meets(own)}`);
        said.push(
          ...cardInWords(earlier.card, own.card).map((each) => `${called}: ${each[0]!.toLowerCase()}${each.slice(1)}`),
        );
      }
    }
    if (said.length === 0 && JSON.stringify(was) !== JSON.stringify(is))
      said.push(`Of cards of their own the first that fits is taken: ${listed(is.map(({ name }) => `“${name}”`))}`);
    return said;
  },
});
