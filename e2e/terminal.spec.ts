import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from '@playwright/test';
import { test } from './desk.ts';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
let data: string;
test.beforeAll(() => {
  data = mkdtempSync(join(tmpdir(), 'clever-shelf-terminal-'));
});
test.afterAll(() => rmSync(data, { recursive: true, force: true }));

function shelf(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/shelf.mjs', ...args], {
    cwd: root,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

test('the terminal gives the same answer as the shop and the desk', async ({ request }) => {
  const folder = process.env.SHELF_E2E_SHOP_DATA!;
  for (const query of ['ultramarine', 'kolinsky brsh', 'zebra xylophone']) {
    const live = shelf('search', query, '--json', '--limit', '5', '--data', folder);
    const shop = await (await request.get(`/shop/search?limit=5&q=${encodeURIComponent(query)}`)).json();
    expect(JSON.parse(live.stdout)).toEqual(shop);
    const draft = shelf('search', query, '--json', '--draft', 'main', '--explain', '--limit', '5', '--data', folder);
    const desk = await (await request.get(`/desk/search?explain=1&limit=5&q=${encodeURIComponent(query)}`)).json();
    expect(JSON.parse(draft.stdout)).toEqual(desk);
  }
});

test('import, attributes, set, publish: each shows in the next', () => {
  const file = join(data, 'mine.csv');
  writeFileSync(file, 'id,title,material,price\n1,Round brush,Sable,4\n2,Flat brush,Hog,cheap\n3,Sable hair,,2\n');
  const imported = shelf('import', file, '--data', data);
  expect(imported).toMatchObject({ status: 0 });
  expect(imported.stdout).toContain('2 records of 2 products are in; 1 rows were refused.');
  expect(imported.stdout).toContain('line 3, price: "cheap" is not a number.');

  const first = () => JSON.parse(shelf('search', 'sable', '--json', '--data', data).stdout).results[0].id as string;
  expect(first()).toBe('3');
  expect(shelf('attribute', 'set', 'material', '--weight', '40', '--data', data).status).toBe(0);
  expect(first()).toBe('3');
  expect(JSON.parse(shelf('search', 'sable', '--draft', 'main', '--json', '--data', data).stdout).results[0].id).toBe(
    '1',
  );
  expect(shelf('publish', '--data', data).stdout).toContain('Material counts 40 instead of');
  expect(first()).toBe('1');
  const { attributes } = JSON.parse(shelf('attributes', '--json', '--data', data).stdout);
  expect(attributes.find(({ key }: { key: string }) => key === 'material')).toMatchObject({
    weight: 40,
    searchable: true,
    coverage: 0.5,
  });
});

test('a file of any shape in, with a mapping of one’s own, and out again', () => {
  const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-shape-'));
  const file = join(folder, 'katalog.csv');
  writeFileSync(file, 'Artikelnr;Bezeichnung;Preis;Gewicht\nA-1;Block rau;4,50;300\nA-2;Block glatt;5;300 gsm\n');
  const mapping = join(folder, 'mapping.json');
  const proposed = shelf('import', file, '--propose-mapping', mapping, '--data', folder);
  expect(proposed.stdout).toContain('nothing was brought in');
  const json = JSON.parse(readFileSync(mapping, 'utf8'));
  expect(json.columns.map(({ as }: { as: string }) => as)).toEqual(['sku', 'title', 'price', 'attribute']);
  json.columns[3].pattern = '{value} gsm';
  writeFileSync(mapping, JSON.stringify(json));
  expect(shelf('import', file, '--mapping', mapping, '--data', folder).stdout).toContain('2 records of 2 products');
  const found = JSON.parse(shelf('search', '300 gsm', '--json', '--data', folder).stdout);
  expect(found.total).toBe(2);
  // The mapping is kept: the next file of this shape needs none. What it does not have stays with --update.
  writeFileSync(file, 'Artikelnr;Bezeichnung;Preis;Gewicht\nA-2;Block glatt;6;300\nA-3;Rolle;9;640\n');
  expect(shelf('import', file, '--update', '--data', folder).stdout).toContain(
    '1 added, 1 changed, 1 unchanged, 0 not in the file',
  );
  const out = join(folder, 'out.jsonl');
  expect(shelf('export', out, '--data', folder).stdout).toContain('3 records of 3 products');
  expect(readFileSync(out, 'utf8')).toContain('"gewicht":"640 gsm"');
  expect(shelf('export', join(folder, 'out.txt'), '--data', folder)).toMatchObject({ status: 2 });
  const log = join(folder, 'log.jsonl');
  writeFileSync(log, '{"time":"2026-10-01T10:00:00Z","session":"s","search":"block","results":2}\noops\n');
  expect(shelf('log', log, '--data', folder).stdout).toContain('1 searches are in; 1 lines were refused.');
  rmSync(folder, { recursive: true, force: true });
});

test('errors say what is wrong: 2 for a command not understood, 1 for one that cannot be done', () => {
  const cases: [string[], number, string][] = [
    [['serch', 'x'], 2, 'Did you mean “search”?'],
    [['search', 'x', '--limt', '3'], 2, 'Did you mean “--limit”?'],
    [['search', 'x', '--limit', '0'], 2, 'limit'],
    [['search', 'x', '--weight', '3'], 2, 'has no option --weight'],
    [['attribute', 'set', 'material', '--weight', 'heavy'], 2, 'a number from 0 to 100'],
    [['attribute', 'set', 'materal', '--weight', '3'], 1, 'Did you mean “material”?'],
    [['import', '/nowhere/at/all.csv'], 1, 'There is no file'],
  ];
  for (const [args, status, message] of cases) {
    const outcome = shelf(...args, '--data', data);
    expect({ args, status: outcome.status, stderr: outcome.stderr }).toMatchObject({ args, status });
    expect(outcome.stderr).toContain(message);
    expect(outcome.stdout).toBe('');
  }
  const empty = mkdtempSync(join(tmpdir(), 'clever-shelf-empty-'));
  expect(shelf('search', 'x', '--data', empty)).toMatchObject({ status: 1 });
  rmSync(empty, { recursive: true, force: true });
});

test('starting says in one sentence what is wrong', () => {
  const start = (...args: string[]) =>
    spawnSync(process.execPath, ['scripts/start.mjs', ...args], { cwd: root, encoding: 'utf8', timeout: 30_000 });
  const second = start('--port', process.env.SHELF_E2E_SHOP_PORT!, '--data', data);
  expect(second.status).toBe(1);
  expect(second.stderr).toContain(`Port ${process.env.SHELF_E2E_SHOP_PORT} is taken by another program.`);
  writeFileSync(join(data, 'file'), '');
  const unwritable = start('--port', '0', '--data', join(data, 'file'));
  expect(unwritable.status).toBe(1);
  expect(unwritable.stderr).toContain('cannot be written');
  expect(start('--prot', '1').stderr).toContain('--help');
  expect(start('--help').stdout).toContain('--fresh');
});

test('judge says how right judged searches are, and names a wrong line', () => {
  const folder = process.env.SHELF_E2E_SHOP_DATA!;
  const [first] = JSON.parse(shelf('search', 'ultramarine', '--json', '--limit', '1', '--data', folder).stdout).results;
  const file = join(data, 'judged.jsonl');
  const line = (query: string, relevant: Record<string, number>) => JSON.stringify({ query, relevant });
  // By the variant's id and by the product's: both name the product.
  writeFileSync(
    file,
    [line('ultramarine', { [first.id]: 2 }), line('ultramarine', { [first.familyId]: 1, gone: 1 })].join('\n'),
  );
  const judged = shelf('judge', file, '--json', '--data', folder);
  expect(judged.status).toBe(0);
  const { ndcg10, mrr, recall10, queries } = JSON.parse(judged.stdout);
  expect([mrr, recall10, queries.length]).toEqual([1, 0.75, 2]);
  expect(ndcg10).toBeCloseTo((1 + 1 / (1 + 1 / Math.log2(3))) / 2, 10);
  expect(judged.stderr).toContain('gone');
  expect(shelf('judge', file, '--data', folder).stdout).toMatch(/nDCG@10 +0\.8/);
  writeFileSync(file, `${line('a', { b: 1 })}\n{"query": "x"}\n`);
  const wrong = shelf('judge', file, '--data', folder);
  expect(wrong).toMatchObject({ status: 1 });
  expect(wrong.stderr).toContain('Line 2');
  expect(shelf('judge', '--data', folder)).toMatchObject({ status: 2 });
});

test('how a file would be read is told with reasons and changes nothing; a reader that has enough ends it quietly', () => {
  const file = join(data, 'nameless.csv');
  const things = ['Round brush', 'Drawing ink', 'Linen canvas', 'Table easel', 'Soft pastel'];
  const kinds = ['fine', 'wide', 'pale', 'deep', 'old', 'new', 'travel', 'studio'];
  const rows = kinds.flatMap((kind, at) =>
    things.map((thing, place) => `G${(at + place) % 3},${thing} of the ${kind} kind`),
  );
  writeFileSync(file, `group,title\n${rows.join('\n')}\n`);
  const nowhere = join(data, 'not-there');
  const report = shelf('import', file, '--report', '--data', nowhere);
  expect(report).toMatchObject({ status: 0, stderr: '' });
  expect(report.stdout).toMatch(/title +title +\d+% +its name says so and its values fit/);
  expect(report.stdout).toContain('The file has no id: each row gets one from title.');
  const { mapping } = JSON.parse(shelf('import', file, '--report', '--json', '--data', nowhere).stdout);
  expect(mapping).toMatchObject({ families: { by: 'none' }, identity: ['title'] });
  expect(existsSync(nowhere)).toBe(false);
  const judged = join(data, 'judged.jsonl');
  writeFileSync(judged, `${JSON.stringify({ query: 'a', relevant: { b: 1 } })}\n`);
  expect(shelf('judge', judged, '--data', nowhere)).toMatchObject({ status: 1 });
  expect(existsSync(nowhere)).toBe(false);
  const piped = spawnSync('sh', ['-c', `"${process.execPath}" scripts/shelf.mjs help | head -1`], {
    cwd: root,
    encoding: 'utf8',
  });
  expect(piped).toMatchObject({ status: 0, stderr: '' });
});
