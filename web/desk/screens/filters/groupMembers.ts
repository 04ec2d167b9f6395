import type { ValueGroup, ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { bindGroups } from '../../../../core/values/valueGroups.ts';

export interface CountedValue {
  readonly value: string;
  readonly products: number;
}

/** The catalog's values by the group they are in, and those that are in none. */
export function sortIntoGroups(own: ValueGroups, values: readonly CountedValue[]) {
  const groupOf = bindGroups(own);
  const members = new Map<string, CountedValue[]>();
  const left: CountedValue[] = [];
  for (const value of values) {
    const group = groupOf(value.value);
    if (group) members.set(group.label, [...(members.get(group.label) ?? []), value]);
    else left.push(value);
  }
  return { members, left };
}

/** Groups with a value put into one of them by name, out of any that lists it. */
export const withValueIn = (groups: readonly ValueGroup[], value: string, to: string): ValueGroup[] =>
  groups.map((group) => {
    const others = group.values.filter((each) => each !== value);
    return { ...group, values: group.label === to ? [...others, value] : others };
  });

/** Proposed groups that are not there yet and would take some of the values that are left. */
export const freeProposals = <Proposed extends ValueGroup>(
  own: ValueGroups,
  proposed: readonly Proposed[],
  left: readonly CountedValue[],
): Proposed[] => {
  const labels = new Set(own.groups.map(({ label }) => label));
  const free = new Set(left.map(({ value }) => value));
  return proposed.filter(({ label, values }) => !labels.has(label) && values.some((value) => free.has(value)));
};
