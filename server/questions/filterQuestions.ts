import { own } from '../../core/base/named.ts';
import { type AttributeValues, attributeValues } from '../../core/browse/attributeValues.ts';
import { bindFilter } from '../../core/facets/boundFilter.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { filtersOfSearches, filterWorth } from '../../core/proposals/filterWorth.ts';
import {
  type FilterProposal,
  type FilterWarning,
  keyFor,
  proposeFilters,
  sourceWarnings,
} from '../../core/proposals/proposeFilters.ts';
import { alikeValues, type CountedValue, coloursOf, proposeGroups } from '../../core/proposals/proposeGroups.ts';
import type { PreparedSetup } from '../../core/search/prepareSetup.ts';
import type { FilterSetting } from '../../core/setup/parts/filters.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { DraftRef, SetupRef } from '../../core/setup/setupRef.ts';
import { basicColours } from '../namedColours.ts';
import type { Workbench } from '../searching/workbench.ts';
import { searchesTried, triedSearches } from './triedSearches.ts';

/** Searches looked at: the ones made most. */
const searchesLookedAt = 200;
/** Values that are looked through for ones nobody could tell apart. */
const mostLookedThrough = 5000;

function textsOf(snapshot: Snapshot, attribute: string): string[] {
  const column = snapshot.values.get(attribute);
  return column
    ? Array.from({ length: Math.min(column.size, mostLookedThrough) }, (_, value) => column.name(value))
    : [];
}

/** What may be wrong with a filter: with its attribute, or with the groups it shows it through. */
function warningsOf(snapshot: Snapshot, { valueGroups }: Setup, setting: FilterSetting): FilterWarning[] {
  const profile = snapshot.attributes.find(({ key }) => key === setting.attribute);
  const groups = setting.groups === undefined ? null : own(valueGroups, setting.groups);
  const isGone = groups === undefined || (groups !== null && groups.attribute !== setting.attribute);
  // What groups show is what shoppers choose from, however untidy the values beneath.
  const warnings = sourceWarnings(profile, textsOf(snapshot, setting.attribute)).filter(
    ({ what }) => !groups || (what !== 'manyValues' && what !== 'mixedUnits'),
  );
  return [...warnings, ...(isGone ? [{ what: 'groupsGone' as const }] : [])];
}

/** Values a filter shows that nobody could tell apart. */
function alikeIn(snapshot: Snapshot, { setup, asked }: PreparedSetup, key: string, setting: FilterSetting): string[][] {
  const { values, bands } = bindFilter(snapshot, key, setting, setup.valueGroups, asked);
  if (!values || bands.size > 0 || values.size > mostLookedThrough) return [];
  const all = Uint32Array.from(snapshot.recordFamily, (_, record) => record);
  const { counts, present } = values.countFamilies({ records: all, failing: null });
  const shown = [...present].map((value): CountedValue => ({ value: values.name(value), products: counts[value]! }));
  const hidden = new Set(setting.hiddenValues);
  return alikeValues(
    shown.filter(({ value }) => !hidden.has(value)),
    snapshot.language,
  );
}

/** The filters the catalog is good for and a setup does not have, tried on searches; best first. */
export function proposedFilters(bench: Workbench, ref: SetupRef): FilterProposal[] {
  const { engine, setup } = bench.ready(ref);
  const tried = triedSearches(bench, ref, searchesTried);
  return proposeFilters(engine, setup, tried, (texts) => coloursOf(texts, basicColours()));
}

/** What filters are made from, what they are worth, and those that might be added. */
export function filterQuestions(bench: Workbench) {
  const { ready, setups } = bench;
  return {
    filterProposals(ref: DraftRef) {
      const { filters } = setups.draft(ref).draft();
      return proposedFilters(bench, ref).map((proposal) => ({ ...proposal, key: keyFor(filters, proposal.setting) }));
    },
    /** Which filters stand beside searches under the draft, and what each leaves. */
    filterWorth(ref: DraftRef) {
      const revision = setups.draft(ref).revision();
      const { engine, setup: prepared, view } = ready(ref);
      const { setup } = prepared;
      const tried = triedSearches(bench, ref, searchesLookedAt);
      // Titles of numbers alone make no searches: then it is what filters do to the whole shop.
      const looked = tried.searches.length > 0 ? tried.searches : [{ search: '', searches: 1 }];
      const searches = filtersOfSearches(engine, prepared, looked);
      const worth = filterWorth(
        Object.keys(setup.filters).map((key) => ({ key })),
        searches,
      );
      return {
        revision,
        areMadeUp: tried.areMadeUp,
        searches,
        filters: worth.map((each) => ({
          ...each,
          alike: alikeIn(view.snapshot, prepared, each.key, setup.filters[each.key]!),
          warnings: warningsOf(view.snapshot, setup, setup.filters[each.key]!),
        })),
      };
    },
    /** What an attribute holds in the whole catalog and in one search under the draft. */
    attributeValues(ref: SetupRef, attribute: string, query: string) {
      const { engine, setup, view } = ready(ref);
      const { values, ...others }: AttributeValues = attributeValues(engine, setup, attribute, query);
      return {
        ...others,
        values: values.map((each) => ({ ...each, colour: basicColours().hexOf(each.value) })),
        groups: values.length > 0 ? proposeGroups(values, view.snapshot.language, basicColours()) : [],
      };
    },
  };
}
