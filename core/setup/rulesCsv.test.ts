import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { initialSetup } from './initialSetup.ts';
import { shelfPlanSchema } from './parts/plans/shelfPlan.ts';
import { registry } from './registry.ts';
import { rulesChanges } from './rulesChanges.ts';
import {
  partOfRules,
  type RulePart,
  readRuleRow,
  redirectAsPlan,
  ruleFields,
  ruleParts,
  rulesOf,
  writeRulesCsv,
} from './rulesCsv.ts';
import type { Setup } from './schema.ts';
import { endsBeforeItBegins } from './terms/span.ts';

const names = { attribute: (key: string) => key, product: (id: string) => id, collection: (id: string) => id };

/** Rows of a CSV by their columns, read the plain way. */
function rowsIn(csv: string): Record<string, string>[] {
  const cells: string[][] = [[]];
  for (const [, quoted, plain = '', end] of csv.matchAll(/(?:"((?:[^"]|"")*)"|([^,\r\n]*))(,|\r\n|$)/g)) {
    cells.at(-1)!.push(quoted === undefined ? plain : quoted.replaceAll('""', '"'));
    if (end === '\r\n') cells.push([]);
  }
  const [header = [], ...rows] = cells;
  return rows
    .filter((row) => row.length === header.length)
    .map((row) => Object.fromEntries(header.map((column, at) => [column, row[at]!])));
}
const readBack = (part: RulePart, setup: Setup) =>
  rowsIn(writeRulesCsv(part, setup)).map((cells, at) => {
    const read = readRuleRow(part, cells);
    return { line: at + 2, read: part === 'redirects' ? redirectAsPlan(setup.plans, read) : read };
  });

test('what is written is read back without a change, whatever is in it', () => {
  for (let seed = 1; seed <= 40; seed++) {
    const random = seededRandom(seed);
    const snapshot = snapshotOf(randomCatalog(random, 20));
    const drawn = randomSetup(
      random,
      snapshot,
      Array.from({ length: 6 }, () => randomQuery(random)),
    );
    // Some are drawn with their dates the wrong way round, which no store would take.
    const plans = Object.entries(drawn.plans).filter(([, plan]) => !endsBeforeItBegins(plan));
    const sent = plans.map(([id, plan]) => [id, id === 'a' ? { ...plan, redirect: `/pages/${seed}` } : plan] as const);
    const setup = { ...drawn, plans: Object.fromEntries(sent) };
    for (const part of ruleParts) {
      const count = Object.keys(rulesOf(part, setup)).length;
      expect({ seed, part, ...rulesChanges(setup, partOfRules(part), readBack(part, setup), names) }).toEqual({
        ...{ seed, part, changes: [], refused: [], unchanged: count },
      });
    }
  }
});

test('every field of an entry has a column', () => {
  expect(Object.keys(ruleFields.plans).sort()).toEqual(Object.keys(shelfPlanSchema.shape).sort());
  expect(Object.keys(ruleFields.houseRules).sort()).toEqual(Object.keys(registry.houseRules.value.shape).sort());
  const fields = registry.hiding.value.options.flatMap(({ shape }) => Object.keys(shape));
  expect(Object.keys(ruleFields.hiding).sort()).toEqual([...new Set(fields)].sort());
});

describe('a row from a spreadsheet', () => {
  const setup = initialSetup([]);
  const asked = (part: RulePart, cells: Record<string, string>, to = setup) =>
    rulesChanges(to, partOfRules(part), [{ line: 2, read: readRuleRow(part, cells) }], names);
  test('needs no more than what it is about, and says what it changes', () => {
    const { changes } = asked('plans', { name: 'Gifts', searches: 'gift | present', pins: 'p1@1 | a@b@3' });
    expect(changes).toEqual([
      {
        isNew: true,
        sentences: ['Shelf plan “Gifts” is added'],
        edit: {
          part: 'plans',
          key: 'gifts',
          value: expect.objectContaining({
            searches: ['gift', 'present'],
            pins: [
              { product: 'p1', place: 1 },
              { product: 'a@b', place: 3 },
            ],
          }),
        },
      },
    ]);
    expect(asked('hiding', { what: 'tag', tag: 'resting', until: '2026-12-01' }).changes[0]!.edit.key).toBe(
      'tag:resting',
    );
  });
  test('with the key of an entry replaces it, and without one stands beside it', () => {
    const plan = { name: 'Gifts', on: true, searches: ['gift'], pins: [], pulls: [] };
    const to = { ...setup, plans: { gifts: plan } };
    expect(asked('plans', { key: 'gifts', name: 'Gifts', on: 'off', searches: 'gift' }, to).changes).toMatchObject([
      { isNew: false, sentences: ['Shelf plan “Gifts” is switched off'] },
    ]);
    expect(asked('plans', { name: 'Gifts', searches: 'gift' }, to).changes[0]!.edit.key).toBe('gifts-2');
  });
  test.each([
    ['plans', { name: 'Gifts', pins: 'p1' }, 'pins: “p1” is written as product@number.'],
    ['houseRules', { name: 'R', does: 'hide', condition: '{' }, 'condition: this is not JSON.'],
    ['plans', { name: 'Gifts', redirect: 'javascript:alert(1)' }, /Shoppers can be sent/],
    ['plans', { name: 'Gifts', from: '2026-12-24', until: '2026-12-01' }, /ends before it begins/],
    ['hiding', { what: 'shelf' }, /what/],
  ] as const)('of %s that cannot be is refused with why', (part, cells, reason) =>
    expect(asked(part, cells).refused).toEqual([
      { line: 2, reason: typeof reason === 'string' ? reason : expect.stringMatching(reason) },
    ]),
  );
});

test('a redirect changes only where its plan sends shoppers; one for other searches is a plan of its own', () => {
  const pins = [{ product: 'a', place: 1 }];
  const before = { name: 'Returns', on: true, searches: ['returns', 'refund'], pins, pulls: [], redirect: '/old' };
  const setup = { ...initialSetup([]), plans: { p: before } };
  const row = (cells: Record<string, string>) => redirectAsPlan(setup.plans, readRuleRow('redirects', cells));
  const read = [
    row({ searches: 'refund | returns', redirect: '/new' }),
    row({ searches: 'hours', redirect: '/hours' }),
  ];
  const { changes } = rulesChanges(
    setup,
    'plans',
    read.map((each, at) => ({ line: at + 2, read: each })),
    names,
  );
  expect(changes.map(({ edit }) => [edit.key, edit.value])).toEqual([
    ['p', { ...before, searches: ['refund', 'returns'], redirect: '/new' }],
    ['hours', { name: 'hours', on: true, searches: ['hours'], pins: [], pulls: [], redirect: '/hours' }],
  ]);
  expect(row({ searches: 'x' })).toEqual({ refusal: 'redirect: Say where shoppers are sent.' });
  expect(row({ redirect: '/x' })).toEqual({ refusal: 'searches: Say which searches are sent elsewhere.' });
});
