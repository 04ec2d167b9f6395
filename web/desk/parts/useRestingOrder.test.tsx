/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { show } from '../../testing/dom.tsx';
import { useRestingOrder } from './useRestingOrder.ts';

function List({ keys }: { readonly keys: readonly string[] }) {
  const { rows, list } = useRestingOrder(keys.map((key) => ({ key })));
  return (
    <ul {...list}>
      {rows.map(({ key }) => (
        <li key={key}>
          <button type="button">{key}</button>
        </li>
      ))}
    </ul>
  );
}
const order = (): (string | null)[] => screen.getAllByRole('button').map(({ textContent }) => textContent);

test('rows stay where they are while one of them is worked at, and are put in order when the list is left', () => {
  const { rerender } = show(<List keys={['title', 'brand', 'colour']} />);
  act(() => screen.getByText('colour').focus());
  rerender(<List keys={['colour', 'title', 'brand', 'kind']} />);
  expect(order()).toEqual(['title', 'brand', 'colour', 'kind']);
  act(() => screen.getByText('title').focus());
  expect(order()).toEqual(['title', 'brand', 'colour', 'kind']);
  act(() => screen.getByText('title').blur());
  expect(order()).toEqual(['colour', 'title', 'brand', 'kind']);
});
