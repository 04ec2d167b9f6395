import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

interface Answered {
  readonly summary: { readonly searches: number; readonly clicks: number };
  readonly chosen: readonly object[];
  readonly isOn: boolean;
  readonly keptDays: number | null;
}
const demand = async (): Promise<Answered> => (await shelf.get('/desk/main/main/demand?limit=5')).body as Answered;
const search = (session: string, headers: Record<string, string> = {}) =>
  shelf.post('/shop/main/log/search', { session, search: 'round brush', results: 1 }, headers);
const choose = (kind: string, target: string, headers: Record<string, string> = {}) =>
  shelf.post('/shop/main/log/choice', { session: 's', inBox: kind !== 'banner', search: 'bru', kind, target }, headers);

test('searches, lines of the box and banners are written, and what came of them is counted', async () => {
  const { id } = (await search('s')).body as { id: number };
  await shelf.post('/shop/main/log/outcome', { session: 's', search: id, kind: 'click', product: 'a', place: 1 });
  await choose('search', 'round brush');
  await choose('search', 'flat brush');
  await choose('banner', '/sale');
  expect(await demand()).toMatchObject({
    summary: { searches: 1, clicks: 1 },
    chosen: [
      { inBox: true, kind: 'search', times: 2 },
      { inBox: false, kind: 'banner', times: 1 },
    ],
    ...{ isOn: true, keptDays: null },
  });
  expect(
    await shelf.post('/shop/main/log/choice', { session: 's', inBox: true, search: '', kind: 'x', target: '' }),
  ).toMatchObject({
    status: 400,
  });
});

test.each([{ dnt: '1' }, { 'sec-gpc': '1' }])('a shopper whose browser says %j is not followed', async (headers) => {
  expect((await search('s', headers as never)).body).toEqual({ id: null });
  expect((await choose('search', 'x', headers as never)).status).toBe(200);
  expect(await demand()).toMatchObject({ summary: { searches: 0 }, chosen: [] });
});

test('where it is switched off nothing is written, and what is there stays', async () => {
  await search('a');
  expect((await demand()).summary.searches).toBe(1);
  await shelf.post('/desk/main/main/demand/keep', { isOn: false, days: null });
  expect((await search('b')).body).toEqual({ id: null });
  expect(await demand()).toMatchObject({ summary: { searches: 1 }, isOn: false });
});

test('what is older than it is kept for goes, with what came of it', async () => {
  const line = (time: string, session: string) =>
    JSON.stringify({ time, session, search: 'ink', results: 1, clicks: [{ product: 'c', place: 1 }] });
  const old = [line('2000-01-01T10:00:00Z', 'old'), line('1999-12-31T23:00:00Z', 'refused')];
  const file = join(shelf.root, 'log.jsonl');
  writeFileSync(file, old.join('\n'));
  await shelf.writer.bringInLog('main', file);
  const before = (await demand()).summary;
  expect(await shelf.post('/desk/main/main/demand/keep', { isOn: true, days: 91 })).toMatchObject({ status: 400 });
  await shelf.writer.keepLog('main', true, 90);
  await shelf.writer.pruneLog(Date.parse('2000-03-01T00:00:00Z'));
  expect((await demand()).summary).toEqual(before);
  await shelf.writer.pruneLog(Date.parse('2000-06-01T00:00:00Z'));
  expect(await demand()).toMatchObject({ summary: { searches: 0, clicks: 0 }, keptDays: 90 });
});
