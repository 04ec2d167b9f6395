import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());
const bring = (content: string | Buffer) => {
  const path = join(shelf.root, 'log');
  writeFileSync(path, content);
  return shelf.writer.bringInLog(shelf.id, path);
};
const line = (time: string, search: string, more: object = {}) =>
  JSON.stringify({ time: `2026-10-01T${time}Z`, session: 's1', search, results: 3, ...more });

const jsonl = [
  line('10:00:00', 'Round Brush', { clicks: [{ product: 'a', place: 2 }], baskets: ['a'], purchases: ['a'] }),
  line('10:01:00', 'round brush', { clicks: [{ product: 'b', place: 4 }], session: 's2' }),
  line('10:02:00', 'gauche', { results: 0 }),
  line('10:03:00', ''),
].join('\n');

describe('a log comes in', () => {
  test('and is counted by what was meant, most often first', async () => {
    expect(await bring(jsonl)).toMatchObject({ searches: 4, refused: 0 });
    expect(shelf.log.summary()).toMatchObject({
      searches: 4,
      sessions: 2,
      foundNothing: 1,
      clicks: 2,
      purchases: 1,
      from: Date.UTC(2026, 9, 1, 10),
    });
    expect(shelf.log.top(5)).toEqual([
      expect.objectContaining({
        key: 'round brush',
        search: 'round brush',
        searches: 2,
        sessions: 2,
        clicked: 2,
        bought: 1,
        clickPlace: 3,
      }),
      expect.objectContaining({ key: 'gauche', searches: 1, foundNothing: 1, clicked: 0, clickPlace: null }),
    ]);
  });
  test('with what was chosen in the box, and banners; a search that was taken there counts as one that was clicked', async () => {
    const box = [{ kind: 'search', target: 'Round brush' }];
    await bring(
      [
        line('10:00:00', 'round brush', { box, banners: ['/offers'] }),
        line('10:01:00', 'round brush', { session: 's2' }),
        line('10:02:00', 'flat brush', { clicks: [{ product: 'a', place: 1 }] }),
      ].join('\n'),
    );
    expect(shelf.log.chosen()).toEqual([
      { inBox: false, kind: 'banner', times: 1 },
      { inBox: true, kind: 'search', times: 1 },
    ]);
    const clicks = shelf.log.faded(9).map(({ search, fadedClicks }) => [search, Math.round(fadedClicks * 100) / 100]);
    expect(clicks).toEqual([
      ['round brush', 1],
      ['flat brush', 1],
    ]);
  });
  test('once, however often it is brought', async () => {
    await bring(jsonl);
    expect((await bring(jsonl)).searches).toBe(0);
    expect(shelf.log.summary().searches).toBe(4);
  });
  test('packed, or as CSV with any separator', async () => {
    await bring(gzipSync(jsonl));
    expect(shelf.log.summary().searches).toBe(4);
    const csv =
      'time;session;search;filters;results;clicks;baskets;purchases\n2026-10-02 09:00;s3;blue ink;colour=Blue|brand=Harrow;2;c@1|a@3;c;\n';
    expect(await bring(csv)).toMatchObject({ searches: 1, refused: 0 });
    expect(shelf.log.top(9).find(({ key }) => key === 'blue ink')).toMatchObject({
      clicked: 1,
      bought: 0,
      clickPlace: 2,
    });
  });
  test('and lines that are wrong are reported with their number and field, the others are taken', async () => {
    const broken = `${line('11:00:00', 'ink')}\nnot json\n${line('25:00:00', 'ink')}\n${line('11:01:00', 'ink', { clicks: [{ product: 'a', place: 0 }] })}\n`;
    expect(await bring(broken)).toMatchObject({
      searches: 1,
      refused: 3,
      refusedLines: [
        { line: 2, reason: 'The line is no JSON.' },
        { line: 3, column: 'time' },
        { line: 4, column: 'clicks.0.place' },
      ],
    });
  });
});

test('a search that found nothing and the one that helped are reported together, once a visit', async () => {
  const visit = (session: string, minute: number, click: boolean) => [
    line(`10:${minute}:00`, 'aquarelle', { session, results: 0 }),
    line(`10:${minute}:30`, 'watercolour', { session, clicks: click ? [{ product: 'a', place: 1 }] : [] }),
  ];
  await bring(
    [...visit('a', 10, true), ...visit('a', 12, true), ...visit('b', 20, true), ...visit('c', 30, false)].join('\n'),
  );
  expect(shelf.log.retries(5)).toEqual([{ from: 'aquarelle', to: 'watercolour', sessions: 2, of: 3 }]);
});

describe('the shop writes to the same log', () => {
  test('searches and what comes of them; a merchandiser’s own are told apart', async () => {
    const noted = await shelf.post('/shop/log/search', { session: 'x', search: 'Blue ink', results: 1 });
    const { id } = noted.body as { id: number };
    await shelf.post('/shop/log/outcome', { session: 'x', search: id, kind: 'click', product: 'c', place: 1 });
    await shelf.post('/shop/log/search', { session: 'desk', search: 'Blue ink', results: 1, inDesk: true });
    const { body } = await shelf.get('/desk/demand');
    expect(body).toMatchObject({
      summary: { searches: 1, clicks: 1 },
      top: [{ search: 'Blue ink', searches: 1, clicked: 1 }],
    });
  });
  test('nobody writes into another visit', async () => {
    const noted = await shelf.post('/shop/log/search', { session: 'x', search: 'ink', results: 1 });
    const { id } = noted.body as { id: number };
    const answer = await shelf.post('/shop/log/outcome', { session: 'y', search: id, kind: 'purchase', product: 'c' });
    expect(answer.status).toBe(404);
  });
});

describe('a log that would never end', () => {
  test('packed small and unpacked large is refused after so much', async () => {
    const packed = gzipSync(Buffer.alloc(80 * 1024 * 1024));
    expect(packed.length).toBeLessThan(100_000);
    await expect(bring(packed)).rejects.toThrow('unpacks to far more than a log');
    await expect(bring(packed.subarray(0, 500))).rejects.toThrow('damaged');
  });
  test('dates no shop was open at, and lines without end, are refused lines', async () => {
    const at = (time: string) => JSON.stringify({ time, session: 's', search: 'ink', results: 1 });
    const lines = [
      at('0001-01-01T00:00:00Z'),
      at('9999-12-31T23:59:59Z'),
      'x'.repeat(200_000),
      at('2026-10-01T10:00:00Z'),
    ];
    expect(await bring(lines.join('\n'))).toMatchObject({
      searches: 1,
      refused: 3,
      refusedLines: [
        { line: 1, column: 'time' },
        { line: 2, column: 'time' },
        { line: 3, reason: 'The line is too long.' },
      ],
    });
  });
});

test('searches are noted in batches, and what comes of one is known before and after it is written', async () => {
  const { body } = await shelf.post('/shop/log/search', { session: 's', search: 'brush', results: 2 });
  const { id } = body as { id: number };
  const outcome = { search: id, kind: 'click', product: 'a', place: 1 };
  expect((await shelf.post('/shop/log/outcome', { ...outcome, session: 'other' })).status).toBe(404);
  expect((await shelf.post('/shop/log/outcome', { ...outcome, session: 's' })).status).toBe(200);
  expect(shelf.log.summary()).toMatchObject({ searches: 1, clicks: 1 });
});
