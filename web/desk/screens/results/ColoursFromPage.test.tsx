/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { LookColours } from '../../../../core/setup/terms/lookTerms.ts';
import { answerWith, furnish, show } from '../../../testing/dom.tsx';
import { ColoursFromPage } from './ColoursFromPage.tsx';

beforeAll(furnish);

const before = { ground: '#ffffff', text: '#222222', accent: '#0000aa' };
function open(answer: unknown) {
  const asked = answerWith({ '/desk/-/-/pictures/style': answer });
  const taken: LookColours[] = [];
  show(<ColoursFromPage before={before} take={(colours) => taken.push(colours)} />);
  return { asked, taken, user: userEvent.setup(), field: screen.getByLabelText('Page to take colours from') };
}

test('where a page cannot be asked, or says no colours, that is told, and nothing is taken', async () => {
  const { user, field, taken } = open({ problem: 'too-slow', styles: [] });
  await user.type(field, 'paints.example{Enter}');
  expect((await screen.findByRole('alert')).textContent).toBe('It did not answer in time.');
  answerWith({ '/desk/-/-/pictures/style': { styles: ['p { margin: 0 }'] } });
  await user.click(screen.getByRole('button', { name: 'Take its colours' }));
  expect(await screen.findByText(/say none of its colours/)).toBeDefined();
  expect(taken).toEqual([]);
});

test('nothing is asked without an address', async () => {
  const { user, field, asked } = open({ styles: [] });
  await user.type(field, '  {Enter}');
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take its colours' }).disabled).toBe(true);
  expect(asked).toEqual([]);
});
