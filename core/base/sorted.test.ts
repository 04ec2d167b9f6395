import { expect, test } from '@jest/globals';
import { seededRandom } from './random.ts';
import { indexAmong, placeAmong, withMore } from './sorted.ts';

test('numbers are found among ascending ones, and others put among them, each once', () => {
  for (let seed = 1; seed <= 50; seed++) {
    const random = seededRandom(seed);
    const some = (most: number): number[] =>
      Array.from({ length: Math.floor(random() * most) }, () => Math.floor(random() * 40));
    const sorted = Uint32Array.from([...new Set(some(30))].sort((a, b) => a - b));
    const more = some(8);
    const all = [...new Set([...sorted, ...more])].sort((a, b) => a - b);
    expect([...withMore(sorted, more)]).toEqual(all);
    for (let number = 0; number <= 41; number++) {
      expect(indexAmong(sorted, number)).toBe([...sorted].indexOf(number));
      expect(placeAmong(sorted, number)).toBe([...sorted].filter((each) => each < number).length);
    }
  }
  const same = Uint32Array.of(1, 2);
  expect(withMore(same, [2])).toBe(same);
});
