import { expect, test } from '@jest/globals';
import type { ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { freeProposals, sortIntoGroups, withValueIn } from './groupMembers.ts';

const own: ValueGroups = {
  name: 'Tones',
  attribute: 'colour',
  groups: [
    { label: 'Red', values: ['RED', 'Crimson'] },
    { label: 'Blue', values: [] },
  ],
  rest: 'own',
};
const values = ['RED', 'Crimson', 'Teal'].map((value) => ({ value, products: 1 }));

test('every value is in its group, or left', () => {
  const { members, left } = sortIntoGroups(own, values);
  expect(members.get('Red')!.map(({ value }) => value)).toEqual(['RED', 'Crimson']);
  expect(left.map(({ value }) => value)).toEqual(['Teal']);
});

test('a value that is put into a group is in no other', () =>
  expect(withValueIn(own.groups, 'Crimson', 'Blue').map((group) => group.values)).toEqual([['RED'], ['Crimson']]));

test('only groups that are missing and would take something are proposed', () => {
  const { left } = sortIntoGroups(own, values);
  const proposed = [
    { label: 'Red', values: ['Teal'] },
    { label: 'Green', values: ['Teal'] },
    { label: 'Grey', values: ['RED'] },
  ];
  expect(freeProposals(own, proposed, left).map(({ label }) => label)).toEqual(['Green']);
});
