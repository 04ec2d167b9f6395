/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import type { Gap, SearchAnswer } from '../../core/answer/answer.ts';
import { show } from '../testing/dom.tsx';
import { Gaps } from './Gaps.tsx';

const gap = (title: string, place: number, why: Gap['why']): Gap => ({
  ...{ product: title, title, place, why, plan: { id: 'p', name: 'Plan' } },
});
const results = [{ place: 3, title: 'Flat brush' }];
const page = (number: number, gaps?: readonly Gap[]): SearchAnswer =>
  ({ page: number, limit: 24, results, ...(gaps && { gaps }) }) as unknown as SearchAnswer;

test('what is pinned and not there is told with what stands in its place, each on its own page', () => {
  const gaps = [gap('Fan brush', 3, 'soldOut'), gap('Round brush', 24, 'gone'), gap('Easel', 25, 'hidden')];
  show(<Gaps answer={page(1, gaps)} />);
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Place 3: Fan brush is sold out, so it does not show. Flat brush stands there.',
    'Place 24: Round brush is no longer in the catalog.',
  ]);
});

test('shoppers, and searches without gaps, are told nothing', () => {
  const { container } = show(<Gaps answer={page(1)} />);
  show(<Gaps answer={page(2, [gap('Fan brush', 3, 'waits')])} />);
  expect(container.textContent).toBe('');
  expect(screen.queryByRole('list')).toBeNull();
});
