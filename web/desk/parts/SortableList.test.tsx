/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useState } from 'react';
import { furnish, show } from '../../testing/dom.tsx';
import { SortableList } from './SortableList.tsx';

beforeAll(furnish);

function Colours() {
  const [names, setNames] = useState(['Ochre', 'Umber', 'Sienna']);
  return (
    <SortableList
      label="Colours"
      items={names.map((name) => ({ id: name, name }))}
      move={(_, from, to) => {
        const next = [...names];
        next.splice(to, 0, ...next.splice(from, 1));
        setNames(next);
      }}
    >
      {({ name }, grip) => (
        <>
          {grip}
          <button type="button" onClick={() => setNames(names.filter((each) => each !== name))}>
            Remove {name}
          </button>
        </>
      )}
    </SortableList>
  );
}
const focused = (): string | null => document.activeElement?.getAttribute('aria-label') ?? null;

test('whoever takes rows out by keyboard goes on at the next one, and at the list when none is left', async () => {
  show(<Colours />);
  const user = userEvent.setup();
  const remove = async (name: string): Promise<void> => {
    screen.getByText(`Remove ${name}`).focus();
    await user.keyboard('{Enter}');
  };
  await remove('Umber');
  expect(focused()).toBe('Move Sienna');
  await remove('Sienna');
  expect(focused()).toBe('Move Ochre');
  await remove('Ochre');
  expect(focused()).toBe('Colours');
});

test('a row is taken up, moved and put down by keyboard, and keeps the focus', async () => {
  show(<Colours />);
  const user = userEvent.setup();
  screen.getByRole('button', { name: 'Move Ochre' }).focus();
  await user.keyboard(' {ArrowDown}{ArrowDown} ');
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Remove Umber',
    'Remove Sienna',
    'Remove Ochre',
  ]);
  expect(focused()).toBe('Move Ochre');
  expect(screen.getByText('Ochre is put down at place 3.')).toBeTruthy();
});
