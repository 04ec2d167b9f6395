import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { readOwnStyle } from './ownStyle.ts';

const told = (css: string): string[] => readOwnStyle(css).problems.map(({ says }) => says);
const kept = (css: string): string => readOwnStyle(css).style;

describe('what is taken', () => {
  test.each([
    ['[part~="title"] { color: #226; font-size: 1.2em }', '[part~="title"]{color:#226;font-size:1.2em}'],
    ['[part~=card]:hover > * { opacity: .5 !important }', '[part~=card]:hover>*{opacity:.5!important}'],
    ['@media (min-width: 600px) { h2 { margin: 0 } }', '@media (min-width:600px){h2{margin:0}}'],
    ['@container (width > 40rem) { h2 { margin: 0 } }', '@container (width>40rem){h2{margin:0}}'],
    ['@keyframes turn { from { opacity: 0 } 50% { opacity: .2 } }', '@keyframes turn{from{opacity:0}50%{opacity:.2}}'],
    ['p { --edge: 2px; border-width: var(--edge) }', 'p{--edge:2px;border-width:var(--edge)}'],
    ['/* said */ p::before { content: "–" } /* and */', 'p::before{content:"–"}'],
    ['p { background: linear-gradient(#fff, #eee) }', 'p{background:linear-gradient(#fff,#eee)}'],
    ['', ''],
  ])('%s', (css, style) => {
    expect(readOwnStyle(css)).toEqual({ style, problems: [] });
  });
});

describe('what would fetch something is left out, and told where it stands', () => {
  test.each([
    'p { background: url(https://elsewhere.example/a.png) }',
    'p { background: u\\72l(//elsewhere.example/a.png) }',
    'p { background: URL("//elsewhere.example/a.png") }',
    'p { background-image: image-set("//elsewhere.example/a.png" 1x) }',
    'p { background-image: -webkit-image-set("//elsewhere.example/a.png" 1x) }',
    'p { --a: url(//elsewhere.example/a.png); background: var(--a) }',
    'p { cursor: url(//elsewhere.example/a.cur), auto }',
    'p { background: linear-gradient(red, red), src("//elsewhere.example/a.png") }',
    '@import "//elsewhere.example/a.css";',
    '@import url(//elsewhere.example/a.css);',
    '@font-face { font-family: a; src: url(//elsewhere.example/a.woff2) }',
    '@namespace url(//elsewhere.example);',
    '@supports (background: url(//elsewhere.example/a.png)) { p { margin: 0 } }',
  ])('%s', (css) => {
    expect(kept(css)).not.toContain('elsewhere');
    expect(told(css).length).toBeGreaterThan(0);
  });
});

test('what stands around the shop, is typed in it or lies over the page cannot be reached', () => {
  for (const css of [
    'body { color: red }',
    'HTML p { color: red }',
    ':root { color: red }',
    ':host { color: red }',
    ':host-context(body) p { color: red }',
    '::slotted(form) { color: red }',
    ':h\\6fst { color: red }',
    'input[value^="a"] { color: red }',
    'input:not([ValuE$="a"]) { color: red }',
    'p { position: fixed }',
    'p { POSITION: Fixed !important }',
    'p { behavior: x }',
    'p { & + main { color: red } }',
  ]) {
    expect([css, kept(css)]).toEqual([css, '']);
    expect(told(css)).not.toEqual([]);
  }
});

test('a mistake is told in its line, and costs no more than its own rule', () => {
  const { style, problems } = readOwnStyle('p { colr: red; margin: 0 }\nh2 { color: 12px }\nh3 { color: red\n');
  expect(style).toBe('p{margin:0}h3{color:red}');
  expect(problems).toEqual([
    { line: 1, column: 5, says: '“colr” is no property' },
    { line: 2, column: 6, says: '“12px” is no value of “color”' },
  ]);
  const unmatched = readOwnStyle('p { margin: 0 }\n h2 { color: red) }');
  expect(unmatched).toMatchObject({ style: '', problems: [{ line: 2, column: 17 }] });
  expect(told('p { content: "a }')).toHaveLength(1);
  expect(told('p { margin 0 }').length).toBe(1);
});

test('whatever is typed, nothing comes through that fetches, and reading what came through changes nothing more', () => {
  const pieces = [
    'p',
    '{',
    '}',
    ' ',
    ':',
    ';',
    '"',
    "'",
    '(',
    ')',
    'url(',
    '//e.example',
    '\\',
    '@import ',
    '@media ',
    '/*',
    '*/',
  ];
  const more = ['color', 'red', '<!--', '-->', '--a', 'var(--a)', '\n', '[', ']', '&', ',', '!important', 'image-set('];
  const all = [...pieces, ...more];
  for (let seed = 1; seed <= 600; seed++) {
    const random = seededRandom(seed);
    const css = Array.from(
      { length: 3 + Math.floor(random() * 25) },
      () => all[Math.floor(random() * all.length)],
    ).join('');
    const { style } = readOwnStyle(css);
    expect([seed, /url\(|image-set\(|@import/i.test(style.replace(/"[^"]*"|'[^']*'/g, ''))]).toEqual([seed, false]);
    expect([seed, readOwnStyle(style)]).toEqual([seed, { style, problems: [] }]);
  }
});
