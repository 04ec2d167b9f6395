import { describe, expect, test } from '@jest/globals';
import { effectInWords, moveInWords } from './tellEffect.ts';

const beside = { banners: 0, elsewhere: 0, filters: 0 };

describe('the effect in words', () => {
  test('of a move says from where to where', () => {
    expect(moveInWords({ from: 8, to: 2 })).toBe('up from place 8 to 2');
    expect(moveInWords({ from: 2, to: 8 })).toBe('down from place 2 to 8');
    expect(moveInWords({ from: null, to: 3 })).toBe('in at place 3');
    expect(moveInWords({ from: 3, to: null })).toBe('gone from place 3');
  });
  test('says how many searches change and how often those are made; never none of the times', () => {
    expect(effectInWords({ beside, looked: 200, changed: 23, times: 250, ofTimes: 1000, fewer: 0, more: 0 })).toContain(
      '23 of the 200 most frequent searches',
    );
    expect(effectInWords({ beside, looked: 200, changed: 23, times: 250, ofTimes: 1000, fewer: 0, more: 0 })).toContain(
      '25% of the times',
    );
    expect(
      effectInWords({ beside, looked: 200, changed: 1, times: 1, ofTimes: 1_000_000, fewer: 0, more: 0 }),
    ).toContain('1% of the times');
    expect(effectInWords({ beside, looked: 200, changed: 0, times: 0, ofTimes: 9, fewer: 0, more: 0 })).toContain(
      'No product moves',
    );
    expect(effectInWords({ beside, looked: 200, changed: 3, times: 9, ofTimes: 90, fewer: 2, more: 0 })).toMatch(
      /2 searches find fewer products\.$/,
    );
    expect(effectInWords({ beside, looked: 200, changed: 0, times: 0, ofTimes: 90, fewer: 1, more: 4 })).toMatch(
      /1 search finds fewer products, 4 find more\.$/,
    );
    expect(
      effectInWords({
        ...{ looked: 200, changed: 0, times: 0, ofTimes: 90, fewer: 0, more: 0 },
        beside: { banners: 2, elsewhere: 1, filters: 0 },
      }),
    ).toMatch(/moves on .*\. Other banners stand in 2 searches\. 1 search leads elsewhere\.$/);
    expect(effectInWords({ beside, looked: 0, changed: 0, times: 0, ofTimes: 0, fewer: 0, more: 0 })).toContain(
      'no shopper log',
    );
  });
});
