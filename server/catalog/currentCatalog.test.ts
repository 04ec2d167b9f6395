import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { seededRandom } from '../../core/base/random.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { snapshotBuilder } from '../../core/index/buildSnapshot.ts';
import { openSnapshot } from '../../core/index/snapshot.ts';
import { decisionKey } from '../../core/rules/decisions.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import { laidAnew } from '../../core/testing/laidAnew.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { openCurrentCatalog } from './currentCatalog.ts';
import { acceptFacts } from './facts.ts';
import { importCatalog } from './importCatalog.ts';

let shelf: TestShelf;
let clock = 0;
function tick(): number {
  clock += 5000;
  return clock;
}
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const decide = (...decisions: Decision[]) => {
  const edits = decisions.map((decision) => ({
    part: 'products' as const,
    key: decisionKey(decision),
    value: decision,
  }));
  expect(shelf.setups.edit(edits, shelf.setups.revision(), 'Ada', tick())).toHaveProperty('revision');
};
const set = (
  product: string,
  attribute: string,
  value: Extract<Decision, { act: 'set' }>['value'],
  variant: string | null = null,
) => ({ act: 'set', product, variant, attribute, value }) as Decision;
const found = async (query: string, from = 'draft:main'): Promise<SearchAnswer> => {
  const { body } = await shelf.get(`/desk/search?q=${encodeURIComponent(query)}&from=${from}&explain=1`);
  return body as SearchAnswer;
};
const titles = async (query: string, from = 'draft:main') =>
  (await found(query, from)).results.map(({ title }) => title);

describe('what is decided about a product', () => {
  test('shows in the draft at once, reaches shoppers with publishing, and is taken back with undo', async () => {
    decide(set('c', 'title', 'Teal ink'));
    expect(await titles('teal')).toEqual(['Teal ink']);
    expect(await titles('teal', 'release:live')).toEqual([]);
    expect(await titles('blue ink', 'release:live')).toEqual(['Blue ink']);
    shelf.setups.publish(shelf.setups.revision(), 'Ada', '', tick());
    expect(await titles('teal', 'release:live')).toEqual(['Teal ink']);
    decide(set('c', 'title', 'Plum ink'));
    expect(await titles('plum')).toEqual(['Plum ink']);
    shelf.setups.undo(shelf.setups.revision(), 'Ada', tick());
    expect(await titles('plum')).toEqual([]);
    expect(await titles('teal')).toEqual(['Teal ink']);
  });

  test('outlives the next import, and the file’s value is there again when it is dropped', async () => {
    decide(set('c', 'title', 'Teal ink'));
    await shelf.bringIn(smallCatalog.replace('Blue ink', 'Azure ink'));
    expect(await titles('ink')).toEqual(['Teal ink']);
    const key = decisionKey(set('c', 'title', ''));
    shelf.setups.edit([{ part: 'products', key, value: null }], shelf.setups.revision(), 'Ada', 9);
    expect(await titles('ink')).toEqual(['Azure ink']);
  });

  test('tags come and go without the file’s other tags', async () => {
    decide({ act: 'tags', product: 'a', variant: null, attribute: 'tags', add: ['gift'], remove: ['sale'] });
    const { filters } = await found('brush');
    const { body } = await shelf.get('/desk/values?attribute=tags');
    expect((body as { values: { value: string }[] }).values.map(({ value }) => value).sort()).toEqual([
      'gift',
      'new',
      'sale',
    ]);
    expect(filters.length).toBeGreaterThan(0);
    expect(await titles('gift')).toEqual(['Round brush']);
  });

  test('a variant’s own price is its own; stock decides availability', async () => {
    decide(set('a', 'stock', 0), set('a', 'price', 9, 'a2'));
    const { results } = await found('round brush');
    expect(results[0]).toMatchObject({ available: false });
    const { body } = await shelf.get('/desk/search?q=round brush&f.colour=Blue');
    expect((body as SearchAnswer).results[0]).toMatchObject({ price: 9 });
  });

  test('a boost set here pulls, and stands among the reasons', async () => {
    const before = (await found('blue')).results.map(({ familyId }) => familyId);
    decide(set(before.at(-1)!, 'boost', 4));
    const { results } = await found('blue');
    expect(results[0]!.familyId).toBe(before.at(-1));
    expect(results[0]!.why).toMatchObject({ pulls: [{ from: 'boost', pull: 4 }], totalPull: 4 });
  });

  test('where the file is said to win, a decision only fills what it leaves empty', async () => {
    decide(set('c', 'title', 'Teal ink'));
    const setting = shelf.setups.draft().attributes.title!;
    shelf.setups.edit(
      [{ part: 'attributes', key: 'title', value: { ...setting, wins: 'file' } }],
      shelf.setups.revision(),
      'Ada',
      5,
    );
    expect(await titles('ink')).toEqual(['Blue ink']);
  });
});

