import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { z } from 'zod';
import type { proposalEndpoints } from '../../api/proposalEndpoints.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

type Proposals = z.infer<(typeof proposalEndpoints)['proposals']['answer']>;
/** Asks until all are worked out, as the desk does. */
const proposals = async (): Promise<Proposals> => {
  const answer = (await shelf.get('/desk/proposals')).body as Proposals;
  if (answer.isComplete) return answer;
  await new Promise(setImmediate);
  return proposals();
};
/** Another shop's catalog, of which the setup knows nothing. */
const foreign =
  'id,title,brand,hair,price\n1,Round,Osier,Sable,3\n2,Flat,Osier,Hog,4\n3,Mop,Osier,Goat,5\n4,Fan,Osier,Hog,6\n';
const ask = (search: string) => shelf.post('/shop/log/search', { session: 's', search, results: 0 });

test('after an import only what is new in it is proposed, with its effect on what shoppers ask', async () => {
  expect((await proposals()).proposals.map(({ id }) => id)).toEqual(['filter:tags']);
  await shelf.bringIn(foreign);
  await ask('sable');
  await ask('round');
  const { proposals: list } = await proposals();
  expect(list.map(({ id }) => id)).toEqual(['attribute:hair', 'filter:hair']);
  expect(list[0]).toMatchObject({
    title: expect.stringContaining('Search Hair'),
    effect: { looked: 2, changed: 1, rescued: ['sable'] },
    withheld: null,
  });
});

test('accepted, it is in the draft in one step; declined, it is not made again until asked for', async () => {
  await shelf.bringIn(foreign);
  await ask('sable');
  const accepted = await shelf.post('/desk/proposals/accept', {
    revision: shelf.setups.revision(),
    ids: ['attribute:hair', 'filter:hair'],
  });
  expect(accepted.status).toBe(200);
  expect(shelf.setups.draft().attributes.hair).toMatchObject({ searchable: true });
  expect((await proposals()).proposals).toEqual([]);
  shelf.setups.undo(shelf.setups.revision(), 'Merchandiser', 1);
  expect(shelf.setups.draft().attributes).not.toHaveProperty('hair');
  expect(shelf.setups.draft().filters).not.toHaveProperty('hair');
  await shelf.post('/desk/proposals/decline', { id: 'filter:hair' });
  expect(await proposals()).toMatchObject({ declined: 1, proposals: [{ id: 'attribute:hair' }] });
  await shelf.post('/desk/proposals/decline', { id: null });
  expect((await proposals()).proposals).toHaveLength(2);
});

test('one that is decided in the meantime is refused, nothing is changed', async () => {
  await shelf.bringIn(foreign);
  const answer = await shelf.post('/desk/proposals/accept', {
    revision: shelf.setups.revision(),
    ids: ['attribute:title'],
  });
  expect(answer.status).toBe(409);
});

test('what would change none of the searches asked most is held back and says so', async () => {
  await shelf.bringIn(foreign);
  await ask('round');
  const held = (await proposals()).proposals.find(({ id }) => id === 'attribute:hair')!;
  expect(held.withheld).toContain('none of the 1');
});

test('words shoppers use and the catalog does not are explained by the dictionary, with the products they would find', async () => {
  const pens = ['Reed', 'Dip', 'Fountain', 'Brush', 'Gel'].map(
    (kind, at) => `p${at},${kind} pen,Osier,Steel,${at + 1}`,
  );
  await shelf.bringIn(`id,title,brand,hair,price\n${pens.join('\n')}\n`);
  await ask('biro');
  await ask('blue biro');
  await ask('kiln');
  const { proposals: list } = await proposals();
  const found = list.find(({ id }) => id.startsWith('meaning:'))!;
  expect(found).toMatchObject({
    title: '“biro” finds “pen”',
    withheld: null,
    effect: { rescued: ['biro', 'blue biro'] },
  });
  expect(list.some(({ title }) => title.includes('kiln'))).toBe(false);
});

test('a short form that a supplier uses is proposed with the word it stands for, and what shoppers would find by it', async () => {
  const papers = ['Cotton', 'Linen', 'Bamboo', 'Kozo', 'Hemp', 'Mulberry'];
  const rest = Array.from('bcdfghjklmnpqrstvw', (letter) => `${letter}ondle ${letter}umber varnish`);
  const titles = [
    ...papers.map((paper) => `${paper} watercolour block`),
    ...papers.slice(2).map((paper) => `${paper} wtrclr block`),
    ...rest.flatMap((first) => rest.slice(0, 6).map((second) => `${first} with ${second}`)),
  ];
  await shelf.bringIn(`id,title,price\n${titles.map((title, at) => `p${at},${title},3`).join('\n')}\n`);
  await ask('watercolour block');
  await ask('varnish');
  const found = (await proposals()).proposals.find(({ id }) => id.startsWith('alike:'))!;
  expect(found).toMatchObject({ title: '“wtrclr”, “watercolour” are synonyms', withheld: null });
  expect(found.effect).toMatchObject({ changed: 1, examples: ['watercolour block'] });
  expect(found.effect.foundAfter - found.effect.foundBefore).toBe(4);
  await shelf.post('/desk/proposals/accept', { revision: shelf.setups.revision(), ids: [found.id] });
  const { body } = await shelf.get('/desk/search?q=watercolour%20block');
  expect((body as { total: number }).total).toBe(10);
});
