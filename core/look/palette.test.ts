import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { contrastOf } from './contrast.ts';
import { darkOf, paletteOf } from './palette.ts';
import { presets } from './presets.ts';

/** Text on what it stands on, as the parts of the shop have it. */
const pairs = [
  ...['surface', 'paper', 'paper-deep', 'press-soft'].flatMap((ground) =>
    ['ink', 'soft', 'press'].map((text) => [text, ground] as const),
  ),
  ['on-press', 'press'],
  ['on-press', 'press-over'],
  ['surface', 'edge'],
] as const;
const tooFaint = (colours: Parameters<typeof paletteOf>[0]): string[] => {
  const palette = paletteOf(colours) as Record<string, string>;
  return pairs.flatMap(([text, ground]) => {
    const contrast = contrastOf(palette[text]!, palette[ground]!);
    return contrast < 4.5 ? [`${text} on ${ground}: ${contrast.toFixed(2)}`] : [];
  });
};

test.each(presets.map(({ name, colours }) => [name, colours] as const))(
  '%s can be read, light and dark',
  (_, colours) => {
    if (colours) expect([tooFaint(colours), tooFaint(darkOf(colours))]).toEqual([[], []]);
  },
);

test('whatever three colours are chosen, everything can be read', () => {
  const random = seededRandom(7);
  const colour = () =>
    `#${Math.floor(random() * 0x1000000)
      .toString(16)
      .padStart(6, '0')}`;
  const faint: unknown[] = [];
  for (let n = 0; n < 2000; n++) {
    const colours = { ground: colour(), text: colour(), accent: colour() };
    const found = [...tooFaint(colours), ...tooFaint(darkOf(colours))];
    if (found.length > 0) faint.push([colours, found]);
  }
  expect(faint.slice(0, 5)).toEqual([]);
});

test('colours that can be read are taken as they are', () => {
  const colours = { ground: '#ffffff', text: '#1e2530', accent: '#263b7a' };
  expect(paletteOf(colours)).toMatchObject({ surface: '#ffffff', ink: '#1e2530', press: '#263b7a' });
});
