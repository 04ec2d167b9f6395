import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { firstShow, listen, post, readFirstShow, type ToDesk, type ToShop } from './messages.ts';

/** A page with one listener list and one frame, as far as messages go. */
const listeners = new Set<(event: unknown) => void>();
const frame = { posted: [] as unknown[], postMessage: (data: unknown, to: string) => frame.posted.push([data, to]) };
const globals = globalThis as Record<string, unknown>;

beforeEach(() => {
  globals.location = { origin: 'http://shop.example' };
  globals.addEventListener = (_: string, hear: (event: unknown) => void) => listeners.add(hear);
  globals.removeEventListener = (_: string, hear: (event: unknown) => void) => listeners.delete(hear);
  listeners.clear();
  frame.posted.length = 0;
});
afterEach(() => {
  for (const name of ['location', 'addEventListener', 'removeEventListener']) delete globals[name];
});
const say = (data: unknown, { origin = 'http://shop.example', source = frame as unknown } = {}): void => {
  for (const hear of [...listeners]) hear({ data, origin, source });
};

test('a message goes to this origin only', () => {
  post(frame as unknown as Window, { kind: 'ready' });
  expect(frame.posted).toEqual([[{ mark: 'clever-shelf', message: { kind: 'ready' } }, 'http://shop.example']]);
});

describe('what is heard', () => {
  const marked = (message: unknown) => ({ mark: 'clever-shelf', message });
  let heard: ToDesk[];
  let end: () => void;
  beforeEach(() => {
    heard = [];
    end = listen<ToDesk>(
      () => frame as unknown as Window,
      (message) => heard.push(message),
    );
  });
  test('is what the frame says', () => {
    say(marked({ kind: 'searched', query: 'ink' }));
    expect(heard).toEqual([{ kind: 'searched', query: 'ink' }]);
  });
  test.each([
    ['another origin', marked({ kind: 'ready' }), { origin: 'http://elsewhere.example' }],
    ['another frame', marked({ kind: 'ready' }), { source: {} }],
    ['nothing of ours', { mark: 'other', message: { kind: 'ready' } }, {}],
    ['no message', marked(undefined), {}],
    ['nothing at all', null, {}],
  ])('is not %s', (_, data, from) => {
    say(data, from);
    expect(heard).toEqual([]);
  });
  test('is nothing once it has ended', () => {
    end();
    say(marked({ kind: 'ready' }));
    expect(heard).toEqual([]);
  });
});

test('what is shown first is read from the frame’s name, and any other name says nothing', () => {
  const message: ToShop = {
    kind: 'show',
    query: 'sable “round”',
    collection: '',
    draft: 'main',
    from: 'draft:main',
    turn: 3,
    at: '',
    page: null,
    box: null,
    theme: null,
  };
  expect(readFirstShow(firstShow(message))).toEqual(message);
  for (const name of ['', 'preview', '{"kind":"hide"}', 'null', '[1]']) expect(readFirstShow(name)).toBeNull();
});
