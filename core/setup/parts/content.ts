import { z } from 'zod';
import { contentKinds } from '../../content/contentKinds.ts';
import { openPart } from '../terms/part.ts';
import { decisionKeyText, key, productId, weightSchema } from '../terms/texts.ts';

/** What is decided about articles and collections: how a kind is found, or that one item is left out. */
const contentEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('kind'),
    /** Whether search may find it. */
    found: z.boolean(),
    weights: z.record(key, weightSchema),
  }),
  z.strictObject({ what: z.literal('leftOut'), kind: z.enum(contentKinds), id: productId }),
]);

export const content = openPart({
  key: decisionKeyText,
  value: contentEntrySchema,
  most: 100_000,
  describe({ key, before, after }) {
    const entry = (after ?? before)!;
    if (entry.what === 'leftOut')
      return [`The ${entry.kind} “${entry.id}” is ${after ? 'left out of the search' : 'found by the search again'}`];
    const kind = key === 'article' ? 'Articles' : 'Collections';
    const is = after?.what === 'kind' ? after : null;
    const was = before?.what === 'kind' ? before : null;
    const said: string[] = [];
    if ((is?.found ?? true) !== (was?.found ?? true))
      said.push(`${kind} are ${(is?.found ?? true) ? 'found by the search' : 'not found by the search any more'}`);
    for (const attribute of new Set([...Object.keys(is?.weights ?? {}), ...Object.keys(was?.weights ?? {})]))
      if (is?.weights[attribute] !== was?.weights[attribute])
        said.push(`${kind}: ${attribute} counts ${is?.weights[attribute] ?? 'as usual'}`);
    return said;
  },
});
