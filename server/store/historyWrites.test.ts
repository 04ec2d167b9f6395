import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { type DraftRef, liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { openHistoryReader } from './historyReader.ts';
import { openSetups } from './setups.ts';

const aDay = 86_400_000;
const main: DraftRef = { storefront: 'main', draft: 'main' };
const winter: DraftRef = { storefront: 'main', draft: 'winter' };
let shelf: TestShelf;
let clock: number;
const now = () => (clock += 10_000);
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  clock = 100 * aDay;
});
afterEach(() => shelf.remove());

const draft = (ref: DraftRef) => shelf.at(ref.storefront).setups(ref.draft);
const edit = (ref: DraftRef, width: number, who = 'Ada') =>
  shelf.writer.edit(
    ref,
    [{ part: 'relevance', key: 'closeCall', value: { width } }],
    draft(ref).revision(),
    who,
    now(),
  );
const publish = (ref: DraftRef) => shelf.writer.publish(ref, draft(ref).revision(), 'Ada', '', now());
const steps = () =>
  openHistoryReader(shelf.db, 'main')
    .steps({}, 1000)
    .filter(({ kind }) => kind !== 'release').length;
/** Steps by somebody else, so many that one's own are no longer among the last. */
async function many(ref: DraftRef, count: number): Promise<void> {
  for (let at = 0; at < count; at++) await edit(ref, (at % 50) + 1);
}

test('for good is what holds until somebody says otherwise', async () => {
  await many(main, 5);
  await publish(main);
  expect(await shelf.writer.pruneHistory(clock + 5000 * aDay)).toBe(0);
  expect(steps()).toBe(5);
});

test('what is older goes, but for what undo takes back, the live release and open drafts need', async () => {
  await many(main, 150);
  await publish(main);
  await shelf.writer.keepHistory('main', 90);
  // Of the release that is live, everything is kept.
  expect(await shelf.writer.pruneHistory(clock + 200 * aDay)).toBe(0);
  await many(main, 20);
  await publish(main);
  // Not old enough yet.
  expect(await shelf.writer.pruneHistory(clock + 80 * aDay)).toBe(0);
  expect(await shelf.writer.pruneHistory(clock + 200 * aDay)).toBe(70);
  expect(steps()).toBe(100);
  for (let at = 0; at < 100; at++) await shelf.writer.undo(main, draft(main).revision(), 'Ada', now());
  expect(draft(main).nextUndo('Ada')).toBeNull();
});

test('an open draft keeps what it did since the release it is up to, and one that was taken out does not', async () => {
  await edit(main, 1);
  await publish(main);
  await shelf.writer.beginDraft('main', { name: 'Winter', note: '', from: liveOf('main') }, 'Ada', clock);
  await many(winter, 130);
  await many(main, 130);
  await publish(main);
  await edit(main, 60);
  await publish(main);
  await shelf.writer.keepHistory('main', 90);
  expect(await shelf.writer.pruneHistory(clock + 200 * aDay)).toBe(31);
  await shelf.writer.takeOutDraft(winter, clock);
  expect(await shelf.writer.pruneHistory(clock + 200 * aDay)).toBe(129);
});

test('whoever knows a draft from before reads it anew, and an edit from before is refused', async () => {
  const reader = openSetups(shelf.db).draft(main);
  await edit(main, 9);
  expect(reader.draft().relevance.closeCall.width).toBe(9);
  const seen = reader.revision();
  await many(main, 160);
  await publish(main);
  await edit(main, 33);
  await publish(main);
  await shelf.writer.keepHistory('main', 90);
  expect(await shelf.writer.pruneHistory(clock + 200 * aDay)).toBeGreaterThan(50);
  expect(reader.draft().relevance.closeCall.width).toBe(33);
  const late = await shelf.writer.edit(
    main,
    [{ part: 'relevance', key: 'closeCall', value: { width: 2 } }],
    seen,
    'Ben',
    now(),
  );
  expect(late).toMatchObject({ refusal: { code: 'unknown-revision' } });
});
