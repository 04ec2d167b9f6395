import { z } from 'zod';
import { languageNames } from '../../text/languages.ts';
import { filterPositions, usualLayout } from '../terms/filterTerms.ts';
import { language } from '../terms/filterTexts.ts';
import { most } from '../terms/limits.ts';
import { fixedEntry, fixedPart, listed } from '../terms/part.ts';
import { shopSchema, usualShop } from '../terms/shop.ts';
import { taxInWords } from '../terms/taxInWords.ts';

/** Where the filters stand by the width of the shopper's window, and whether a new search keeps what was chosen. */
export const filterLayoutSchema = z.strictObject({
  wide: z.enum(filterPositions),
  /** Below 1024 pixels. */
  middle: z.enum(['above', 'drawer']),
  /** Below 500 pixels. */
  narrow: z.enum(['above', 'drawer']),
  keep: z.boolean(),
});
export type FilterLayout = z.infer<typeof filterLayoutSchema>;

const positions = { left: 'on the left', right: 'on the right', above: 'above the results', drawer: 'in a drawer' };

const filters = fixedEntry({
  value: filterLayoutSchema,
  usual: usualLayout,
  describe({ before, after }) {
    const [was, is] = [before ?? usualLayout, after ?? usualLayout];
    const said: string[] = [];
    if (was.wide !== is.wide) said.push(`On a wide window filters stand ${positions[is.wide]}`);
    if (was.middle !== is.middle) said.push(`On a middling window filters stand ${positions[is.middle]}`);
    if (was.narrow !== is.narrow) said.push(`On a phone filters stand ${positions[is.narrow]}`);
    if (was.keep !== is.keep) said.push(`A new search ${is.keep ? 'keeps' : 'drops'} the filters that were chosen`);
    return said;
  },
});

/** The languages a shopper may choose from, the first being the catalog's own. */
const languages = fixedEntry({
  value: z.strictObject({ list: z.array(language).max(most.languages) }),
  usual: { list: [] },
  describe: ({ after }) => [
    `Shoppers may choose from ${listed((after?.list ?? []).map((code) => languageNames[code]))}`,
  ],
});

const regionLabels = new Intl.DisplayNames('en', { type: 'region' });

const shop = fixedEntry({
  value: shopSchema,
  usual: usualShop,
  begin: (beginning) => beginning.shop,
  describe({ before, after }) {
    const is = after ?? usualShop;
    return [
      ...(before?.name === is.name ? [] : [`The shop is called “${is.name}”`]),
      ...(before?.currency === is.currency ? [] : [`Prices are in ${is.currency}`]),
      ...(before?.address === is.address
        ? []
        : [is.address ? `Its web address is ${is.address}` : 'It has no web address']),
      ...(before?.country === is.country
        ? []
        : [is.country ? `It sells in ${regionLabels.of(is.country) ?? is.country}` : 'Where it sells is not said']),
      ...(taxInWords(before ?? usualShop) === taxInWords(is) ? [] : [taxInWords(is) ?? 'Nothing is said of tax']),
      ...(before?.timeZone === is.timeZone ? [] : [`Its days are those of ${is.timeZone ?? 'UTC'}`]),
    ];
  },
});

/** What holds for the storefront as a whole. */
export const storefront = fixedPart({ filters, languages, shop });
