import { describe, expect, test } from '@jest/globals';
import { demandKey, entryOfCells, logEntrySchema } from './logEntry.ts';

const read = (cells: Record<string, string>) => logEntrySchema.safeParse(entryOfCells(cells));
const line = { time: '2026-03-01T10:00:00Z', session: 'v1', search: 'round brush' };

describe('a line of a log as CSV', () => {
  test('has its columns in any case, and lists joined by a bar', () => {
    const { data } = read({
      Time: '2026-03-01 10:00',
      SESSION: 'v1',
      search: ' round brush ',
      results: '12',
      filters: 'colour=Red|colour=Blue|size=6=7',
      clicks: 'p1@3| p2 ',
      baskets: 'p1',
      purchases: '',
      box: 'search:round brush|within:kind=Ink:blue',
      banners: '/offers',
    });
    expect(data).toEqual({
      time: '2026-03-01T10:00:00Z',
      session: 'v1',
      search: 'round brush',
      results: 12,
      filters: { colour: ['Red', 'Blue'], size: ['6=7'] },
      clicks: [
        { product: 'p1', place: 3 },
        { product: 'p2', place: 1 },
      ],
      baskets: ['p1'],
      purchases: [],
      box: [
        { kind: 'search', target: 'round brush' },
        { kind: 'within', target: 'kind=Ink:blue' },
      ],
      banners: ['/offers'],
    });
  });
  test.each([
    ['2026-03-01T10:00:00Z', '2026-03-01T10:00:00Z'],
    ['2026-03-01T10:00:00+02:00', '2026-03-01T10:00:00+02:00'],
    ['2026-03-01 10:00:59', '2026-03-01T10:00:59Z'],
    ['2026-03-01T10:00', '2026-03-01T10:00:00Z'],
  ])('the time %s is %s', (time, iso) => expect(read({ ...line, time }).data?.time).toBe(iso));
  test.each([
    ['no time', { time: 'yesterday' }, 'time'],
    ['no visit', { session: '' }, 'session'],
    ['a count that is none', { results: 'many' }, 'results'],
    ['a search without end', { search: 'x'.repeat(600) }, 'search'],
    ['a line of the box that there is not', { box: 'door:x' }, 'box'],
    ['a click at place nought', { clicks: 'p1@0' }, 'clicks'],
  ])('%s is refused with its place', (_, change, field) => {
    const { error } = read({ ...line, ...change });
    expect(error?.issues.map(({ path }) => path[0])).toEqual([field]);
  });
});

test.each([
  ['Round  Brush', 'round brush'],
  ['Crème', 'creme'],
  ['brush-pen', 'brush pen'],
])('%s is counted as %s', (search, key) => expect(demandKey(search)).toBe(demandKey(key)));
test('another order of words is another search', () =>
  expect(demandKey('brush round')).not.toBe(demandKey('round brush')));
