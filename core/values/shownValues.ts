import { own } from '../base/named.ts';
import { levelsOf } from '../catalog/levels.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import type { Setup } from '../setup/schema.ts';
import { type Band, bandsOf } from './bands.ts';
import { shownThrough } from './valueGroups.ts';

/** The groups a filter shows its attribute through; null where it shows the values themselves. */
export function groupingOf(
  { attribute, groups: key }: Pick<FilterSetting, 'attribute' | 'groups'>,
  groups: Setup['valueGroups'],
): ValueGroups | null {
  const named = key === undefined ? undefined : own(groups, key);
  return named?.attribute === attribute ? named : null;
}

/** What a setting makes of each value of its attribute; null where it shows them as they are. */
export function shownBySetting(
  setting: FilterSetting,
  grouping: ValueGroups | null,
): ((text: string) => string[]) | null {
  const { kind, prefix, yes } = setting;
  if (kind === 'yesNo') return (text) => (text === yes ? [text] : []);
  if (kind === 'tree') return levelsOf;
  if (prefix === undefined && !grouping) return null;
  const through = grouping ? shownThrough(grouping) : (text: string): string => text;
  return (text) => {
    if (prefix !== undefined && !text.startsWith(prefix)) return [];
    const shown = through(prefix === undefined ? text : text.slice(prefix.length).trim());
    return shown === null || shown === '' ? [] : [shown];
  };
}

/**
 * What shoppers choose from in a filter, of values that its attribute has: as an address says it, with the amounts it
 * stands for where it does. Nothing of filters in which two amounts are chosen.
 */
export function choicesIn(
  setting: FilterSetting,
  groups: Setup['valueGroups'],
  { values, isDate }: { readonly values: readonly string[]; readonly isDate: boolean },
): readonly (Pick<Band, 'value'> & Partial<Pick<Band, 'from' | 'to' | 'days'>>)[] {
  if (setting.kind === 'range') return [];
  // Which days an age reaches to is not asked.
  const bands = bandsOf(setting, isDate, 0);
  if (bands.length > 0) return bands;
  const shownFor = shownBySetting(setting, groupingOf(setting, groups)) ?? ((text: string) => [text]);
  return [...new Set(values.flatMap(shownFor))].map((value) => ({ value }));
}
