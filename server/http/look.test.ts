import { afterEach, expect, test } from '@jest/globals';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
afterEach(() => shelf.remove());

test('a page is asked for its style at the desk; what is no address is not', async () => {
  const asked: string[] = [];
  shelf = openTestShelf({
    askStyle: async (address) => {
      asked.push(address);
      return { styles: ['body { color: red }'] };
    },
  });
  const ask = (body: unknown) => shelf.post('/desk/pictures/style', body);
  expect(await ask({ address: 'https://paints.example/' })).toMatchObject({
    status: 200,
    body: { styles: ['body { color: red }'] },
  });
  expect((await ask({ address: '' })).status).toBe(400);
  expect((await ask({ address: 'x'.repeat(5000) })).status).toBe(400);
  expect(asked).toEqual(['https://paints.example/']);
});
