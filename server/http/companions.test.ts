import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { AnswerOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import { mostBeside } from '../../api/limits.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

const catalog = `id,family,title,category,price,stock,hidden
red-5,red,Cadmium red watercolour,Paint > Watercolour,3,4,
red-15,red,Cadmium red watercolour,Paint > Watercolour,5,4,
blue,blue,Ultramarine watercolour,Paint > Watercolour,3,4,
paper,paper,Watercolour paper,Paper > Sheets,9,4,
pad,pad,Watercolour pad,Paper > Pads,9,0,
brush,brush,Brush for watercolour,Brushes,6,4,
ink,ink,Black ink,Ink,6,4,
gone,gone,Secret watercolour block,Paper > Blocks,6,4,yes
`;
type Companions = AnswerOf<(typeof endpoints)['companions']>;
type Beside = AnswerOf<(typeof endpoints)['shopBeside']>;
let shelf: TestShelf;
const edit = (part: string, key: string, value: unknown): void =>
  void shelf.setups.edit([{ part, key, value } as never], shelf.setups.revision(), 'Ann', 1);
const beside = async (side: 'shop' | 'desk', query: string): Promise<Beside> =>
  (await shelf.get(`/${side}/beside?${query}`)).body as Beside;
const titles = (cards: readonly { readonly title: string }[]): string[] => cards.map(({ title }) => title);

beforeAll(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(catalog);
});
afterAll(() => shelf.remove());

test('a product’s page has what goes with it and what stands in for it', async () => {
  const { body } = await shelf.get('/shop/product?id=red');
  const { companions, alternatives } = body as AnswerOf<(typeof endpoints)['shopProduct']>;
  expect(titles(companions).sort()).toEqual(['Brush for watercolour', 'Watercolour paper']);
  expect(titles(alternatives)).toEqual(['Ultramarine watercolour']);
});

test('what is chosen by hand is the draft’s until it is published; the desk says why each is there and why not', async () => {
  edit('companions', 'red', { companions: ['ink', 'pad'], alternatives: [], never: ['brush'] });
  const { body } = await shelf.get('/desk/companions?product=red');
  const { kind, companions } = body as Companions;
  expect(kind).toBe('Watercolour');
  expect(companions.shown.map(({ card, why }) => [card.title, why.is])).toEqual([
    ['Black ink', 'byHand'],
    ['Watercolour paper', 'catalog'],
  ]);
  expect(companions.notShown).toEqual([{ product: 'pad', why: 'soldOut' }]);
  expect(titles((await beside('desk', 'of=red-5&at=basket')).companions)).toEqual(['Black ink', 'Watercolour paper']);
  expect(titles((await beside('shop', 'of=red-5&at=basket')).companions)).not.toContain('Black ink');
});

test('a basket is told by what there is now: variants, products, and neither what left nor what the file hides', async () => {
  const { things, currency } = await beside('shop', 'of=red-15&of=pad&of=gone&of=constructor&at=basket');
  expect(things.map(({ id, product, title, price, available }) => [id, product, title, price, available])).toEqual([
    ['red-15', 'red', 'Cadmium red watercolour', 5, true],
    ['pad', 'pad', 'Watercolour pad', 9, false],
  ]);
  expect(currency).toBe('GBP');
  expect(await beside('shop', 'of=constructor&at=emptyShelf')).toMatchObject({ things: [], companions: [] });
});

test('where none are to show, none are; too many things at once are refused', async () => {
  edit('companionShelves', 'shown', {
    ...{ pageCompanions: 0, pageAlternatives: 0, basket: 0, emptyShelf: 1 },
    ...{ fromLog: true, fromCatalog: true },
  });
  expect((await beside('desk', 'of=red-5&at=basket')).companions).toEqual([]);
  expect((await beside('desk', 'of=red-5&at=emptyShelf')).companions).toHaveLength(1);
  expect((await shelf.get('/desk/shop-product?id=red')).body).toMatchObject({ companions: [], alternatives: [] });
  const tooMany = Array.from({ length: mostBeside + 1 }, (_, at) => `of=p${at}`).join('&');
  expect(await shelf.get(`/shop/beside?${tooMany}&at=basket`)).toMatchObject({ status: 400 });
  expect(await shelf.get('/desk/companions?product=nobody')).toMatchObject({ status: 404 });
});

test('shoppers who take things together make them companions, once the log has been counted', async () => {
  const own = openTestShelf();
  try {
    await own.bringIn(catalog);
    const line = (session: number, product: string, search: string): string =>
      JSON.stringify({
        ...{ time: `2026-10-01T10:0${search.length % 10}:00Z`, session: `s${session}`, search, results: 3 },
        ...{ clicks: [{ product, place: 1 }], baskets: [product] },
      });
    const log = Array.from({ length: 60 }, (_, at) =>
      at < 20
        ? [line(at, 'red', 'red'), line(at, 'ink', 'inks')]
        : [line(at, 'paper', 'paper'), line(at, at % 2 ? 'brush' : 'blue', 'others')],
    ).flat();
    await own.request('/desk/demand/log?name=log.jsonl', { method: 'POST', body: `${log.join('\n')}\n` });
    const { body } = await own.get('/desk/companions?product=red');
    const { companions, visits } = body as Companions;
    expect(visits).toBe(60);
    expect(companions.shown[0]).toMatchObject({
      card: { title: 'Black ink' },
      why: { is: 'together', both: 20, of: 20 },
    });
    expect((await own.get('/shop/product?id=red')).body).toMatchObject({
      companions: [{ title: 'Black ink' }, {}, {}],
    });
  } finally {
    own.remove();
  }
});

test('a file of companions is shown before it is brought in; a row that names no product is refused', async () => {
  const text = 'key,companions,alternatives,never\nblue,paper | brush,,ink\n,paper,,\nred,red | red,,\n';
  const sent = await shelf.request('/desk/rules/read', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ part: 'companions', text }),
  });
  const { changes, refused } = (await sent.json()) as AnswerOf<(typeof endpoints)['readRules']>;
  expect(changes).toEqual([
    {
      ...{ key: 'blue', isNew: true },
      value: { companions: ['paper', 'brush'], alternatives: [], never: ['ink'] },
      sentences: [
        'The companions of “Ultramarine watercolour” have “Watercolour paper”, “Brush for watercolour” chosen by hand',
        'Never shown beside “Ultramarine watercolour”: “Black ink”',
      ],
    },
  ]);
  expect(refused.map(({ line }) => line)).toEqual([3, 4]);
});
