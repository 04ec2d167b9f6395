import { describe, expect, test } from '@jest/globals';
import { fold } from './fold.ts';
import { findQuantities, quantityToken, readableToken, unitNamed } from './quantity.ts';
import { readWords } from './tokenize.ts';

const tokens = (text: string): string[] => findQuantities(fold(text)).map(quantityToken);

describe('one amount, however it is written', () => {
  test.each([
    ['0.5 mm', '.5mm', '0,5 mm', '0.05 cm', '.50 millimetres', '0.5-mm'],
    ['1/2 in', '½"', '0.5"', '0.5 inch', '12.7mm', '½ inches'],
    ['12"', '12 in', '12-inch', '12”', '1 ft', '30.48 cm'],
    ['300 gsm', '300gsm', '300 g/m²', '300g/m2', '300 GSM'],
    ['1 l', '1000 ml', '100cl', '1 Litre', '1,000 ml'],
    ['1.5 in', '1 1/2"', '1½ inch', '1-1/2 in'],
    ['250 g', '0.25kg', '250 grams'],
  ])('%s', (...spellings) => {
    const [first] = tokens(spellings[0]!);
    expect(first).toBeDefined();
    for (const spelling of spellings) expect([spelling, tokens(spelling)]).toEqual([spelling, [first]]);
  });
});

test('amounts of different dimensions never meet', () => {
  const all = ['60 gsm', '60 ml', '60 g', '60 mm', '60 pcs', '60 W', '60 V', '60 GB'].flatMap(tokens);
  expect(new Set(all).size).toBe(8);
});

test('both sides of a format take the unit behind it', () => {
  expect(tokens('30 x 40 cm')).toEqual(['=length:300', '=length:400']);
  expect(tokens('9×12in')).toEqual(['=length:228.6', '=length:304.8']);
  expect(readWords('30x40cm').tokens).toEqual(['30', 'x', '40', 'cm']);
});

test('both ends of a range take the unit behind it', () => {
  expect(tokens('70-350mm lens')).toEqual(['=length:70', '=length:350']);
  expect(tokens('100–240 V')).toEqual(['=voltage:100', '=voltage:240']);
  expect(tokens('size 12 - 30 cm long')).toEqual(['=length:300']);
  expect(tokens('1-1/2 in')).toEqual(['=length:38.1']);
});

describe('what is no quantity', () => {
  test.each([
    'A4 in blue',
    '10/0 brush',
    'size 12',
    'WU-12in',
    '“12” tin',
    '12 inky',
    'series 3',
    'brush in tin',
    'gsm',
  ])('%s', (text) => expect(tokens(text)).toEqual([]));
  test('a part of zero is no number', () => expect(tokens('10/0 mm')).toEqual([]));
});

test('the English word “in” behind a number is doubtful, the inch sign is not', () => {
  expect(readWords('12 in').quantities).toEqual([{ token: '=length:304.8', at: 0, to: 2, isDoubtful: true }]);
  expect(readWords('round 12" frame').quantities).toEqual([
    { token: '=length:304.8', at: 1, to: 2, isDoubtful: false },
  ]);
});

test('a token is shown as people read it', () => {
  expect(readableToken('=grammage:300')).toBe('300 gsm');
  expect(readableToken('brush')).toBe('brush');
  expect(unitNamed('G/M²')).toEqual({ dimension: 'grammage', factor: 1 });
  expect(unitNamed('parsec')).toBeNull();
});