describe('what a feed changes', () => {
  const apply = (...changes: Parameters<typeof acceptFacts>[2]) =>
    acceptFacts(shelf.folder, shelf.catalogs.generation(), changes);
  test('is in the next answer of shop and draft: cards, ranges, availability', async () => {
    expect((await found('flat')).results[0]).toMatchObject({ price: 6, available: true });
    expect(apply({ id: 'b1', price: 2.5, stock: 0 }, { id: 'nobody', price: 1 })).toEqual({
      changed: 1,
      unknown: ['nobody'],
    });
    for (const from of ['draft:main', 'release:live']) {
      const { results, filters } = await found('flat', from);
      expect(results[0]).toMatchObject({ price: 2.5, available: false });
      expect(filters.find(({ key }) => key === 'price')!.range).toMatchObject({ least: 2.5, most: 2.5 });
    }
  });

  test('does not undo what was decided, and is there when the decision is dropped', async () => {
    decide(set('b', 'price', 7));
    apply({ id: 'b1', price: 3 });
    expect((await found('flat')).results[0]).toMatchObject({ price: 7 });
    expect((await found('flat', 'release:live')).results[0]).toMatchObject({ price: 3 });
  });

  test('said twice changes nothing the second time', () => {
    expect(apply({ id: 'b1', price: 2 }).changed).toBe(1);
    expect(apply({ id: 'b1', price: 2 }).changed).toBe(0);
  });
});

describe('what a feed said outlives', () => {
  const apply = (price: number) => acceptFacts(shelf.folder, shelf.catalogs.generation(), [{ id: 'b1', price }]);
  const price = async () => (await found('flat', 'release:live')).results[0]!.price;
  const readAgain = async () =>
    importCatalog(
      {
        folder: shelf.folder,
        generation: await shelf.writer.reserveGeneration('main'),
        base: shelf.catalogs.comparable(),
        mode: 'replace',
        rows: { kind: 'again', mappings: {} },
      },
      () => {},
    );
  const put = (imported: Awaited<ReturnType<typeof readAgain>>) =>
    shelf.writer.putInForce('main', imported, 'again', tick());
  test('another reading of the rows, however often, and is no difference in it', async () => {
    apply(2);
    for (let turn = 0; turn < 2; turn++) {
      const imported = await readAgain();
      expect(imported.differences).toMatchObject({ changed: 0, unchanged: 4 });
      await put(imported);
      expect(await price()).toBe(2);
    }
  });
  test('a reading under way: what comes before it is put in force is newer', async () => {
    apply(2);
    const imported = await readAgain();
    apply(3);
    await put(imported);
    expect(await price()).toBe(3);
    expect(await titles('flat')).toEqual(['Flat brush']);
  });
  test('an update that says nothing of the record; one that does is newer', async () => {
    apply(2);
    await shelf.bringIn('id,family,sku,title\nz1,z,WU-9,Easel\n', 'update');
    expect(await price()).toBe(2);
    await shelf.bringIn('id,family,sku,title,brand,price\nb1,b,WU-2A,Flat brush,Osier,8\n', 'update');
    expect(await price()).toBe(8);
  });
});

test('a passing view shows what a setup decides and leaves the views that are kept as they were', () => {
  const current = openCurrentCatalog(shelf.catalogs.current()!);
  const kept = current.view(shelf.setups.draft());
  decide(set('c', 'title', 'Teal ink'));
  const passing = current.passingView(shelf.setups.draft());
  const titlesOf = ({ snapshot, record }: typeof passing): unknown[] =>
    Array.from({ length: snapshot.records }, (_, ordinal) => record(ordinal).values.title);
  expect(titlesOf(passing)).toContain('Teal ink');
  expect(titlesOf(kept)).toContain('Blue ink');
  expect(current.passingView(shelf.setups.draft()).snapshot).not.toBe(passing.snapshot);
  const view = current.view(shelf.setups.draft());
  expect(current.view(shelf.setups.draft()).snapshot).toBe(view.snapshot);
  expect(titlesOf(view)).toEqual(titlesOf(passing));
});

test('any mixture of feeds, edits, undo and publishing leaves the index a fresh build would give', async () => {
  const current = openCurrentCatalog(shelf.catalogs.current()!);
  for (let seed = 1; seed <= 25; seed++) {
    const random = seededRandom(seed);
    for (let turn = 0; turn < 4; turn++) {
      const product = ['a', 'b', 'c'][Math.floor(random() * 3)]!;
      const act = random();
      if (act < 0.3)
        acceptFacts(shelf.folder, shelf.catalogs.generation(), [
          { id: `${product}1`, price: Math.floor(random() * 50), stock: Math.floor(random() * 2) },
        ]);
      else if (act < 0.5) decide(set(product, 'title', `Word${Math.floor(random() * 40)} ${Math.floor(random() * 9)}`));
      else if (act < 0.7)
        decide({
          act: 'tags',
          product,
          variant: null,
          attribute: 'tags',
          add: [`t${Math.floor(random() * 5)}`],
          remove: ['new'],
        });
      else if (act < 0.85) shelf.setups.undo(shelf.setups.revision(), 'Ada', tick());
      else shelf.setups.publish(shelf.setups.revision(), 'Ada', '', tick());
    }
    for (const setup of [shelf.setups.draft(), shelf.setups.live()!.setup]) {
      const view = current.view(setup);
      const records: CatalogRecord[] = Array.from({ length: view.snapshot.records }, (_, ordinal) =>
        view.record(ordinal),
      );
      const builder = snapshotBuilder(view.snapshot.attributes);
      for (const record of records) builder.add(record);
      const fresh = openSnapshot(builder.finish())!;
      const { sections } = laidAnew(view.snapshot);
      for (const name of fresh.sections.names())
        expect([seed, name, Array.from(sections.array(name))]).toEqual([
          seed,
          name,
          Array.from(fresh.sections.array(name)),
        ]);
    }
  }
});
