/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { act, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { furnish, show } from '../../testing/dom.tsx';
import { Picker, PickerItem } from './Picker.tsx';

beforeAll(furnish);

/** Rows that come a moment after what is typed, as from a server. */
function LateRows({ typed, choose }: { readonly typed: string; choose(value: string): void }) {
  const [rows, setRows] = useState<readonly string[]>([]);
  useEffect(() => {
    const timer = setTimeout(() => setRows(['brush', 'broom', 'easel'].filter((row) => row.includes(typed))), 20);
    return () => clearTimeout(timer);
  }, [typed]);
  return rows.map((row) => (
    <PickerItem key={row} value={row} isChosen={row === 'brush'} choose={() => choose(row)}>
      {row}
    </PickerItem>
  ));
}

function open(): { readonly chosen: string[]; readonly user: ReturnType<typeof userEvent.setup> } {
  const chosen: string[] = [];
  show(
    <Picker label="Add a product" find="Find a product" placeholder="Type a name">
      {(typed, close) => (
        <LateRows
          typed={typed}
          choose={(row) => {
            chosen.push(row);
            close();
          }}
        />
      )}
    </Picker>,
  );
  return { chosen, user: userEvent.setup() };
}
const highlighted = (): string | null =>
  document.querySelector('[role="option"][aria-selected="true"]')?.textContent ?? null;

test('a row is highlighted as soon as there are any, never one that is chosen already, and return takes it', async () => {
  const { chosen, user } = open();
  await user.click(screen.getByRole('button', { name: 'Add a product' }));
  await waitFor(() => expect(highlighted()).toBe('broom'));
  await user.keyboard('{Enter}');
  expect(chosen).toEqual(['broom']);
  expect(screen.queryByPlaceholderText('Type a name')).toBeNull();
});

test('when what is typed takes the highlighted row away, the first of those left is highlighted', async () => {
  const { chosen, user } = open();
  await user.click(screen.getByRole('button', { name: 'Add a product' }));
  await waitFor(() => expect(highlighted()).toBe('broom'));
  await user.keyboard('eas');
  await waitFor(() => expect(highlighted()).toBe('easel'));
  await user.keyboard('{Enter}');
  expect(chosen).toEqual(['easel']);
});

test('rows of what was typed before cannot be taken; return takes the first of those that come', async () => {
  const chosen: string[] = [];
  const rows = (typed: string, isStale: boolean) =>
    (isStale ? ['brush', 'broom'] : ['easel', 'easel pad']).map((row) => (
      <PickerItem
        key={row}
        value={row}
        isChosen={false}
        isStale={isStale}
        choose={() => chosen.push(`${typed}: ${row}`)}
      >
        {row}
      </PickerItem>
    ));
  let come = (): void => {};
  function Rows({ typed }: { readonly typed: string }) {
    const [isStale, setStale] = useState(typed !== '');
    come = () => setStale(false);
    return rows(typed, isStale);
  }
  show(
    <Picker label="Add a product" find="Find a product" placeholder="Type a name">
      {(typed) => <Rows key={typed} typed={typed} />}
    </Picker>,
  );
  const user = userEvent.setup();
  await user.click(screen.getByRole('button', { name: 'Add a product' }));
  await user.keyboard('eas');
  await user.click(screen.getByRole('option', { name: 'brush' }));
  await user.click(screen.getByPlaceholderText('Type a name'));
  await user.keyboard('{Enter}');
  expect(chosen).toEqual([]);
  act(() => come());
  await waitFor(() => expect(chosen).toEqual(['eas: easel']));
});

test('escape closes it and chooses nothing', async () => {
  const { chosen, user } = open();
  await user.click(screen.getByRole('button', { name: 'Add a product' }));
  await user.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByPlaceholderText('Type a name')).toBeNull());
  expect(chosen).toEqual([]);
});
