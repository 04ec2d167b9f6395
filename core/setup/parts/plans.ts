import { anOrder, aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { spanClash } from '../terms/moments.ts';
import { openPart } from '../terms/part.ts';
import { usualHow } from '../terms/planTerms.ts';
import { key } from '../terms/texts.ts';
import { describePlan } from './plans/describePlan.ts';
import { shelfPlanSchema } from './plans/shelfPlan.ts';

export type { ShelfPlan } from './plans/shelfPlan.ts';

export const plans = openPart({
  key,
  value: shelfPlanSchema,
  most: 10_000,
  clash(plan) {
    const { pins } = plan;
    const taken = pins.map(({ place }) => place);
    const twice = taken.find((place, at) => taken.indexOf(place) < at);
    return twice === undefined
      ? spanClash(plan)
      : { field: 'pins', reason: `Two products are pinned at place ${twice}.` };
  },
  usualFields: {
    ...{ how: usualHow, collections: [], first: [], only: false, bringIn: [], conditionPulls: [], hides: [] },
    banners: [],
    rank: 0,
    ...{ conditionHides: [], pinsWait: false, wordsOut: [], whenChosen: [] },
  },
  inside: fieldsOf({
    ...{ searches: aSet, collections: aSet, bringIn: aSet, hides: aSet, first: anOrder, filters: anOrder },
    ...{ wordsOut: aSet, whenChosen: listBy('filter', fieldsOf({ values: aSet })), devices: aSet },
    ...{ pins: listBy('product'), pulls: listBy('product') },
  }),
  describe: describePlan,
});
