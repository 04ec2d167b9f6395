/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeEach, expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { timesByItself, usualLayout } from '../../core/setup/terms/layoutTerms.ts';
import { show } from '../testing/dom.tsx';
import { MoreBelow } from './MoreBelow.tsx';

/** Says that the end of the results has come into sight. */
let seen: (() => void) | null = null;
beforeEach(() => {
  seen = null;
  globalThis.IntersectionObserver = class {
    constructor(tell: (entries: { isIntersecting: boolean }[]) => void) {
      seen = () => tell([{ isIntersecting: true }]);
    }
    observe(): void {}
    disconnect(): void {
      seen = null;
    }
  } as never;
});

const answer = (page: number, way: 'button' | 'endless', total = 300): SearchAnswer =>
  ({
    ...{ query: 'ink', collection: null, total, page, limit: 24, layout: { ...usualLayout, way } },
    results: Array.from({ length: Math.min(total, page * 24) }),
  }) as unknown as SearchAnswer;

test('a button shows more, and it is told how much is shown of how much', async () => {
  const gone: number[] = [];
  show(<MoreBelow answer={answer(2, 'button')} isStale={false} go={(page) => gone.push(page)} />);
  expect(screen.getByText('48 of 300 products')).toBeTruthy();
  expect(seen).toBeNull();
  await userEvent.setup().click(screen.getByRole('button', { name: 'Show more' }));
  expect(gone).toEqual([3]);
});

test('there is no button where all are shown, or as many as may stand below each other', () => {
  show(<MoreBelow answer={answer(2, 'button', 40)} isStale={false} go={() => {}} />);
  expect(screen.queryByRole('button')).toBeNull();
  show(<MoreBelow answer={answer(20, 'button', 900)} isStale={false} go={() => {}} />);
  expect(screen.getByText('480 of 900 products')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('more comes by itself a few times, then the shopper is asked, so that what is below can be reached', () => {
  const gone: number[] = [];
  const part = (page: number) => (
    <MoreBelow answer={answer(page, 'endless')} isStale={false} go={(next) => gone.push(next)} />
  );
  const { rerender } = show(part(1));
  for (let page = 1; page <= timesByItself + 1; page++) {
    rerender(part(page));
    act(() => seen?.());
  }
  expect(gone).toEqual([2, 3, 4]);
  expect(screen.getByRole('button', { name: 'Show more' })).toBeTruthy();
});
