import { expect, test } from '@jest/globals';
import type { FirstPage } from '../../core/compare/firstPage.ts';
import { type DraftRef, liveOf, nameOf, type SetupRef } from '../../core/setup/setupRef.ts';
import { openEffectOfDraft } from './effectOfDraft.ts';

const live = liveOf('main');
const winter: DraftRef = { storefront: 'main', draft: 'winter' };
const mend: DraftRef = { storefront: 'main', draft: 'mend' };
/** Versions of drafts and of what is live. */
const versions =
  (draft: string, live: string) =>
  (ref: SetupRef): string =>
    'draft' in ref ? draft : live;
const searches = Array.from({ length: 35 }, (_, at) => ({ search: `s${at}`, searches: 1 }));

function counting(generationAt: (asked: number) => number = () => 1) {
  const asked: string[] = [];
  const effects = openEffectOfDraft({
    firstPages: async (ref, list) => {
      const from = nameOf(ref);
      asked.push(...list.map((search) => `${from} ${search}`));
      const pages = list.map(
        (): FirstPage => ({
          ...{ families: [from], total: 1, decided: [1, 0] },
          beside: { banners: '', elsewhere: '', filters: '' },
        }),
      );
      return { generation: generationAt(asked.length), pages };
    },
  });
  return { asked, effects };
}

test('each side is worked out once for its version: a changed draft leaves what is published alone', async () => {
  const { asked, effects } = counting();
  const first = await effects.effect(winter, live, searches, versions('1', '1'), () => false);
  expect(first).toMatchObject({ effect: { looked: 35, changed: 35 }, decides: [35, 0] });
  expect(asked).toHaveLength(70);
  await effects.effect(winter, live, searches, versions('1', '1'), () => false);
  expect(asked).toHaveLength(70);
  await effects.effect(winter, live, searches, versions('2', '1'), () => false);
  expect(asked.slice(70).every((text) => text.startsWith('draft:winter'))).toBe(true);
  expect(asked).toHaveLength(105);
  await effects.effect(mend, live, searches, versions('2', '1'), () => false);
  expect(asked.slice(105).every((text) => text.startsWith('draft:mend'))).toBe(true);
  expect(asked).toHaveLength(140);
});

test('what nobody waits for any more ends after the stretch it is at, and what it found is kept', async () => {
  const { asked, effects } = counting();
  let turns = 0;
  expect(await effects.effect(winter, live, searches, versions('1', '1'), () => ++turns > 2)).toBeNull();
  expect(asked).toHaveLength(6);
  expect(await effects.effect(winter, live, searches, versions('1', '1'), () => false)).not.toBeNull();
  expect(asked).toHaveLength(70);
});

test('an effect is never of two catalogs: one put in force meanwhile gives no answer, and the next is whole', async () => {
  for (const changesAfter of [10, 34, 36, 60]) {
    const { asked, effects } = counting((done) => (done > changesAfter ? 2 : 1));
    expect(await effects.effect(winter, live, searches, versions('1', '1'), () => false)).toBeNull();
    const before = asked.length;
    expect(await effects.effect(winter, live, searches, versions('2', '2'), () => false)).not.toBeNull();
    expect(asked.length - before).toBe(70);
  }
});
