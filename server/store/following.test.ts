import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { type DraftRef, liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

const main: DraftRef = { storefront: 'main', draft: 'main' };
const north: DraftRef = { storefront: 'north', draft: 'main' };
const south: DraftRef = { storefront: 'south', draft: 'main' };
let shelf: TestShelf;
let clock = 20_000_000;

beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  for (const name of ['North', 'South'])
    await shelf.writer.makeStorefront(
      {
        ...{ name, shop: { name, currency: 'EUR' }, language: null },
        from: { storefront: 'main', catalog: 'copy', follow: false },
      },
      'Ada',
      now(),
    );
});
afterEach(() => shelf.remove());

const now = () => (clock += 10_000);
const draft = (ref: DraftRef) => shelf.at(ref.storefront).setups(ref.draft);
const live = (ref: DraftRef) => shelf.at(ref.storefront).releases.live()!;
const edit = (ref: DraftRef, part: string, key: string, value: unknown) =>
  shelf.writer.edit(ref, [{ part: part as 'plans', key, value }], draft(ref).revision(), 'Ada', now());
const follow = (ref: DraftRef, part: string, storefront: string | null = 'main') =>
  edit(ref, 'following', part, storefront && { storefront });
const publish = (ref: DraftRef, heldBack: string[] = []) =>
  shelf.writer.publish(ref, draft(ref).revision(), 'Ada', '', now(), heldBack);
const rule = (product: string) => ({ what: 'product', product });
const hidden = (setup: { hiding: object }) => Object.keys(setup.hiding);
const follows = async (ref: DraftRef, part: string) => {
  await follow(ref, part);
  await publish(ref);
};

test('a draft that follows shows what is live there, and publishing it makes that live here', async () => {
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await edit(north, 'hiding', 'own', rule('c'));
  await follow(north, 'hiding');
  expect(hidden(draft(north).draft())).toEqual(['a']);
  await publish(north);
  expect(hidden(live(north).setup)).toEqual(['a']);
  // Its own is not lost: without following it stands there again.
  await follow(north, 'hiding', null);
  expect(hidden(draft(north).draft())).toEqual(['own']);
});

test('publishing reaches those who follow, by a release of each, and leaves their other parts as they are', async () => {
  await follows(north, 'hiding');
  await edit(north, 'relevance', 'closeCall', { width: 9 });
  await edit(main, 'hiding', 'a', rule('a'));
  await edit(main, 'relevance', 'closeCall', { width: 7 });
  expect(shelf.followers.reach('main', draft(main).draft())).toEqual([{ storefront: 'north', parts: ['hiding'] }]);
  const before = live(north).number;
  expect(await publish(main)).toMatchObject({ reached: ['north'] });
  expect(live(north).number).toBe(before + 1);
  expect(hidden(live(north).setup)).toEqual(['a']);
  expect(live(north).setup.relevance.closeCall.width).toBe(3);
  expect(hidden(live(south).setup)).toEqual([]);
  // The draft there is up to it, and holds just what was changed in it.
  expect(draft(north).isBehind()).toBe(false);
  expect(
    draft(north)
      .changes()
      .map(({ part }) => part),
  ).toEqual(['relevance']);
});

test('one that is held back keeps its copy, is named again the next time, and catches up when it publishes', async () => {
  await follows(north, 'hiding');
  await edit(main, 'hiding', 'a', rule('a'));
  expect(await publish(main, ['north'])).toMatchObject({ reached: [] });
  expect(hidden(live(north).setup)).toEqual([]);
  expect(hidden(draft(north).draft())).toEqual(['a']);
  expect(draft(north).changes()).toMatchObject([{ part: 'hiding', key: 'a' }]);
  expect(shelf.followers.reach('main', draft(main).draft())).toHaveLength(1);
  await publish(north);
  expect(hidden(live(north).setup)).toEqual(['a']);
});

