import { isLive } from '../../core/setup/setupRef.ts';
import { boxQuestions } from '../questions/boxQuestions.ts';
import { catalogQuestions } from '../questions/catalogQuestions.ts';
import { companionQuestions } from '../questions/companionQuestions.ts';
import { contentQuestions } from '../questions/contentQuestions.ts';
import { deadEndQuestions } from '../questions/deadEndQuestions.ts';
import { demandQuestions } from '../questions/demandQuestions.ts';
import { duplicateQuestions } from '../questions/duplicateQuestions.ts';
import { exportQuestions } from '../questions/exportQuestions.ts';
import { filterQuestions } from '../questions/filterQuestions.ts';
import { historyQuestions } from '../questions/historyQuestions.ts';
import { importQuestions } from '../questions/importQuestions.ts';
import { mergeQuestions } from '../questions/mergeQuestions.ts';
import { productQuestions } from '../questions/productQuestions.ts';
import { proposalQuestions } from '../questions/proposalQuestions.ts';
import { ruleQuestions } from '../questions/ruleQuestions.ts';
import { ruleUseQuestions } from '../questions/ruleUse.ts';
import { searchQuestions } from '../questions/searches.ts';
import { shopQuestions } from '../questions/shopQuestions.ts';
import { vocabularyQuestions } from '../questions/vocabularyQuestions.ts';
import type { LaneName } from './lanes.ts';
import type { Workbench } from './workbench.ts';

/**
 * Everything that is computed over a catalog, answered in this thread from its workbench. Nothing of it runs on the
 * server's own thread; `laneOf` says where each does.
 */
export const openLocalSearch = (bench: Workbench) => ({
  ...searchQuestions(bench),
  ...shopQuestions(bench),
  ...boxQuestions(bench),
  ...companionQuestions(bench),
  ...catalogQuestions(bench),
  ...productQuestions(bench),
  ...contentQuestions(bench),
  ...filterQuestions(bench),
  ...ruleQuestions(bench),
  ...ruleUseQuestions(bench),
  ...vocabularyQuestions(bench),
  ...proposalQuestions(bench),
  ...demandQuestions(bench),
  ...deadEndQuestions(bench),
  ...exportQuestions(bench),
  ...importQuestions(bench),
  ...duplicateQuestions(bench),
  ...mergeQuestions(bench),
  ...historyQuestions(bench),
});
export type LocalSearch = ReturnType<typeof openLocalSearch>;

/** A question with what it is asked about: first of all which setup, and by that which storefront. */
export type Question = {
  [Name in keyof LocalSearch]: { readonly call: Name; readonly given: Parameters<LocalSearch[Name]> };
}[keyof LocalSearch];

/** Which lane each question waits in; what shoppers ask by what is published is the shop's. */
const lanes: Readonly<Record<keyof LocalSearch, LaneName>> = {
  answer: 'desk',
  warm: 'shop',
  rehearse: 'desk',
  draftsTouched: 'desk',
  follow: 'shop',
  suggest: 'desk',
  phrases: 'long',
  together: 'long',
  beside: 'desk',
  companions: 'desk',
  lettersNeeded: 'long',
  ladderTrial: 'long',
  shopProduct: 'desk',
  shopArticle: 'desk',
  why: 'desk',
  words: 'desk',
  firstPages: 'long',
  shownGone: 'long',
  places: 'desk',
  rows: 'desk',
  values: 'desk',
  cards: 'desk',
  product: 'desk',
  editsForCells: 'desk',
  editsForProducts: 'desk',
  content: 'desk',
  contentFile: 'desk',
  collection: 'desk',
  article: 'desk',
  filterProposals: 'long',
  filterWorth: 'long',
  attributeValues: 'desk',
  conditionMet: 'desk',
  amounts: 'desk',
  pullFor: 'desk',
  ruleFigures: 'desk',
  ruleEffect: 'long',
  ruleUse: 'long',
  redirects: 'long',
  vocabularyNotes: 'long',
  usualStopWords: 'long',
  vocabularyTimes: 'long',
  dictionary: 'long',
  proposals: 'long',
  proposalEffects: 'long',
  editsForProposals: 'long',
  deadEnds: 'long',
  remedies: 'long',
  editsForRemedies: 'long',
  demand: 'long',
  topSearches: 'long',
  exportCatalog: 'long',
  duplicates: 'long',
  countChanges: 'desk',
  mergePreview: 'desk',
  history: 'desk',
  historyPeople: 'desk',
};
export const questionNames = Object.keys(lanes) as readonly (keyof LocalSearch)[];

/** A search by what is live, without the marks of the desk, is a shopper's and comes first. */
export function laneOf({ call, given }: Question): LaneName {
  if (call === 'shopProduct' || call === 'shopArticle' || call === 'suggest' || call === 'beside')
    return isLive(given[0]) ? 'shop' : 'desk';
  if (call !== 'answer') return lanes[call];
  const [ref, { request }] = given;
  return isLive(ref) && !request.marks ? 'shop' : 'desk';
}

export const answerQuestion = (local: LocalSearch, { call, given }: Question): unknown =>
  (local[call] as (...given: unknown[]) => unknown)(...given);
