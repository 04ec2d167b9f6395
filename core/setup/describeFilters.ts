import type { FilterLayout, FilterSetting, ValueGroups } from './filterSchema.ts';
import { type FilterKind, usualFilter, usualLayout, type ValueOrder } from './filterTerms.ts';

export const filterKindNames: Readonly<Record<FilterKind, string>> = {
  ticks: 'tick list',
  single: 'single choice',
  dropdown: 'drop-down',
  swatches: 'row of swatches',
  tiles: 'row of size tiles',
  tree: 'tree',
  range: 'pair of number boxes',
  slider: 'slider',
  bands: 'list of ranges',
  rating: 'rating',
  yesNo: 'yes/no switch',
};
const orderNames: Readonly<Record<ValueOrder, string>> = {
  count: 'by count',
  name: 'by name',
  natural: 'in natural order',
  amount: 'by amount',
  hand: 'in an order made by hand',
};

/** What a change of a setting means, for those whose value says it by itself. */
const told: { readonly [Key in keyof FilterSetting]?: (is: FilterSetting, was: FilterSetting) => string } = {
  label: (is, was) => `is now called “${is.label}” instead of “${was.label}”`,
  attribute: ({ attribute }) => `now shows “${attribute}”`,
  kind: ({ kind }) => `is now a ${filterKindNames[kind]}`,
  order: () => 'has moved',
  counts: ({ counts }) => `${counts ? 'shows' : 'hides'} its counts`,
  valueOrder: ({ valueOrder }) => `lists its values ${orderNames[valueOrder]}`,
  prefix: ({ prefix }) => (prefix ? `shows only values that begin with “${prefix}”` : 'shows all values'),
  match: ({ match }) =>
    match === 'one' ? 'lets one value be chosen' : `wants ${match === 'all' ? 'all' : 'any'} of several chosen values`,
  anyEntry: ({ anyEntry }) => `${anyEntry ? 'has' : 'no longer has'} an entry for any value`,
  selectAll: ({ selectAll }) => `${selectAll ? 'has' : 'no longer has'} an entry that chooses all`,
  help: ({ help }) => (help ? `explains itself: “${help}”` : 'has no help text any more'),
  closed: ({ closed }) => `is ${closed ? 'collapsed' : 'open'} at first`,
  showFirst: ({ showFirst = usualFilter.showFirst }) => `shows ${showFirst} values before “show more”`,
  search: ({ search }) =>
    search === undefined ? 'can be looked through where it is long' : `${search ? 'can' : 'cannot'} be looked through`,
  minimum: ({ minimum = usualFilter.minimum }) => `lists values of at least ${minimum} products`,
  hideUndividing: ({ hideUndividing }) =>
    `${hideUndividing ? 'is not' : 'is'} shown where it would not divide the results`,
  greyEmpty: ({ greyEmpty }) =>
    `${greyEmpty ? 'shows values that find nothing in grey' : 'leaves out values that find nothing'}`,
  thresholds: ({ thresholds }) =>
    thresholds?.length ? `has ranges that end at ${thresholds.join(', ')}` : 'has its usual ranges again',
  yes: ({ yes }) => (yes ? `is yes where the value is “${yes}”` : 'has no value for yes'),
  byHand: () => 'has another order of values by hand',
  first: ({ first = [] }) =>
    first.length > 0 ? `lists ${first.join(', ')} first` : 'lists no value before the others',
  hiddenValues: ({ hiddenValues = [] }) =>
    hiddenValues.length > 0 ? `does not list ${hiddenValues.join(', ')}` : 'lists all its values',
  colours: () => 'has other colours for its swatches',
  groups: ({ groups }) => (groups ? 'shows value groups' : 'shows the values as the catalog has them'),
  where: ({ where }) => (where ? 'is shown only in some places' : 'is shown everywhere'),
  after: ({ after }) => (after ? 'waits for another filter' : 'waits for no other filter'),
  chosen: ({ chosen = [] }) => (chosen.length > 0 ? 'has values chosen beforehand' : 'has nothing chosen beforehand'),
  names: () => 'has other names in other languages',
};

/** What a change of a filter means, in sentences without a full stop. */
export function filterChange(before: FilterSetting | null, after: FilterSetting | null): string[] {
  if (!before) return [`Filter “${after!.label}” is added`];
  if (!after) return [`Filter “${before.label}” is removed`];
  return (Object.keys(told) as (keyof FilterSetting)[])
    .filter((name) => JSON.stringify(before[name] ?? null) !== JSON.stringify(after[name] ?? null))
    .map((name) => `Filter “${after.label}” ${told[name]!(after, before)}`);
}

export function valueGroupsChange(before: ValueGroups | null, after: ValueGroups | null): string[] {
  if (!before) return [`Value groups “${after!.name}” are added`];
  if (!after) return [`Value groups “${before.name}” are removed`];
  const said: string[] = [];
  const name = `Value groups “${after.name}”`;
  if (before.name !== after.name) said.push(`${name} were called “${before.name}”`);
  const was = new Map(before.groups.map((group) => [group.label, group]));
  const is = new Map(after.groups.map((group) => [group.label, group]));
  for (const label of is.keys()) if (!was.has(label)) said.push(`${name}: ${label} is added`);
  for (const label of was.keys()) if (!is.has(label)) said.push(`${name}: ${label} is removed`);
  for (const [label, group] of is)
    if (was.has(label) && JSON.stringify(was.get(label)) !== JSON.stringify(group))
      said.push(`${name}: ${label} has changed`);
  if (before.rest !== after.rest || before.restLabel !== after.restLabel)
    said.push(
      `${name}: other values are shown ${after.rest === 'own' ? 'as they are' : after.rest === 'together' ? 'together' : 'nowhere'}`,
    );
  return said;
}

const positions = { left: 'on the left', right: 'on the right', above: 'above the results', drawer: 'in a drawer' };

/** What a change of how the storefront's filters stand means. */
export function layoutChange(before: FilterLayout | null, after: FilterLayout): string[] {
  const was = before ?? usualLayout;
  const said: string[] = [];
  if (was.wide !== after.wide) said.push(`On a wide window filters stand ${positions[after.wide]}`);
  if (was.middle !== after.middle) said.push(`On a middling window filters stand ${positions[after.middle]}`);
  if (was.narrow !== after.narrow) said.push(`On a phone filters stand ${positions[after.narrow]}`);
  if (was.keep !== after.keep) said.push(`A new search ${after.keep ? 'keeps' : 'drops'} the filters that were chosen`);
  return said;
}
