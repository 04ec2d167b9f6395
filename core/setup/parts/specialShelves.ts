import { z } from 'zod';
import { anOrder, aSet, fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { listed, openPart } from '../terms/part.ts';
import { looks, lookTexts, mostShelfWords, mostSpecialShelves } from '../terms/shelfTerms.ts';
import { key, link } from '../terms/texts.ts';
import { describeShelf, shelfContentFields, usualShelfFields } from './shelfContent.ts';

const specialShelfSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(longest.planName),
    on: z.boolean(),
    /** Searches that have one of these side by side. */
    words: z.array(z.string().trim().min(1).max(longest.saying)).max(mostShelfWords),
    /** Searches that look like one of these. */
    looks: z.array(z.enum(looks)).max(looks.length),
    /** Where shoppers are sent instead. */
    link: link.optional(),
    ...shelfContentFields,
  })
  .refine(({ words, looks: alike }) => words.length + alike.length > 0, {
    message: 'Say for which searches it is: words they have, or what they look like.',
    path: ['words'],
  });
export type SpecialShelf = z.infer<typeof specialShelfSchema>;

const empty = { message: '', searches: [], products: [] };

/** Other content for some of the searches that find nothing. */
export const specialShelves = openPart({
  key,
  value: specialShelfSchema,
  most: mostSpecialShelves,
  usualFields: usualShelfFields,
  inside: fieldsOf({ words: aSet, looks: aSet, searches: anOrder, products: anOrder, articles: anOrder }),
  describe({ before, after }, names) {
    if (!after) return [`The special page “${before!.name}” for searches that find nothing is removed`];
    const shelf = `The special page “${after.name}”`;
    const held = `${listed([...after.words.map((word) => `“${word}”`), ...after.looks.map((look) => lookTexts[look].name)])}`;
    const said: string[] = [];
    if (!before) said.push(`${shelf} is shown where nothing is found for: ${held}`);
    else {
      if (before.name !== after.name) said.push(`The special page “${before.name}” is now called “${after.name}”`);
      if (before.on !== after.on) said.push(`${shelf} is switched ${after.on ? 'on' : 'off'}`);
      if ([...before.words, ...before.looks].join('\n') !== [...after.words, ...after.looks].join('\n'))
        said.push(`${shelf} is for: ${held}`);
    }
    if ((before?.link ?? '') !== (after.link ?? ''))
      said.push(
        after.link ? `${shelf} sends shoppers to ${after.link}` : `${shelf} no longer sends shoppers elsewhere`,
      );
    return [
      ...said,
      ...(before
        ? describeShelf(shelf, before, after, names)
        : describeShelf(shelf, { ...empty, message: after.message }, after, names)),
    ];
  },
});
