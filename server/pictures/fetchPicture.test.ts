import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { isPublic } from '../outside/publicAddress.ts';
import { openTestHost } from '../testing/openTestHost.ts';
import { fetchPicture } from './fetchPicture.ts';

/** The smallest picture there is: one pixel. */
const pixel = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
let host: Awaited<ReturnType<typeof openTestHost>>;
let base: string;
beforeAll(async () => {
  host = await openTestHost((request, response) => {
    const to = (location: string) => response.writeHead(302, { location }).end();
    switch (request.url) {
      case '/picture.jpg':
        return response.end(pixel);
      case '/moved':
        return to('/picture.jpg');
      case '/in-circles':
        return to('/in-circles');
      case '/to-a-file':
        return to('file:///etc/hostname');
      case '/to-the-inside':
        return to('http://169.254.169.254/latest');
      case '/page.png':
        return response.writeHead(200, { 'content-type': 'image/png' }).end('<script>alert(1)</script>');
      case '/large':
        return response.writeHead(200, { 'content-length': '9000000' }).end();
      case '/endless': {
        const timer = setInterval(() => response.write(Buffer.alloc(65_536)), 1);
        return response.on('close', () => clearInterval(timer));
      }
      case '/never':
        return undefined;
      default:
        return response.writeHead(404).end();
    }
  });
  base = host.base;
});
afterAll(() => host.close());

const ownHost = (address: string): boolean => address === '127.0.0.1';
const limits = { bytes: 200_000, redirects: 4, milliseconds: 1500 };
const fetched = (path: string) => fetchPicture(`${base}${path}`, { isAllowed: ownHost, limits });

test('a picture is told by what it holds, and found where it was moved to', async () => {
  expect(await fetched('/picture.jpg')).toEqual({ type: 'image/png', bytes: pixel });
  expect(await fetched('/moved')).toEqual({ type: 'image/png', bytes: pixel });
});

test.each([
  ['/page.png', 'no-picture'],
  ['/missing', 'not-found'],
  ['/in-circles', 'not-found'],
  ['/to-a-file', 'not-allowed'],
  ['/to-the-inside', 'not-allowed'],
  ['/large', 'too-large'],
  ['/endless', 'too-large'],
  ['/never', 'too-slow'],
])('%s is none: %s', async (path, problem) => expect(await fetched(path)).toEqual({ problem }));

test('nothing is fetched from this machine or its own network, by number or by name', async () => {
  for (const own of [base, base.replace('127.0.0.1', 'localhost'), 'http://[::1]:1/', 'http://10.0.0.1/', 'http://0/'])
    expect(await fetchPicture(`${own}/picture.jpg`)).toEqual({ problem: 'not-allowed' });
  expect(await fetchPicture('ftp://img.example/a.png')).toEqual({ problem: 'not-allowed' });
  expect(await fetchPicture('https://no.such.host.invalid/a.png')).toEqual({ problem: 'no-connection' });
  expect(await fetchPicture('http://')).toEqual({ problem: 'not-found' });
});

test.each([
  ['93.184.216.34', true],
  ['2606:2800:220:1:248:1893:25c8:1946', true],
  ['127.0.0.1', false],
  ['10.1.2.3', false],
  ['172.16.0.1', false],
  ['192.168.1.1', false],
  ['169.254.169.254', false],
  ['100.64.0.1', false],
  ['0.0.0.0', false],
  ['224.0.0.1', false],
  ['::1', false],
  ['[::1]', false],
  ['fe80::1', false],
  ['fc00::1', false],
  ['::ffff:127.0.0.1', false],
  ['64:ff9b::7f00:1', false],
  ['2002:7f00:1::', false],
  ['nonsense', false],
])('%s is public: %s', (address, is) => expect(isPublic(address)).toBe(is));
