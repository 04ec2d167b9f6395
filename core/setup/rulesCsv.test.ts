import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { initialSetup } from './initialSetup.ts';
import { shelfPlanSchema } from './parts/plans/shelfPlan.ts';
import { registry } from './registry.ts';
import { rulesChanges } from './rulesChanges.ts';
import { type RulePart, readRuleRow, ruleFields, ruleParts, writeRulesCsv } from './rulesCsv.ts';
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
  rowsIn(writeRulesCsv(part, setup)).map((cells, at) => ({ line: at + 2, read: readRuleRow(part, cells) }));

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
    const setup = { ...drawn, plans: Object.fromEntries(plans) };
    for (const part of ruleParts) {
      const count = Object.keys(setup[part]).length;
      expect({ seed, part, ...rulesChanges(setup, part, readBack(part, setup), names) }).toEqual({
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
    rulesChanges(to, part, [{ line: 2, read: readRuleRow(part, cells) }], names);
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
