import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import { colour, label } from '../terms/filterTexts.ts';
import { aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { longest, most } from '../terms/limits.ts';
import { openPart } from '../terms/part.ts';
import { key, valueText } from '../terms/texts.ts';

/**
 * One value shown for several. A value of the catalog belongs to the first group that lists it (compared folded), then to
 * the first whose rule it fits: it has one of the words, or an amount from `from` up to below `to`.
 */
export const valueGroupSchema = z.strictObject({
  label,
  values: z.array(valueText).max(most.groupValues),
  words: z.array(z.string().trim().min(1).max(longest.word)).max(most.groupWords).optional(),
  from: z.number().optional(),
  to: z.number().optional(),
  /** What its swatch shows. */
  colour: colour.optional(),
  picture: z
    .string()
    .max(longest.picture)
    .regex(/^\/[^\s"\\]*$/, { message: 'must be a path within the shop, such as /pictures/red.svg' })
    .optional(),
});
export type ValueGroup = z.infer<typeof valueGroupSchema>;
/** The value groups of one attribute: used by any filter of it, and recognised in searches where the attribute is. */
const valueGroupsSchema = z.strictObject({
  name: label,
  attribute: key,
  groups: z
    .array(valueGroupSchema)
    .max(most.groups)
    .refine((list) => isEachOnce(list, ({ label }) => label), {
      message: 'must not have the same label twice',
    }),
  /** Values in no group: shown as they are, together as one, or not at all. */
  rest: z.enum(['own', 'together', 'hidden']),
  restLabel: label.optional(),
});
export type ValueGroups = z.infer<typeof valueGroupsSchema>;

export const valueGroups = openPart({
  key,
  value: valueGroupsSchema,
  most: 1000,
  inside: fieldsOf({ groups: listBy('label', fieldsOf({ values: aSet, words: aSet })) }),
  describe({ before, after }) {
    if (!before) return [`Value groups “${after!.name}” are added`];
    if (!after) return [`Value groups “${before.name}” are removed`];
    const said: string[] = [];
    const name = `Value groups “${after.name}”`;
    if (before.name !== after.name) said.push(`${name} were called “${before.name}”`);
    const was = new Map(before.groups.map((group) => [group.label, group]));
    const is = new Map(after.groups.map((group) => [group.label, group]));
    for (const label of is.keys()) if (!was.has(label)) said.push(`${name}: ${label} is added`);
    for (const label of was.keys()) if (!is.has(label)) said.push(`${name}: ${label} is removed`);
    for (const [label, group] of is)
      if (was.has(label) && JSON.stringify(was.get(label)) !== JSON.stringify(group))
        said.push(`${name}: ${label} has changed`);
    if (before.rest !== after.rest || before.restLabel !== after.restLabel)
      said.push(
        `${name}: other values are shown ${after.rest === 'own' ? 'as they are' : after.rest === 'together' ? 'together' : 'nowhere'}`,
      );
    return said;
  },
});
