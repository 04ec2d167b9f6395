import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import { badgeName, badgePlaceNames, badgePlaces, longestBadge, mostBadges, mostOnCard } from '../terms/badgeTerms.ts';
import { conditionSchema } from '../terms/condition.ts';
import { conditionInWords } from '../terms/conditionInWords.ts';
import { colour, language } from '../terms/filterTexts.ts';
import { fieldsOf, listBy } from '../terms/inside.ts';
import { inOrder, spanFields } from '../terms/moments.ts';
import { fixedEntry, fixedPart, listed, type NamesForChanges } from '../terms/part.ts';
import { type Span, spanInWords } from '../terms/span.ts';
import { key } from '../terms/texts.ts';

const badgeSchema = z
  .strictObject({
    key,
    on: z.boolean(),
    /** The products it is about: each card by the variant it shows. */
    condition: conditionSchema,
    /** What it says by language, with `{saving}` for the percentage saved and `{key}` for an attribute. */
    text: z
      .partialRecord(language, z.string().trim().min(1).max(longestBadge))
      .refine((texts) => Object.keys(texts).length > 0, 'A badge says something in at least one language.'),
    place: z.enum(badgePlaces),
    colour,
    ...spanFields,
  })
  .refine(inOrder.test, inOrder.says);
export type Badge = z.infer<typeof badgeSchema>;
const badgesSchema = z.strictObject({
  list: z
    .array(badgeSchema)
    .max(mostBadges)
    .refine((list) => isEachOnce(list, ({ key: own }) => own), 'A badge stands there twice.'),
  /** Badges on one card at most: the first ones of the list. */
  most: z.number().int().min(1).max(mostOnCard),
});
export type Badges = z.infer<typeof badgesSchema>;
const usual: Badges = { list: [], most: 2 };

const shownWhen = (span: Span): string => spanInWords(span) && `, ${spanInWords(span)}`;

function changesOf(was: Badge | undefined, is: Badge, names: NamesForChanges): string[] {
  const badge = `The badge “${badgeName(was ?? is)}”`;
  const meets = (of: Badge): string => conditionInWords(of.condition, names.attribute, names.collection);
  if (!was) return [`${badge} is put on what meets: ${meets(is)}${shownWhen(is)}${is.on ? '' : ', but switched off'}`];
  const said: string[] = [];
  if (was.on !== is.on) said.push(`${badge} is switched ${is.on ? 'on' : 'off'}`);
  if (JSON.stringify(was.text) !== JSON.stringify(is.text))
    said.push(`${badge} says ${listed(Object.values(is.text).map((text) => `“${text}”`))}`);
  if (meets(was) !== meets(is)) said.push(`${badge} is put on what meets: ${meets(is)}`);
  if (spanInWords(was) !== spanInWords(is)) said.push(`${badge} shows ${spanInWords(is) || 'always'}`);
  if (was.place !== is.place) said.push(`${badge} stands ${badgePlaceNames[is.place]}`);
  if (was.colour !== is.colour) said.push(`${badge} has another colour`);
  return said;
}

const shown = fixedEntry({
  value: badgesSchema,
  usual,
  inside: fieldsOf({ list: listBy('key') }),
  describe({ before, after }, names) {
    const [was, is] = [before ?? usual, after ?? usual];
    const earlier = new Map(was.list.map((badge) => [badge.key, badge]));
    const keys = (list: readonly Badge[], among: readonly Badge[]): string =>
      list.flatMap((badge) => (among.some((other) => other.key === badge.key) ? [badge.key] : [])).join();
    const gone = was.list.filter((badge) => !is.list.some((other) => other.key === badge.key));
    return [
      ...gone.map((badge) => `The badge “${badgeName(badge)}” is removed`),
      ...is.list.flatMap((badge) => changesOf(earlier.get(badge.key), badge, names)),
      ...(keys(was.list, is.list) === keys(is.list, was.list)
        ? []
        : [`The order of the badges is ${listed(is.list.map(badgeName))}`]),
      ...(was.most === is.most ? [] : [`A card has up to ${is.most === 1 ? 'one badge' : `${is.most} badges`}`]),
    ];
  },
});

/** Small texts on the cards of products that meet a condition. */
export const badges = fixedPart({ shown });
