import { expect, test } from '@jest/globals';
import { safeLink } from './safeLink.ts';

test.each([
  'https://shop.example/a?b=c:d',
  'http://x',
  '/pictures/a.svg',
  'a/b.html',
  'mailto:a@b.example',
  '#top',
  '?q=a:b',
])('%s is kept', (link) => expect(safeLink(` ${link} `)).toBe(link));
test.each([
  ...['javascript:alert(1)', 'JavaScript:alert(1)', 'java\nscript:alert(1)', '\u0001javascript:alert(1)'],
  ...['data:text/html,<script>', 'vbscript:x', 'file:///etc/passwd', 'blob:https://x', ' javascript :x'],
])('%j is not', (link) => expect(safeLink(link)).toBe(''));