test('an entry of one’s own in a followed part is refused, and taken once the part is one’s own', async () => {
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await follows(north, 'hiding');
  expect(await edit(north, 'hiding', 'b', rule('b'))).toMatchObject({
    refusal: { code: 'followed', follows: 'hiding', storefront: 'main' },
  });
  await shelf.writer.ownPart(north, 'hiding', draft(north).revision(), 'Ada', now());
  expect(hidden(draft(north).draft())).toEqual(['a']);
  expect(await edit(north, 'hiding', 'b', rule('b'))).toHaveProperty('revision');
  await publish(north);
  await edit(main, 'hiding', 'c', rule('c'));
  await publish(main);
  expect(hidden(live(north).setup).sort()).toEqual(['a', 'b']);
});

test('making a part one’s own is one step, and undoing it follows again', async () => {
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await follows(north, 'hiding');
  await shelf.writer.ownPart(north, 'hiding', draft(north).revision(), 'Ada', now());
  await shelf.writer.undo(north, draft(north).revision(), 'Ada', now());
  expect(draft(north).draft().following).toEqual({ hiding: { storefront: 'main' } });
  expect(draft(north).changes()).toEqual([]);
});

test('a draft in which the part is its own already is not moved along: it is brought up to date by a merge', async () => {
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await follows(north, 'hiding');
  await shelf.writer.ownPart(north, 'hiding', draft(north).revision(), 'Ada', now());
  await edit(north, 'hiding', 'b', rule('b'));
  await edit(main, 'hiding', 'c', rule('c'));
  await publish(main);
  expect(draft(north).isBehind()).toBe(true);
  const merged = await shelf.writer.mergeInto(north, liveOf('north'), [], draft(north).revision(), 'Ada', now());
  expect(merged).toHaveProperty('revision');
  expect(draft(north).draft().following).toEqual({});
  expect(hidden(draft(north).draft()).sort()).toEqual(['a', 'b', 'c']);
});

test('taking a part over that another draft made its own brings all of it', async () => {
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await follows(north, 'hiding');
  const winter: DraftRef = { storefront: 'north', draft: 'winter' };
  await shelf.writer.beginDraft('north', { name: 'Winter', note: '', from: liveOf('north') }, 'Ada', now());
  await shelf.writer.ownPart(winter, 'hiding', draft(winter).revision(), 'Ada', now());
  await edit(winter, 'hiding', 'b', rule('b'));
  await shelf.writer.mergeInto(north, winter, [], draft(north).revision(), 'Ada', now());
  expect(hidden(draft(north).draft()).sort()).toEqual(['a', 'b']);
  expect(draft(north).draft().following).toEqual({});
});

test('nobody follows itself, nobody follows through another, and no two follow each other', async () => {
  expect(await follow(main, 'hiding', 'main')).toMatchObject({ refusal: { code: 'invalid-entry' } });
  expect(await follow(main, 'hiding', 'nowhere')).toMatchObject({ refusal: { code: 'invalid-entry' } });
  await follows(north, 'hiding');
  expect(await follow(south, 'hiding', 'north')).toMatchObject({ refusal: { code: 'invalid-entry' } });
  expect(await follow(main, 'hiding', 'north')).toMatchObject({ refusal: { code: 'invalid-entry' } });
  await follow(main, 'hiding', 'south');
  expect(await publish(main)).toMatchObject({ refusal: { code: 'is-followed', storefront: 'north' } });
  // Another part is another matter.
  await follow(main, 'hiding', null);
  await follow(main, 'plans', 'north');
  expect(await publish(main)).toHaveProperty('revision');
});

test('an earlier release made live again reaches those who follow too', async () => {
  await follows(north, 'hiding');
  await edit(main, 'hiding', 'a', rule('a'));
  await publish(main);
  await shelf.writer.publishAgain(main, 1, 'Ada', now());
  expect(hidden(live(north).setup)).toEqual([]);
});

test('a storefront that others follow stays', async () => {
  await follows(north, 'hiding');
  await expect(shelf.writer.removeStorefront('main')).rejects.toMatchObject({ problem: { code: 'is-followed' } });
  await follow(north, 'hiding', null);
  await publish(north);
  await shelf.writer.removeStorefront('main');
});
