import type { PlanConflict } from '../../../../core/rules/planConflicts.ts';

const asWords = { pin: 'pinned', first: 'put first', bringIn: 'brought in', pull: 'boosted or lowered' } as const;

/** What contradicts itself in a plan, and what to do about it, in a sentence. */
export function conflictInWords(conflict: PlanConflict, titleOf: (product: string) => string): string {
  switch (conflict.code) {
    case 'neverHolds':
      return 'It names neither a search nor a collection yet, so it never holds.';
    case 'hidden':
      return `“${titleOf(conflict.product)}” is ${asWords[conflict.as]} and hidden by this plan: it stays hidden. Take one of the two off.`;
    case 'notAmongOnly':
      return `“${titleOf(conflict.product)}” is ${asWords[conflict.as]}, but only the products named first show, and it is not among them.`;
    case 'onlyWithoutFirst':
      return 'It shows only the products named first, and none is named: name some, or it shows everything.';
    case 'redirectHides':
      return 'Shoppers are sent elsewhere, so they do not see what this plan arranges.';
    case 'redirectToItself':
      return 'It sends shoppers to its own search. They stay where they are.';
    case 'circle':
      return `Its search and “${conflict.search}” are taken for each other. Take one of the two off.`;
    case 'doesNothing':
      return 'It does nothing yet.';
  }
}
