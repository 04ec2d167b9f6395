/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { FilterAnswer } from '../../../core/answer/answer.ts';
import { furnish, show } from '../../testing/dom.tsx';
import { FilterBody } from './FilterBody.tsx';

beforeAll(furnish);

const values = ['Red', 'Blue', 'Green'].map((value) => ({ value, label: value, count: 3, chosen: false }));
const filter = (change: Partial<FilterAnswer>): FilterAnswer => ({
  ...{ key: 'colour', label: 'Colour', kind: 'dropdown', counts: true, showFirst: 8, isMoney: false, more: 0, values },
  ...change,
});

function opened(change: Partial<FilterAnswer>, chosen: readonly string[], isOpened: boolean) {
  const choices: (readonly string[])[] = [];
  show(
    <FilterBody
      filter={filter(change)}
      chosen={chosen}
      choose={(next) => void choices.push(next)}
      lookThrough={async () => []}
      isOpened={isOpened}
    />,
  );
  return { choices, user: userEvent.setup() };
}

test('a drop-down opens once: in a panel that was opened for it, its values are there at once', async () => {
  const { choices, user } = opened({}, [], true);
  expect(screen.queryByRole('button', { name: /Any colour/ })).toBeNull();
  await user.click(screen.getByRole('checkbox', { name: /Blue/ }));
  expect(choices).toEqual([['Blue']]);
});

test('in a column it stands behind a button of its own', async () => {
  const { choices, user } = opened({}, ['Red'], false);
  await user.click(screen.getByRole('button', { name: /Red/ }));
  await user.click(await screen.findByRole('checkbox', { name: /Green/ }));
  expect(choices).toEqual([['Red', 'Green']]);
});

test('where only one can be chosen, another takes its place, in lists and in tiles', async () => {
  const list = opened({ oneOf: true }, ['Red'], true);
  await list.user.click(screen.getByRole('radio', { name: /Blue/ }));
  expect(list.choices).toEqual([['Blue']]);
  const tiles = opened({ oneOf: true, kind: 'tiles' }, ['Red'], true);
  await tiles.user.click(screen.getByRole('button', { name: /Blue/ }));
  await tiles.user.click(screen.getByRole('button', { name: /Red/ }));
  expect(tiles.choices).toEqual([['Blue'], []]);
});
