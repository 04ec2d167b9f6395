/** @jest-environment ./web/testing/domEnvironment.cjs */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import type { ComponentType } from 'react';
import { waits } from '../../look/later.ts';
import { comesLater } from './ComesLater.tsx';

/** A part whose code comes when the test says so. */
function aPart() {
  const asked: { come(): void; fail(): void }[] = [];
  const Part = comesLater<{ readonly of: string }>(
    () =>
      new Promise<ComponentType<{ readonly of: string }>>((come, fail) => {
        asked.push({ come: () => come(({ of }) => <p>Settings of {of}</p>), fail: () => fail(new Error('404')) });
      }),
    <p>Opening …</p>,
  );
  return { Part, asked };
}

describe('a part of the desk whose code comes later', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  test('says that it is coming, and stands at once where it has come before', async () => {
    const { Part, asked } = aPart();
    const { unmount } = render(<Part of="Wren" />);
    expect(screen.getByText('Opening …')).toBeTruthy();
    await act(async () => asked[0]!.come());
    expect(screen.getByText('Settings of Wren')).toBeTruthy();
    unmount();
    render(<Part of="Umber" />);
    expect(screen.getByText('Settings of Umber')).toBeTruthy();
    expect(asked).toHaveLength(1);
  });
  test('says that it has not come, leaves all around it as it is, and is asked for again by a press', async () => {
    const { Part, asked } = aPart();
    render(
      <>
        <input aria-label="Half typed" defaultValue="acry" />
        <Part of="Wren" />
      </>,
    );
    await act(async () => asked[0]!.fail());
    expect(screen.getByRole('alert').textContent).toContain('This part of the desk has not come');
    expect(screen.getByLabelText<HTMLInputElement>('Half typed').value).toBe('acry');
    await act(async () => screen.getByRole('button', { name: 'Try again' }).click());
    await act(async () => asked[1]!.come());
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByText('Settings of Wren')).toBeTruthy();
  });
  test('that comes when it was asked for from the keyboard has what is typed next', async () => {
    const { Part, asked } = aPart();
    render(
      <main id="screen" tabIndex={-1}>
        <Part of="Wren" />
      </main>,
    );
    await act(async () => asked[0]!.fail());
    screen.getByRole('button', { name: 'Try again' }).focus();
    await act(async () => screen.getByRole('button', { name: 'Try again' }).click());
    await act(async () => asked[1]!.come());
    expect(document.activeElement).toBe(screen.getByRole('main'));
  });
  test('is asked for again by itself, more and more seldom, and no longer once it is out of sight', async () => {
    const { Part, asked } = aPart();
    const { unmount } = render(<Part of="Wren" />);
    for (const [times, wait] of [...waits, waits.at(-1)!].entries()) {
      await act(async () => asked[times]!.fail());
      await act(async () => void jest.advanceTimersByTime(wait - 1));
      expect(asked).toHaveLength(times + 1);
      await act(async () => void jest.advanceTimersByTime(1));
      expect(asked).toHaveLength(times + 2);
    }
    await act(async () => asked.at(-1)!.fail());
    unmount();
    const before = asked.length;
    jest.advanceTimersByTime(60_000);
    expect(asked).toHaveLength(before);
  });
});
