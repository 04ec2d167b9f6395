import { expect, test } from '@jest/globals';
import { openLogDesk } from './logDesk.ts';

const search = { session: 's', search: 'brush', filters: {}, results: 3, byDesk: false };

test('while nothing can be written, searches are kept and nobody waits; they are written when it can be again', async () => {
  const written: number[] = [];
  let isLocked = true;
  let reserved = 1;
  const desk = openLogDesk({
    storefront: 'main',
    writer: {
      noteLog: async (_, searches) => {
        if (isLocked) throw new Error('locked');
        written.push(...searches.map(({ id }) => id));
      },
      reserveSearches: async (count) => {
        reserved += count;
        return reserved - count;
      },
    },
    log: { hasSearch: (id, session) => session === 's' && written.includes(id) },
    now: () => 1,
    onError: () => {},
  });
  expect(() => desk.noteSearch(search)).toThrow('cannot be written now');
  await desk.ready();
  const ids = [desk.noteSearch(search), desk.noteSearch(search)];
  const click = { search: ids[0]!, kind: 'click' as const, product: 'a', place: 1 };
  expect(desk.noteOutcome('other', click)).toBe(false);
  expect(desk.noteOutcome('s', click)).toBe(true);
  await desk.written();
  expect(written).toEqual([]);
  isLocked = false;
  await desk.written();
  expect(written).toEqual(ids);
  expect(desk.noteOutcome('s', click)).toBe(true);
  expect(desk.noteOutcome('s', { ...click, search: 99 })).toBe(false);
  await desk.close();
});
