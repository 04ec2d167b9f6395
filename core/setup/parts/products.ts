import { z } from 'zod';
import type { AttributeValue } from '../../catalog/record.ts';
import { aSet, fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { type NamesForChanges, openPart } from '../terms/part.ts';
import { decisionKeyText, key, productId } from '../terms/texts.ts';

const shortText = z.string().min(1).max(longest.shortText);
const about = {
  product: productId,
  /** The variant's id, or null where it holds for the whole product. */
  variant: productId.nullable(),
  attribute: key,
};
/** What a merchandiser decided about one attribute of one product; it outlives every import. */
export const decisionSchema = z.discriminatedUnion('act', [
  z.strictObject({
    ...about,
    act: z.literal('set'),
    value: z.union([z.string().min(1).max(longest.decidedText), z.number(), z.array(shortText).min(1).max(200)]),
  }),
  z.strictObject({ ...about, act: z.literal('clear') }),
  z.strictObject({
    ...about,
    act: z.literal('tags'),
    attribute: z.literal('tags'),
    add: z.array(shortText).max(100),
    remove: z.array(shortText).max(100),
  }),
]);
export type Decision = z.infer<typeof decisionSchema>;

const quoted = (value: AttributeValue): string => {
  const text = typeof value === 'object' ? value.join(', ') : String(value);
  return `“${text.length > 60 ? `${text.slice(0, 60)}…` : text}”`;
};

/** What a decision about a product says, without naming the product. */
export function describeDecision(decision: Decision, isRemoved: boolean, names: NamesForChanges): string {
  const attribute = names.attribute(decision.attribute);
  if (isRemoved) return `${attribute} is the file’s again`;
  if (decision.act === 'set') return `${attribute} is set to ${quoted(decision.value)}`;
  if (decision.act === 'clear') return `${attribute} is emptied`;
  const said = [
    ...(decision.add.length > 0 ? [`tagged ${decision.add.map(quoted).join(', ')}`] : []),
    ...(decision.remove.length > 0 ? [`no longer tagged ${decision.remove.map(quoted).join(', ')}`] : []),
  ];
  return said.length > 0
    ? said.join(' and ').replace(/^./, (letter) => letter.toUpperCase())
    : 'Tags are as in the file';
}

export const products = openPart({
  key: decisionKeyText,
  value: decisionSchema,
  most: 200_000,
  inside: fieldsOf({ add: aSet, remove: aSet }),
  isNothing: (decision) => decision.act === 'tags' && decision.add.length === 0 && decision.remove.length === 0,
  describe({ before, after }, names) {
    const decision = (after ?? before)!;
    return [`${describeDecision(decision, after === null, names)} for ${names.product(decision.product)}`];
  },
});
