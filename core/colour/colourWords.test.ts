import { describe, expect, test } from '@jest/globals';
import { type NamedColour, openColourWords } from './colourWords.ts';
import { colourDistance, okLab } from './okLab.ts';

describe('colour values', () => {
  test('are read from hexadecimal, long and short, and from nothing else', () => {
    expect(okLab('#fff')).toEqual(okLab('#FFFFFF'));
    expect(okLab('ffffff')![0]).toBeCloseTo(1, 3);
    expect(okLab('#000000')).toEqual([0, 0, 0]);
    for (const text of ['', '#ff', '#gggggg', 'red', '#12345678']) expect(okLab(text)).toBeNull();
  });
  test('lie as the source of the space gives them', () => {
    const red = okLab('#ff0000')!;
    [0.628, 0.2249, 0.1258].forEach((part, at) => {
      expect(red[at]).toBeCloseTo(part, 3);
    });
  });
  test('are as far apart as they look', () => {
    const far = (a: string, b: string): number => colourDistance(okLab(a)!, okLab(b)!);
    expect(far('#000000', '#ffffff')).toBeCloseTo(1, 3);
    expect(far('#a03623', '#8c000f')).toBeLessThan(far('#a03623', '#1e9167'));
    expect(far('#123456', '#123456')).toBe(0);
  });
});

describe('a shade is placed by the names of the colours that look like it', () => {
  const around = (word: string, red: number, green: number, blue: number): NamedColour[] =>
    Array.from({ length: 30 }, (_, at) => {
      const hex = [red, green, blue].map((channel, part) => {
        const shifted = Math.max(0, Math.min(255, channel + ((at * (7 + part * 5)) % 25) - 12));
        return shifted.toString(16).padStart(2, '0');
      });
      return { name: `Shade ${at} ${word}`, hex: `#${hex.join('')}` };
    });
  const list = [
    ...around('Red', 170, 50, 40),
    ...around('Blue', 20, 40, 170),
    { name: 'Brick', hex: '#a03623' },
    { name: 'Lonely Green', hex: '#00ff00' },
    { name: 'Moss Agate', hex: '#10f010' },
  ];
  const words = openColourWords(list, ['red', 'blue', 'green']);
  test('a plain word needs examples enough', () => expect(words.plain).toEqual(['red', 'blue']));
  test.each([
    ['brick', 'red'],
    ['BRICK', 'red'],
  ])('%s', (name, word) => expect(words.placeOf(words.hexOf(name)!)!.word).toBe(word));
  test('nowhere where nothing looks like it, and nothing where nothing is called so', () => {
    expect(words.placeOf('#10f010')).toBeNull();
    expect(words.placeOf('no colour')).toBeNull();
    expect(words.hexOf('heron')).toBeNull();
  });
});
