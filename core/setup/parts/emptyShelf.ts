import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import { shippedMessages } from '../../messages/messages.ts';
import { anOrder, aSet, fieldsOf } from '../terms/inside.ts';
import { rungs, rungTexts, switchedRungs, usualLadder } from '../terms/ladderTerms.ts';
import { fixedEntry, fixedPart, listed } from '../terms/part.ts';
import { shelfMessages } from '../terms/shopTexts.ts';
import { describeShelf, type ShelfContent, shelfContent, usualShelfFields } from './shelfContent.ts';

const nothing: ShelfContent = { message: '', searches: [], products: [] };

const ladderSchema = z.strictObject({
  order: z
    .array(z.enum(rungs))
    .refine((order) => [...order].sort().join() === [...rungs].sort().join(), 'Every step stands there once.'),
  off: z.array(z.enum(switchedRungs)).refine((off) => isEachOnce(off), 'A step is off twice.'),
});
const usual = { order: [...usualLadder.order], off: [...usualLadder.off] };

/** What a search that finds nothing is tried as, step by step. */
const ladder = fixedEntry({
  value: ladderSchema,
  usual,
  inside: fieldsOf({ order: anOrder, off: aSet }),
  describe({ before, after }) {
    const [was, is] = [before ?? usual, after ?? usual];
    const said: string[] = [];
    for (const rung of switchedRungs)
      if (was.off.includes(rung) !== is.off.includes(rung))
        said.push(
          `Where nothing is found, the step “${rungTexts[rung].name}” is ${is.off.includes(rung) ? 'off' : 'on'}`,
        );
    if (was.order.join() !== is.order.join())
      said.push(`Where nothing is found, the steps are ${listed(is.order.map((rung) => rungTexts[rung].name))}`);
    return said;
  },
});

/** What a search that finds nothing shows, and what is tried before. */
export const emptyShelf = fixedPart({
  ladder,
  content: fixedEntry({
    value: shelfContent,
    usual: nothing,
    usualFields: usualShelfFields,
    inside: fieldsOf({ searches: anOrder, products: anOrder, articles: anOrder }),
    begin: () => ({ ...nothing, message: shippedMessages.en[shelfMessages.nothing], bestSellers: 4 }),
    describe: ({ before, after }, names) =>
      describeShelf('The empty shelf', before ?? nothing, after ?? nothing, names),
  }),
});
