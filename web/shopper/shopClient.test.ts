import { expect, test } from '@jest/globals';
import { liveShop } from './shopClient.ts';

function asking(answer: unknown) {
  const sent: { url: string; init: RequestInit }[] = [];
  const ask = (async (url: string, init: RequestInit) => {
    sent.push({ url, init });
    return Response.json(answer);
  }) as unknown as typeof fetch;
  return { sent, fetch: ask };
}

test('a page of another site asks by its key, without a name or a header that needs permission', async () => {
  const { sent, fetch } = asking({
    results: [{ picture: '/pictures/a.svg', second: '/pictures/b.svg', badges: [{ text: '/x' }] }, { picture: null }],
  });
  const shop = liveShop({ base: 'https://desk.example', storefront: 'main', key: 'k', fetch });
  const answer = await shop.search({ q: 'red ink', device: 'phone' });
  expect(sent[0]!.url).toBe('https://desk.example/shop/main/search?q=red+ink&device=phone&key=k');
  expect(sent[0]!.init).toEqual({ credentials: 'omit' });
  // Pictures are where our server is; nothing else is touched.
  expect(answer.results).toEqual([
    {
      ...{ picture: 'https://desk.example/pictures/a.svg', second: 'https://desk.example/pictures/b.svg' },
      badges: [{ text: '/x' }],
    },
    { picture: null },
  ]);
  await shop.note!('noteSearch', { session: 's', search: 'red ink' } as never);
  expect(sent[1]!.url).toBe('https://desk.example/shop/main/log/search?key=k');
  expect(sent[1]!.init).toMatchObject({ method: 'POST', credentials: 'omit', keepalive: true });
});

test('on the server’s own pages an answer stays as it is', async () => {
  const { sent, fetch } = asking({ pictures: ['/pictures/a.svg'] });
  const shop = liveShop({ storefront: 'main', fetch });
  expect(await shop.product('a/b')).toEqual({ pictures: ['/pictures/a.svg'] });
  expect(sent[0]!.url).toBe('/shop/main/product?id=a%2Fb');
});
