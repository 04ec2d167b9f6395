import { expect, test } from '@jest/globals';
import { fold } from './fold.ts';
import { findQuantities, quantityToken } from './quantity.ts';
import { readWords, tokenize } from './tokenize.ts';

test.each([
  ["l'analyse d’eau", ['analyse', 'eau']],
  ["L'Huile dell'acqua", ['huile', 'acqua']],
  ["qu'il d'épaule", ['il', 'epaule']],
  ["aujourd'hui", ['aujourdhui']],
  ["artist's don't O'Brien rock'n'roll", ['artists', 'dont', 'obrien', 'rocknroll']],
  ['AT&T B&W', ['att', 'bw']],
  ['Wren&Umber', ['wren', 'umber']],
  ['fish & chips', ['fish', 'chips']],
  ['C++ C# c', ['cplusplus', 'csharp', 'c']],
  ['F2.8', ['f', '2.8']],
  ['f/2.8', ['f', '2.8']],
  ['USB3.0', ['usb', '3']],
  ['USB 3.0', ['usb', '3']],
  ['M3x10 #8', ['m3', 'x', '10', '8']],
  ['100kΩ', ['100', 'kω']],
  ['XF60mm', ['xf', '60', 'mm']],
  ['B & W, AT & T', ['bw', 'att']],
  ['oil & ink, a & b c', ['oil', 'ink', 'ab', 'c']],
  ['No.2 Vol.13 wu.2041.b', ['no', '2', 'vol', '13', 'wu', '2041', 'b']],
  ['N.Y.C. e.g. U.S.A J. Wren', ['nyc', 'eg', 'usa', 'j', 'wren']],
  ['F2,8 f/1,4 f2,85', ['f', '2.8', 'f', '1.4', 'f2', '85']],
  ['X100V GR80mm BC547A', ['x100v', 'gr', '80', 'mm', 'bc547a']],
])('%s', (text, tokens) => {
  expect(tokenize(text)).toEqual(tokens);
  expect(readWords(text).tokens).toEqual(tokens);
});

test.each([
  ['500mA', '0.5 A'],
  ['4.7 µF', '4700nF'],
  ['10kΩ', '10000 ohm'],
  ['2.4GHz', '2400 MHz'],
  ['1500 mAh', '1.5Ah'],
  ['0.5 W', '500 mW'],
])('%s is %s', (one, other) => {
  const [a, b] = [one, other].map((text) => findQuantities(fold(text)).map(quantityToken));
  expect(a).toHaveLength(1);
  expect(a).toEqual(b);
});
