import { expect, test } from '@jest/globals';
import { colourIn } from './ColourField.tsx';

test.each([
  ['#fbf6ec', '#fbf6ec'],
  [' FC0 ', '#ffcc00'],
  ['aabbcc', '#aabbcc'],
])('%s is %s', (text, colour) => expect(colourIn(text)).toBe(colour));

test.each(['', 'red', '#12', '#12345', '#gggggg'])('“%s” is no colour', (text) => expect(colourIn(text)).toBeNull());
