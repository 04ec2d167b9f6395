import { expect, test } from '@jest/globals';
import { plainTextOf } from './plainTextOf.ts';

test.each([
  ['<p>Holds&nbsp;a <b>point</b> &amp; water.</p>', 'Holds a point & water.'],
  ['<h2>Care</h2><ul><li>Rinse</li><li>Dry</li></ul>', 'Care\n\n• Rinse\n• Dry'],
  ['Line<br/>by line', 'Line\nby line'],
  ['&lt;p&gt;Twice &amp;amp; more&lt;/p&gt;', 'Twice & more'],
  ['<script>alert(1)</script><style>p{}</style>Ink', 'Ink'],
  ['<a href="https://x.example">Brushes</a>', 'Brushes'],
  ['M&uuml;hle &#39;fein&#x27;', "Mühle 'fein'"],
])('%s', (text, plain) => expect(plainTextOf(text)).toBe(plain));

test.each(['5 < 6 and 7 > 6', 'AT&T', 'Fish & chips;', 'a <- b', 'x<y', '12" ruler', ''])('%j is no markup', (text) =>
  expect(plainTextOf(text)).toBe(text),
);
