import { expect, test } from '@jest/globals';
import { lookSchema } from '../setup/parts/look.ts';
import { usualLook } from '../setup/terms/lookTerms.ts';
import { presets } from './presets.ts';
import { wornLook } from './wornLook.ts';

const none = { css: '' };

test('the look that comes with the shop changes nothing', () =>
  expect(wornLook(usualLook, none)).toEqual({ light: {}, dark: {}, letters: [], style: '' }));

test('a look has its colours on every page, others on dark ones, and the letters it needs', () => {
  const colours = { ground: '#fbf6ec', text: '#33261a', accent: '#8a4b1f' };
  const { light, dark, letters } = wornLook({ ...usualLook, colours, text: 'serif', headings: 'bricolage' }, none);
  expect(light).toMatchObject({ '--surface': '#fbf6ec', '--ink': '#33261a', '--shelf-ground': '#fbf6ec' });
  expect(dark!['--surface']).not.toBe('#fbf6ec');
  expect(light['--shelf-heading-font']).toContain('Bricolage');
  expect(letters).toEqual(['bricolage']);
});

test('a shop that is never dark says so; corners and room are lengths', () => {
  expect(wornLook({ ...usualLook, hasDark: false }, none).dark).toBeNull();
  expect(wornLook({ ...usualLook, corners: 0, density: 'close' }, none).light).toMatchObject({
    '--radius-lg': '0px',
    '--spacing': '3.4px',
  });
});

test('every look to begin with may be kept as it is', () => {
  for (const { id: _, name: __, ...values } of presets)
    expect(lookSchema.safeParse({ ...usualLook, ...values }).success).toBe(true);
});

test('of an own style sheet only what is taken is worn', () =>
  expect(wornLook(usualLook, { css: 'h2 { margin: 0; colr: red }\n@import "a";' }).style).toBe('h2{margin:0}'));
