import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { openTestHost } from '../testing/openTestHost.ts';
import { askPage } from './askPage.ts';

let host: Awaited<ReturnType<typeof openTestHost>>;
let base: string;
const asked: (string | undefined)[] = [];
beforeAll(async () => {
  host = await openTestHost((request, response) => {
    asked.push(request.headers.cookie);
    switch (request.url) {
      case '/returns':
        return response.end('<h1>Returns</h1>');
      case '/old':
        return response.writeHead(301, { location: '/returns' }).end();
      case '/circle':
        return response.writeHead(302, { location: '/circle' }).end();
      case '/inside':
        return response.writeHead(302, { location: 'http://10.0.0.1/' }).end();
      case '/members':
        return response.writeHead(403).end();
      case '/never':
        return undefined;
      default:
        return response.writeHead(404).end();
    }
  });
  base = host.base;
});
afterAll(() => host.close());

const isAllowed = (address: string): boolean => address === '127.0.0.1';
test.each([
  ['/returns', { is: 'there' }],
  ['/old', { is: 'there' }],
  ['/missing', { is: 'gone', statusCode: 404 }],
  ['/circle', { is: 'gone' }],
  ['/members', { is: 'other', statusCode: 403 }],
  ['/inside', { is: 'not-allowed' }],
  ['/never', { is: 'too-slow' }],
])('%s is told as %j', async (path, found) =>
  expect(await askPage(`${base}${path}`, { isAllowed, milliseconds: 1000 })).toEqual(found),
);

test('nothing of who asks is passed on', () => expect(new Set(asked)).toEqual(new Set([undefined])));

test('this machine is not asked, nor what is no address', async () => {
  expect(await askPage(`${base}/returns`)).toEqual({ is: 'not-allowed' });
  expect(await askPage('https://')).toEqual({ is: 'gone' });
});
