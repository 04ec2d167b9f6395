import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mostSheets } from '../../api/styleFound.ts';
import { openTestHost } from '../testing/openTestHost.ts';
import { askStyle, sheetsIn } from './askStyle.ts';

const page = new URL('https://shop.example/home/');

describe('the sheets of a page', () => {
  test('stand in the order in which they hold, by whole addresses', () =>
    expect(
      sheetsIn(
        `<link rel="stylesheet" href="/a.css"><style>b { color: red }</style>
         <LINK REL="preload stylesheet" href='c.css?x=1&amp;y=2'><link rel="icon" href="d.css">`,
        page,
      ),
    ).toEqual([
      { address: 'https://shop.example/a.css' },
      { style: 'b { color: red }' },
      { address: 'https://shop.example/home/c.css?x=1&y=2' },
    ]));
  test('are looked for from where the page says', () =>
    expect(sheetsIn('<base href="https://files.example/s/"><link rel=stylesheet href=a.css>', page)).toEqual([
      { address: 'https://files.example/s/a.css' },
    ]));
  test('are those for screens', () =>
    expect(
      sheetsIn(
        '<style media="print">a{}</style><link rel=stylesheet media="print" href=p.css><style media="screen, print">b{}</style>',
        page,
      ),
    ).toEqual([{ style: 'b{}' }]));
  test('are none in what is no page, or a broken one', () => {
    for (const text of ['', '\u0000', '{"a": 1}', '<style', '<link rel=stylesheet>', '<style>never closed'])
      expect(sheetsIn(text, page).filter((sheet) => 'address' in sheet)).toEqual([]);
  });
});

describe('a page asked for its style', () => {
  let host: Awaited<ReturnType<typeof openTestHost>>;
  const asked: string[] = [];
  const many = Array.from({ length: 30 }, (_, at) => `<link rel=stylesheet href=/many/${at}.css>`).join('');
  beforeAll(async () => {
    host = await openTestHost((request, response) => {
      const path = request.url!;
      asked.push(path);
      const css = (text: string) => response.setHeader('content-type', 'text/css; charset=utf-8').end(text);
      if (path.startsWith('/many/')) return css(`b { color: ${path.length} }`);
      switch (path) {
        case '/':
          return response.end(
            '<link rel=stylesheet href=/in/a.css><style>b{}</style><link rel=stylesheet href=/gone.css>',
          );
        case '/in/a.css':
          return css('a { color: red }');
        case '/old':
          return response.writeHead(301, { location: '/in/there' }).end();
        case '/in/there':
          return response.end('<link rel=stylesheet href=a.css>');
        case '/many':
          return response.end(many);
        case '/plain':
          return response.end('<h1>Plain</h1>');
        case '/inside':
          return response.end('<link rel=stylesheet href=http://10.0.0.1/a.css><style>c{}</style>');
        case '/large':
          return response.end('x'.repeat(5000));
        case '/never':
          return undefined;
        default:
          return response.writeHead(404).end();
      }
    });
  });
  afterAll(() => host.close());
  const askFor = (path: string) =>
    askStyle(`${host.base}${path}`, {
      isAllowed: (address) => address === '127.0.0.1',
      limits: { bytes: 4000, redirects: 2, milliseconds: 1000 },
    });

  test.each([
    ['/', { styles: ['a { color: red }', 'b{}'] }],
    ['/in/a.css', { styles: ['a { color: red }'] }],
    // After being sent elsewhere, what it names is looked for there.
    ['/old', { styles: ['a { color: red }'] }],
    ['/inside', { styles: ['c{}'] }],
    ['/plain', { problem: 'no-style', styles: [] }],
    ['/nowhere', { problem: 'not-found', styles: [] }],
    ['/large', { problem: 'too-large', styles: [] }],
    ['/never', { problem: 'too-slow', styles: [] }],
  ])('%s is told as %j', async (path, found) => expect(await askFor(path)).toEqual(found));

  test('is asked for so many sheets and no more', async () => {
    asked.length = 0;
    expect((await askFor('/many')).styles).toHaveLength(mostSheets);
    expect(asked).toHaveLength(mostSheets + 1);
  });
  test('is none of this machine', async () =>
    expect(await askStyle(host.base)).toEqual({ problem: 'not-allowed', styles: [] }));
});
