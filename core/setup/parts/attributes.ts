import { z } from 'zod';
import { named, own } from '../../base/named.ts';
import { type AttributeProfile, isIndexedAsText } from '../../catalog/profileAttributes.ts';
import { availability, standardColumn } from '../../catalog/standardColumns.ts';
import { isTranslation } from '../../catalog/translations.ts';
import { canonical } from '../terms/canonical.ts';
import { openPart } from '../terms/part.ts';
import { key, weightSchema } from '../terms/texts.ts';
import { unsetAttribute } from '../terms/usualValues.ts';

/** What the merchandiser decided about one attribute. An attribute without an entry is not searched and not shown. */
const attributeSettingSchema = z.strictObject({
  searchable: z.boolean(),
  /** How much finding a word here counts, 0 to 100; only its proportion to the heaviest weight matters. */
  weight: weightSchema,
  onCard: z.boolean(),
  /** Whether early words count more than late ones; absent: no. */
  early: z.boolean().optional(),
  /** Whether other forms of a word, its beginning, and corrections are found here; absent: yes. Codes have no forms and no corrections. */
  forms: z.boolean().optional(),
  prefixes: z.boolean().optional(),
  corrections: z.boolean().optional(),
  /** Whether a find counts only where the search has the whole value; absent: no. */
  whole: z.boolean().optional(),
  /** Which value counts where the file and a decision made here both have one; absent: the decision. */
  wins: z.enum(['here', 'file']).optional(),
});
export type AttributeSetting = z.infer<typeof attributeSettingSchema>;

/** Weights for a beginning: what names a product counts most, long text least. Own attributes by their usual names. */
const usualWeights: Readonly<Record<string, number>> = {
  title: 10,
  sku: 9,
  shade: 7,
  colour: 6,
  color: 6,
  kind: 6,
  brand: 5,
  category: 4,
  tags: 6,
  description: 1,
};

function firstWeight(profile: AttributeProfile): number {
  if (profile.averageWords > 8) return 1;
  return profile.coverage >= 0.5 ? 4 : 2;
}

const fewPictures = 0.05;
const onCardAtFirst: ReadonlySet<string> = new Set(['title', 'brand', 'price', 'former_price', 'rating', 'picture']);

function firstSetting(profile: AttributeProfile, keys: ReadonlySet<string>): AttributeSetting {
  // A column of bare numbers has no words yet; once it is given a unit, its amounts are found without another step.
  const isOwnNumber = profile.kind === 'number' && !standardColumn.has(profile.key);
  const isRead = isIndexedAsText(profile) || isOwnNumber;
  const isAside =
    profile.key === availability.key ||
    profile.key === 'hidden' ||
    (profile.kind !== 'number' && isTranslation(profile.key, keys));
  const searchable = isRead && !isAside && profile.coverage >= 0.02;
  const weight = own(usualWeights, profile.key) ?? firstWeight(profile);
  // Cards of a catalog that has next to no pictures have no empty places for them.
  const isShown = profile.key !== 'picture' || profile.coverage >= fewPictures;
  return { searchable, weight, onCard: isShown && onCardAtFirst.has(profile.key) };
}

/** How words are found in an attribute: what holds unless it is said otherwise, and what is told of a change. */
const ways = [
  ['early', false, 'early words count more', 'early words count no more than late ones'],
  ['whole', false, 'only whole values count', 'parts of values count too'],
  ['forms', true, 'other forms of words are found', 'other forms of words are not found'],
  ['prefixes', true, 'beginnings of words are found', 'beginnings of words are not found'],
  ['corrections', true, 'typos are corrected', 'typos are not corrected'],
] as const;

export const attributes = openPart({
  key,
  value: attributeSettingSchema,
  most: 1000,
  usualFields: { early: false, whole: false, forms: true, prefixes: true, corrections: true, wins: 'here' },
  // An attribute that is not read means what none means; it is written all the same, since somebody decided it.
  meansNone: (setting) => canonical(setting) === canonical(unsetAttribute),
  begin({ profiles }) {
    const keys = new Set(profiles.map(({ key }) => key));
    return named(profiles.map((profile) => [profile.key, firstSetting(profile, keys)]));
  },
  describe({ key, before, after }, names) {
    const name = names.attribute(key);
    const was: AttributeSetting = before ?? unsetAttribute;
    const is: AttributeSetting = after ?? unsetAttribute;
    const said: string[] = [];
    if (was.searchable !== is.searchable)
      said.push(`${name} is ${is.searchable ? 'now' : 'no longer'} read by the search`);
    if (was.weight !== is.weight) said.push(`${name} counts ${is.weight} instead of ${was.weight}`);
    if ((was.wins ?? 'here') !== (is.wins ?? 'here'))
      said.push(
        is.wins === 'file'
          ? `${name} is what the file says, whatever was set here`
          : `${name} is what was set here, whatever the file says`,
      );
    for (const [way, usual, on, off] of ways)
      if ((was[way] ?? usual) !== (is[way] ?? usual)) said.push(`${name}: ${(is[way] ?? usual) ? on : off}`);
    if (was.onCard !== is.onCard) said.push(`${name} is ${is.onCard ? 'now' : 'no longer'} shown on the card`);
    return said;
  },
});
