/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { initialSetup } from '../../../../core/setup/initialSetup.ts';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { answerWith, furnish, show } from '../../../testing/dom.tsx';
import { useDeskStateQuery } from '../../state/deskState.ts';
import { ConditionEditor } from './ConditionEditor.tsx';

beforeAll(furnish);

const attribute = (key: string, label: string, more: object = {}) => ({
  ...{ key, label, kind: 'text', coverage: 1, values: 3, samples: [], averageWords: 1, variesWithin: 0 },
  ...{ canSearch: true, canFilter: true, isNumeric: false, canDecide: true, advice: [] },
  ...{ searchable: true, weight: 1, onCard: false },
  ...more,
});
const answers = {
  '/desk/-/-/state': { revision: 1, setup: initialSetup([]), changes: [], canUndo: null, canRedo: null },
  '/desk/-/-/attributes': {
    attributes: [
      attribute('brand', 'Brand'),
      attribute('price', 'Price', { kind: 'price', isNumeric: true }),
      attribute('date_added', 'Date added', { kind: 'date', isNumeric: true }),
    ],
  },
  '/desk/-/-/values': { values: [{ value: 'Osier', products: 3 }] },
};

/** The part as it stands below the desk's frame, which waits for the state. */
function BelowDesk({ children }: { readonly children: ReactNode }) {
  return useDeskStateQuery().data ? children : null;
}

async function open(value: Condition | null) {
  answerWith(answers);
  const changes: Condition[] = [];
  show(
    <BelowDesk>
      <ConditionEditor value={value} change={(condition) => changes.push(condition)} />
    </BelowDesk>,
  );
  await screen.findAllByLabelText('What is asked about');
  return { changes, user: userEvent.setup() };
}

const soldOut: Condition = { match: 'all', tests: [{ how: 'soldOut' }] };

test('a condition is passed on once it is complete, and not before', async () => {
  const { changes, user } = await open(soldOut);
  await user.click(screen.getByRole('button', { name: 'Add a test' }));
  expect(changes).toEqual([]);
  const subjects = () => screen.getAllByLabelText('What is asked about');
  await waitFor(() => expect(subjects()[1]!.textContent).toContain('Price'));
  await user.selectOptions(subjects()[1]!, 'price');
  expect(changes).toEqual([]);
  await user.type(screen.getByLabelText('Most'), '5');
  expect(changes).toEqual([
    { match: 'all', tests: [{ how: 'soldOut' }, { how: 'between', attribute: 'price', from: null, to: 5 }] },
  ]);
  await user.selectOptions(screen.getByLabelText('How the tests are joined'), 'any of these');
  expect(changes.at(-1)!.match).toBe('any');
});

test('an attribute offers the ways in which it can be compared, and the values it has', async () => {
  const { changes, user } = await open(null);
  const subject = screen.getByLabelText('What is asked about');
  await waitFor(() => expect(subject.textContent).toContain('Date added'));
  await user.selectOptions(subject, 'date_added');
  expect([...screen.getByLabelText('How it is compared').children].map(({ textContent }) => textContent)).toEqual([
    ...['is in the last … days', 'is before', 'is after', 'has a value', 'has no value'],
  ]);
  await user.selectOptions(subject, 'brand');
  await user.click(screen.getByRole('button', { name: 'Choose a value' }));
  await user.click(await screen.findByText('Osier'));
  expect(changes.at(-1)).toEqual({ match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['Osier'] }] });
});

test('an attribute that is gone is named, with what that means', async () => {
  await open({ match: 'all', tests: [{ how: 'is', attribute: 'mood', values: ['blue'] }] });
  expect(await screen.findByText(/The catalog has no attribute of that name now/)).toBeTruthy();
  expect(screen.getByRole('option', { name: 'mood (gone)' })).toBeTruthy();
});
