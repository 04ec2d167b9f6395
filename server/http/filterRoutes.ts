import { filterEndpoints } from '../../api/filterEndpoints.ts';
import { bindFilter } from '../../core/facets/boundFilter.ts';
import { filterWorth } from '../../core/facets/filterWorth.ts';
import { type FilterWarning, keyFor, sourceWarnings } from '../../core/facets/proposeFilters.ts';
import { alikeValues, type CountedValue, proposeGroups } from '../../core/facets/proposeGroups.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import type { FilterSetting } from '../../core/setup/filterSchema.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { basicColours } from '../namedColours.ts';
import type { Services } from './services.ts';
import { noCatalog, type Serve } from './serving.ts';
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
  const groups = setting.groups === undefined ? null : valueGroups[setting.groups];
  const isGone = groups === undefined || (groups !== null && groups.attribute !== setting.attribute);
  // What groups show is what shoppers choose from, however untidy the values beneath.
  const own = sourceWarnings(profile, textsOf(snapshot, setting.attribute)).filter(
    ({ what }) => !groups || (what !== 'manyValues' && what !== 'mixedUnits'),
  );
  return [...own, ...(isGone ? [{ what: 'groupsGone' as const }] : [])];
}

/** Values a filter shows that nobody could tell apart. */
function alikeIn(snapshot: Snapshot, { valueGroups }: Setup, key: string, setting: FilterSetting): string[][] {
  const { values, bands } = bindFilter(snapshot, key, setting, valueGroups);
  if (!values || bands.size > 0 || values.size > mostLookedThrough) return [];
  const all = Uint32Array.from(snapshot.recordFamily, (_, record) => record);
  const { counts, standing } = values.countFamilies({ records: all, failing: null });
  const shown = [...standing].map((value): CountedValue => ({ value: values.name(value), products: counts[value]! }));
  const hidden = new Set(setting.hiddenValues);
  return alikeValues(
    shown.filter(({ value }) => !hidden.has(value)),
    snapshot.language,
  );
}

/** What filters are made from, what they are worth, and those that might be added. */
export function serveFilters(serve: Serve, { setups, catalogs, searcher, log }: Services): void {
  const standing = () => {
    const reader = catalogs.current();
    if (!reader) throw noCatalog();
    const setup = setups.draft();
    const { snapshot } = catalogs.standing()!.view(setup);
    return { setup, snapshot, task: { generation: reader.generation, shared: reader.buffer } };
  };

  serve(filterEndpoints.filterProposals, async () => {
    const { setup, task } = standing();
    const proposals = await searcher.filterProposals(task, triedSearches(log, searchesTried));
    return {
      proposals: proposals.map((proposal) => ({
        ...proposal,
        key: keyFor(setup.filters, proposal.setting),
        samples: [...proposal.samples],
        warnings: [...proposal.warnings],
      })),
    };
  });

  serve(filterEndpoints.filterWorth, async () => {
    const { setup, snapshot, task } = standing();
    const revision = setups.revision();
    const searches = await searcher.filtersOf(task, triedSearches(log, searchesLookedAt));
    const worth = filterWorth(
      Object.keys(setup.filters).map((key) => ({ key })),
      searches,
    );
    return {
      revision,
      searches: searches.map((each) => ({ ...each, shown: [...each.shown] })),
      filters: worth.map((own) => ({
        ...own,
        alike: alikeIn(snapshot, setup, own.key, setup.filters[own.key]!),
        warnings: warningsOf(snapshot, setup, setup.filters[own.key]!),
      })),
    };
  });

  serve(filterEndpoints.attributeValues, async ({ attribute, q }) => {
    const { snapshot, task } = standing();
    const { values, more, amounts } = await searcher.valuesOf(task, attribute, q);
    return {
      values: values.map((each) => ({ ...each, colour: basicColours().hexOf(each.value) })),
      more,
      amounts: amounts && {
        ...amounts,
        histogram: [...amounts.histogram],
        round: [...amounts.round],
        equal: [...amounts.equal],
      },
      groups: values.length > 0 ? proposeGroups(values, snapshot.language, basicColours()) : [],
    };
  });
}
