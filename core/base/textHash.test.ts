import { expect, test } from '@jest/globals';
import { textHash } from './textHash.ts';

test('a text has the same for good, which saved catalogs rely on', () => {
  expect(textHash('')).toBe('0ztntfp7wdrqx');
});

test('texts that are nearly alike have others', () => {
  const texts = Array.from({ length: 20_000 }, (_, at) => `Brush ${at}`);
  expect(new Set(texts.map(textHash)).size).toBe(texts.length);
  expect(textHash('Ölfarbe')).not.toBe(textHash('Olfarbe'));
});
