import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import type { FetchedPicture } from './fetchPicture.ts';
import { type KeptPicture, openPictureCache } from './pictureCache.ts';
import { openPictureDesk } from './pictureDesk.ts';

const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-pictures-'));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const shrink = async <Picture>(picture: Picture): Promise<Picture> => picture;
const picture = (bytes: number): FetchedPicture => ({ bytes: Buffer.alloc(bytes, 7), type: 'image/webp' });

test('a picture is fetched once, however many ask, and comes from the disk after a restart', async () => {
  const asked: string[] = [];
  const open = () =>
    openPictureDesk({
      shrink,
      cache: openPictureCache({ folder, now: () => Date.now() }),
      fetch: async (address) => {
        asked.push(address);
        return picture(10);
      },
      now: () => 1,
    });
  const desk = open();
  const answers = await Promise.all([1, 2, 3].map(() => desk.picture('https://img.example/a')));
  expect(answers.every((answer) => 'bytes' in answer && answer.bytes.length === 10)).toBe(true);
  expect(await open().picture('https://img.example/a')).toMatchObject({ type: 'image/webp' });
  expect(asked).toEqual(['https://img.example/a']);
});

test('the disk holds so much and no more: what was asked for longest ago goes first', async () => {
  let clock = Date.now();
  const cache = openPictureCache({ folder, now: () => clock, limits: { bytes: 250, milliseconds: 1000 } });
  for (const name of ['a', 'b']) await cache.keep(name, picture(100) as never);
  expect(await cache.find('a')).not.toBeNull();
  await cache.keep('c', picture(100) as never);
  expect(await cache.find('b')).toBeNull();
  expect(await cache.find('a')).not.toBeNull();
  expect(readdirSync(folder)).toHaveLength(2);
  clock += 2000;
  expect(await cache.find('a')).toBeNull();
});

test('where nothing can be written, pictures are fetched all the same', async () => {
  writeFileSync(folder, 'a file where the folder should be');
  const desk = openPictureDesk({
    shrink,
    cache: openPictureCache({ folder, now: () => 1 }),
    fetch: async () => picture(10),
    now: () => 1,
  });
  expect(await desk.picture('https://img.example/a')).toMatchObject({ type: 'image/webp' });
});

test('one that fails is tried again later, is told of, and counts no more once it is there', async () => {
  let clock = 0;
  let isThere = false;
  let asked = 0;
  const desk = openPictureDesk({
    shrink,
    cache: openPictureCache({ folder, now: () => clock }),
    fetch: async () => {
      asked++;
      return isThere ? picture(10) : { problem: 'no-connection' };
    },
    now: () => clock,
  });
  for (const name of ['a', 'a', 'b']) await desk.picture(`https://img.example/${name}`);
  expect(asked).toBe(2);
  expect(desk.tally()).toEqual({
    fetched: 0,
    failed: 2,
    hosts: [{ host: 'img.example', failed: 2, problem: 'no-connection' }],
  });
  isThere = true;
  clock += 3_600_000;
  for (const name of ['a', 'b']) await desk.picture(`https://img.example/${name}`);
  expect(desk.tally()).toMatchObject({ fetched: 2, failed: 0, hosts: [] });
});

