import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { patchSnapshot } from '../index/patchSnapshot.ts';
import { openSnapshot, type Snapshot } from '../index/snapshot.ts';
import { recordsOf } from '../testing/randomCatalog.ts';
import { stem } from '../text/wordForms.ts';
import { compoundsOf } from './compounds.ts';

const heads = ['pinsel', 'papier', 'farbe', 'block', 'kasten', 'stift'];
const firsts = ['aquarell', 'zeichnung', 'maler', 'wachs', 'haar', 'farbe', 'papier'];
const links = ['', 's', 'n', 'es'];
const told = (snapshot: Snapshot) =>
  [...heads, ...firsts].map((word) =>
    compoundsOf(snapshot)
      .get(stem(word, 'de'))
      .map((term) => snapshot.terms.get(term)),
  );

test('after patches compounds are what they are in an index built anew', () => {
  let found = 0;
  for (let seed = 1; seed <= 40; seed++) {
    const random = seededRandom(seed);
    const word = () =>
      random() < 0.5
        ? pick(random, [...heads, ...firsts])
        : pick(random, firsts) + pick(random, links) + pick(random, heads);
    const titled = (titles: readonly string[]) => recordsOf(titles.map((title, at) => ({ id: `r${at}`, title })));
    let titles = Array.from({ length: 12 }, () => `${word()} ${word()}`);
    const profiler = attributeProfiler();
    for (const record of titled(titles)) profiler.add(record);
    const profiles = profiler.finish();
    const built = (list: readonly string[]): Snapshot => {
      const builder = snapshotBuilder(profiles, 'de');
      for (const record of titled(list)) builder.add(record);
      return openSnapshot(builder.finish())!;
    };
    let snapshot = built(titles);
    told(snapshot);
    for (let step = 0; step < 4; step++) {
      const next = titles.map((title) => (random() < 0.3 ? `${word()} ${word()}` : title));
      const [before, after] = [titled(titles), titled(next)];
      const changes = before.flatMap((record, ordinal) =>
        titles[ordinal] === next[ordinal] ? [] : [{ ordinal, before: record, after: after[ordinal]! }],
      );
      const patch = patchSnapshot(snapshot, changes);
      if (patch) snapshot = openSnapshot(...snapshot.layers, patch)!;
      titles = next;
      const now = told(snapshot);
      expect(now).toEqual(told(built(titles)));
      found += now.flat().length;
    }
  }
  expect(found).toBeGreaterThan(500);
});
