import { expect, test } from '@jest/globals';
import { originOf } from './origin.ts';

test.each([
  ['https://Shop.Example', 'https://shop.example'],
  [' https://shop.example:443/papers?x=1 ', 'https://shop.example'],
  ['http://127.0.0.1:4190/', 'http://127.0.0.1:4190'],
  ['http://[::1]:80', 'http://[::1]'],
])('%s is %s', (text, origin) => expect(originOf(text)).toBe(origin));

test.each([
  'shop.example',
  '*',
  'https://*.example',
  'ftp://shop.example',
  'https://a:b@shop.example',
  'null',
  '',
  'https://..',
  'https://shop.example:99999',
  `https://${'a'.repeat(300)}`,
])('%s is none', (text) => expect(originOf(text)).toBeNull());
