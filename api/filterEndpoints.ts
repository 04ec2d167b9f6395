import { z } from 'zod';
import { filterSettingSchema } from '../core/setup/parts/filters.ts';
import { valueGroupSchema } from '../core/setup/parts/valueGroups.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';

const whole = z.number().int();
const share = z.number().min(0).max(1);
const none = z.object({});

/** What may be wrong with what a filter is made from. */
export const filterWarningSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('gone') }),
  z.object({ what: z.literal('groupsGone') }),
  z.object({ what: z.literal('fewHaveIt'), coverage: share }),
  z.object({ what: z.literal('oneValue'), value: z.string() }),
  z.object({ what: z.literal('manyValues'), values: whole }),
  z.object({ what: z.literal('numbersAsText') }),
  z.object({ what: z.literal('mixedUnits'), units: z.array(z.string()) }),
]);
export type DescribedWarning = z.infer<typeof filterWarningSchema>;

const leaves = share.nullable().describe('Share of the products that one choice leaves on average.');
export const filterProposalSchema = z.object({
  key: z.string().describe('The key it would have among the filters.'),
  setting: filterSettingSchema,
  coverage: share,
  values: whole.describe('Different values; 0 for amounts.'),
  tried: whole.describe('Searches it was tried on.'),
  areMadeUp: z.boolean().describe('Whether those were made up from the catalog.'),
  divides: whole.describe('Searches whose results it would divide.'),
  leaves,
  samples: z.array(z.string()),
  warnings: z.array(filterWarningSchema),
});
export type FilterProposalRow = z.infer<typeof filterProposalSchema>;

export const filterEndpoints = {
  filterProposals: endpoint({
    ...paths.filterProposals,
    summary: 'Filters the catalog is good for and the draft does not have, best first.',
    query: none,
    body: none,
    answer: z.object({ proposals: z.array(filterProposalSchema) }),
  }),
  filterWorth: endpoint({
    ...paths.filterWorth,
    summary: 'What the draft’s filters do beside the searches made most, and what may be wrong with them.',
    query: none,
    body: none,
    answer: z.object({
      revision: whole,
      areMadeUp: z
        .boolean()
        .describe('Whether the searches were made up from the catalog, since shoppers’ say nothing.'),
      searches: z.array(
        z.object({
          search: z.string(),
          searches: whole.describe('How often it is made.'),
          total: whole,
          shown: z.array(z.object({ key: z.string(), leaves })),
        }),
      ),
      filters: z.array(
        z.object({
          key: z.string(),
          shownIn: whole.describe('Of the searches looked at, those it is shown beside.'),
          times: whole.describe('How often those are made.'),
          leaves,
          alike: z.array(z.array(z.string())).describe('Values it shows that nobody could tell apart.'),
          warnings: z.array(filterWarningSchema),
        }),
      ),
    }),
  }),
  attributeValues: endpoint({
    ...paths.attributeValues,
    summary: 'What an attribute holds, in the catalog and in one search, and how its values could be grouped.',
    query: z.object({ attribute: z.string().min(1).max(80), q: z.string().max(500).default('') }),
    body: none,
    answer: z.object({
      values: z.array(
        z.object({
          value: z.string(),
          products: whole,
          here: whole,
          colour: z.string().nullable().describe('What people call by its name, where it names a colour.'),
        }),
      ),
      more: whole,
      amounts: z
        .object({
          least: z.number(),
          most: z.number(),
          usual: z.number().describe('Below it lie 95 of 100; the histogram ends there.'),
          histogram: z.array(whole),
          round: z.array(z.number()),
          equal: z.array(z.number()),
        })
        .nullable(),
      groups: z.array(valueGroupSchema.extend({ why: z.enum(['spelling', 'colour', 'amount']) })),
    }),
  }),
} as const;
