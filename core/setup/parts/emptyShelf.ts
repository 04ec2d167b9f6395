import { z } from 'zod';
import { anOrder, fieldsOf } from '../terms/inside.ts';
import { most } from '../terms/limits.ts';
import { fixedEntry, fixedPart, listed } from '../terms/part.ts';
import { productId, searchText, sentence } from '../terms/texts.ts';

const emptyShelfSchema = z.strictObject({
  /** Shown above the rest; `{search}` stands for what the shopper typed. */
  message: sentence,
  searches: z.array(searchText).max(most.suggestions),
  products: z.array(productId).max(most.products),
});
export type EmptyShelf = z.infer<typeof emptyShelfSchema>;

const nothing: EmptyShelf = { message: '', searches: [], products: [] };

/** What a search that finds nothing shows. */
export const emptyShelf = fixedPart({
  content: fixedEntry({
    value: emptyShelfSchema,
    usual: nothing,
    inside: fieldsOf({ searches: anOrder, products: anOrder }),
    begin: () => ({ ...nothing, message: 'Nothing on our shelves matches “{search}”.' }),
    describe({ before, after }) {
      const [was, is] = [before ?? nothing, after ?? nothing];
      const said: string[] = [];
      if (was.message !== is.message) said.push('The empty shelf has a new message');
      if (was.searches.join('\n') !== is.searches.join('\n'))
        said.push(`The empty shelf suggests: ${listed(is.searches)}`);
      if (was.products.join('\n') !== is.products.join('\n'))
        said.push(`The empty shelf shows ${is.products.length} chosen products`);
      return said;
    },
  }),
});