test('over HTTP only what the catalog names is fetched, and the catalog says what could not be', async () => {
  const asked: string[] = [];
  const shelf: TestShelf = openTestShelf({
    fetchPicture: async (address) => {
      asked.push(address);
      return address.endsWith('good.png') ? picture(10) : { problem: 'no-connection' };
    },
  });
  const far = (name: string): string => `https://img.example/${name}.png`;
  const [head, ...rows] = smallCatalog.trim().split('\n');
  const pictures = [far('good'), far('good'), far('bad'), '/pictures/own.svg'];
  await shelf.bringIn([`${head},picture`, ...rows.map((row, at) => `${row},${pictures[at]}`)].join('\n'));
  const { results } = (await shelf.get('/shop/search?q=')).body as { results: { familyId: string; picture: string }[] };
  const of = (family: string): string => results.find(({ familyId }) => familyId === family)!.picture;
  const good = await shelf.request(of('a'));
  expect([good.status, good.headers.get('content-type')]).toEqual([200, 'image/webp']);
  expect(good.headers.get('content-security-policy')).toContain("default-src 'none'");
  expect(await shelf.get(of('b'))).toMatchObject({ status: 404, body: { error: { code: 'no-connection' } } });
  expect(of('c')).toBe('/pictures/own.svg');
  for (const made of ['/pictures/of/a1?mark=x', '/pictures/of/nobody?mark=x', `${of('a')}x`])
    expect((await shelf.get(made)).status).toBe(404);
  expect(asked).toEqual([far('good'), far('bad')]);
  // What the setup and imported articles name is fetched too, and nothing besides.
  const named = (name: string, value: object) => ({ part: 'content', key: `collection:${name}`, value });
  const collection = { what: 'collection', id: 'fine', title: 'Brush', products: ['a'], picture: far('made/good') };
  const plan = { name: 'P', on: true, searches: ['brush'], pins: [], pulls: [] };
  const banners = [{ where: 'above', place: 1, text: 'Look', picture: far('banner/good') }];
  await shelf.post('/desk/edits', {
    revision: 1,
    edits: [named('fine', collection), { part: 'plans', key: 'secret', value: { ...plan, banners } }],
  });
  const found = (await shelf.get('/desk/search?q=brush')).body as {
    collections: { picture: string }[];
    banners: { picture: string }[];
  };
  const [ofCollection, ofBanner] = [found.collections[0]!.picture, found.banners[0]!.picture];
  expect(ofBanner).not.toContain('secret');
  for (const address of [ofCollection, ofBanner]) expect((await shelf.request(address)).status).toBe(200);
  for (const made of [
    `${ofCollection}x`,
    '/pictures/named/collection:nobody?mark=x',
    '/pictures/named/constructor?mark=x',
  ])
    expect((await shelf.get(made)).status).toBe(404);
  expect(asked.slice(2)).toEqual([far('made/good'), far('banner/good')]);
  expect((await shelf.get('/desk/catalog')).body).toMatchObject({
    pictures: { fetched: 3, failed: 1, hosts: [{ host: 'img.example', failed: 1 }] },
  });
  shelf.remove();
});

test('a picture is made smaller once for a width, however many ask, and comes from the disk after that', async () => {
  const made: number[] = [];
  const open = () =>
    openPictureDesk({
      cache: openPictureCache({ folder, now: () => Date.now() }),
      fetch: async () => picture(10),
      shrink: async ({ type }, width) => {
        made.push(width);
        return { bytes: Buffer.alloc(width / 100), type };
      },
      now: () => 1,
    });
  const whole = { bytes: Buffer.alloc(90), type: 'image/webp' };
  const desk = open();
  const answers = await Promise.all([320, 320, 640].map((width) => desk.smaller('a', whole, width)));
  expect(answers.map(({ bytes }) => bytes.length)).toEqual([3, 3, 6]);
  expect((await open().smaller('a', whole, 640)).bytes).toHaveLength(6);
  expect(made).toEqual([320, 640]);
});

test('hosts that never answer hold up no picture that is made smaller', async () => {
  const desk = openPictureDesk({
    shrink: async ({ type }) => ({ bytes: Buffer.alloc(5), type }),
    cache: openPictureCache({ folder, now: () => Date.now() }),
    fetch: () => new Promise(() => undefined),
    now: () => 1,
  });
  for (let at = 0; at < 40; at++) void desk.picture(`https://slow.example/${at}`);
  const small = await Promise.all(
    Array.from({ length: 9 }, (_, at) => desk.smaller(`own ${at}`, picture(10) as KeptPicture, 320)),
  );
  expect(small.map(({ bytes }) => bytes.length)).toEqual(Array(9).fill(5));
});

test('a second picture of a product is fetched too, and any of them as wide as it is asked for', async () => {
  const wide = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#aa5533' } })
    .png({ compressionLevel: 0 })
    .toBuffer();
  const shelf = openTestShelf({ fetchPicture: async () => ({ bytes: wide, type: 'image/png' }) });
  const rows = ['id,title,price,picture', 'a,Brush,3,//img.example/a.png|//img.example/b.png'];
  await shelf.bringIn(rows.join('\n'));
  const { pictures } = (await shelf.get('/shop/product?id=a')).body as { pictures: string[] };
  expect(pictures).toHaveLength(2);
  const widthOf = async (address: string) =>
    (await sharp(Buffer.from(await (await shelf.request(address)).arrayBuffer())).metadata()).width;
  expect(await widthOf(pictures[1]!)).toBe(900);
  expect(await widthOf(`${pictures[1]}&width=320`)).toBe(320);
  // Only widths that there are: nobody fills the disk with others.
  expect(await widthOf(`${pictures[1]}&width=321`)).toBe(900);
});
