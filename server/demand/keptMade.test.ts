import { expect, test } from '@jest/globals';
import { keptMade } from './keptMade.ts';

function kept() {
  const state = { version: '1' as string | null, made: 0, fails: false, errors: 0, finish: [] as (() => void)[] };
  const phrases = keptMade({
    versionOf: () => state.version,
    onError: () => {
      state.errors++;
    },
    make: () =>
      new Promise<{ shared: SharedArrayBuffer }>((resolve, reject) => {
        state.made++;
        state.finish.push(() =>
          state.fails ? reject(new Error('no catalog')) : resolve({ shared: new SharedArrayBuffer(8) }),
        );
      }),
  });
  return { state, phrases };
}

test('shoppers wait for nothing; the desk waits for the first ones', async () => {
  const { state, phrases } = kept();
  expect(phrases.now()).toBeNull();
  const first = phrases.made();
  expect(state.made).toBe(1);
  state.finish.pop()!();
  expect(await first).toMatchObject({ version: '1' });
  expect(phrases.now()).toMatchObject({ version: '1' });
  expect(state.made).toBe(1);
});

test('those kept are answered while others are made from what is new', async () => {
  const { state, phrases } = kept();
  const first = phrases.made();
  state.finish.pop()!();
  await first;
  state.version = '2';
  expect(await phrases.made()).toMatchObject({ version: '1' });
  state.finish.pop()!();
  await new Promise(setImmediate);
  expect(phrases.now()).toMatchObject({ version: '2' });
});

test('what could not be made is told and tried again by whoever asks next', async () => {
  const { state, phrases } = kept();
  state.fails = true;
  const first = phrases.made();
  state.finish.pop()!();
  expect(await first).toBeNull();
  expect(state.errors).toBe(1);
  state.fails = false;
  const next = phrases.made();
  state.finish.pop()!();
  expect(await next).toMatchObject({ version: '1' });
});

test('a storefront without a catalog has none, and nothing is tried', async () => {
  const { state, phrases } = kept();
  state.version = null;
  expect(phrases.now()).toBeNull();
  expect(await phrases.made()).toBeNull();
  expect(state.made).toBe(0);
});
