import type { Dated } from '../../../../core/rules/periods.ts';
import type { ReviewReason, RuleRef, SaidOnce } from '../../../../core/rules/reviewRules.ts';
import type { Setup } from '../../../../core/setup/schema.ts';
import { badgeName } from '../../../../core/setup/terms/badgeTerms.ts';
import { conflictInWords } from '../plans/conflictInWords.ts';

/** What names are told by. */
export interface Names {
  readonly setup: Setup;
  titleOf(product: string): string;
  labelOf(attribute: string): string;
}

/** What a rule is called, with what it is. */
export function ruleName(
  { part, key }: Pick<RuleRef, 'key'> & { readonly part: Dated['part'] },
  { setup, titleOf }: Pick<Names, 'setup' | 'titleOf'>,
): string {
  if (part === 'content') {
    const item = setup.content[key];
    return `Collection “${item?.what === 'collection' ? (item.title ?? item.id) : key}”`;
  }
  if (part === 'badges') {
    const badge = setup.badges.shown.list.find((each) => each.key === key);
    return `Badge “${badge ? badgeName(badge) : key}”`;
  }
  if (part === 'suggestedSearches') return `Suggested search “${setup.suggestedSearches[key]?.text ?? key}”`;
  if (part === 'plans') return `Shelf plan “${setup.plans[key]?.name ?? key}”`;
  if (part === 'houseRules') return `House rule “${setup.houseRules[key]?.name ?? key}”`;
  const hiding = setup.hiding[key];
  if (!hiding) return key;
  return hiding.what === 'tag' ? `Hiding of the tag “${hiding.tag}”` : `Hiding of “${titleOf(hiding.product)}”`;
}

/** Where a rule is changed. */
export function ruleAddress(
  { part, key }: Pick<RuleRef, 'key'> & { readonly part: Dated['part'] },
  { content }: Pick<Setup, 'content'>,
): string {
  if (part === 'content') {
    const item = content[key];
    return item?.what === 'collection' ? `/content/collections/${encodeURIComponent(item.id)}` : '/content';
  }
  if (part === 'suggestedSearches') return '/search-box/suggested';
  if (part === 'badges') return '/results-page/badges';
  if (part === 'hiding') return '/hiding';
  return `/${part === 'plans' ? 'plans' : 'house-rules'}/${encodeURIComponent(key)}`;
}

/** What a plan higher in the list does. */
const outdoneTexts: Readonly<Record<SaidOnce, string>> = {
  only: 'says which products alone show',
  sort: 'gives the results an order',
  scope: 'says where is looked',
  filters: 'says which filters show',
  redirect: 'sends shoppers elsewhere',
  treatAs: 'takes the search for another',
};

/** What is to be said of a rule, and what mends it, in a sentence. */
export function reasonInWords(reason: ReviewReason, names: Names): string {
  switch (reason.code) {
    case 'conflict':
      return conflictInWords(reason.conflict, names.titleOf);
    case 'samePlace':
      return `${ruleName(reason.other, names)} pins another product at place ${reason.place} for “${reason.search}”: this one stands at the next. Give one of them another place.`;
    case 'outdone':
      return `${ruleName(reason.other, names)} is higher in the list and ${outdoneTexts[reason.what]} for “${reason.search}” too, so that it never comes to this one. Put this one higher, or leave that to the other.`;
    case 'hiddenAnyway':
      return `“${names.titleOf(reason.product)}” is hidden from results, so this plan does nothing to it. Show it again, or take it off.`;
    case 'cancelOut':
      return `${ruleName(reason.other, names)} takes back what this one does. Switch one of them off.`;
    case 'attributeGone':
      return `The catalog has nothing of ${reason.attributes.map(names.labelOf).join(', ')}, so nothing meets it. Choose another attribute.`;
    case 'meetsNothing':
      return 'No product is meant by it now.';
    case 'neverTriggers':
      return 'No search that shoppers made is one it holds for. Give it other searches, or switch it off.';
    case 'changesNothing':
      return 'Its searches show the same products in the same order without it.';
    case 'againstBuying':
      return reason.product === null
        ? `What it lowers or hides was bought ${reason.bought} times of ${reason.of}: shoppers want it.`
        : `It lowers or hides “${names.titleOf(reason.product)}”, which shoppers bought ${reason.bought} times of ${reason.of} after its searches.`;
    case 'over':
      return 'Its time is over.';
    case 'lookAgain':
      return `It was to be looked at again on ${reason.day}.`;
  }
}
