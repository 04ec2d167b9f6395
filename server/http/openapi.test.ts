import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import { shopPaths } from '../../api/shopPaths.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

/** What programs and pages of other sites read the document for: it must say what is really answered. */
interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly required?: boolean }[];
  readonly responses: Readonly<
    Record<string, { readonly content: { readonly 'application/json': { readonly schema: object } } }>
  >;
}
let shelf: TestShelf;
let paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
const ajv = new Ajv2020({ strict: false, allErrors: true });
beforeAll(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const document = (await shelf.get('/openapi.json')).body as { paths: typeof paths; components: object };
  paths = document.paths;
  ajv.addSchema(document, 'document');
});
afterAll(() => shelf.remove());

const operationOf = (name: keyof typeof shopPaths): Operation => {
  const { method, path } = shopPaths[name];
  return paths[path]![method]!;
};
/** The schema of an answer, with what it refers to found in the whole document. */
const schemaOf = (name: keyof typeof shopPaths, status: number): ValidateFunction => {
  const { schema } = operationOf(name).responses[status]!.content['application/json'];
  return ajv.compile(JSON.parse(JSON.stringify(schema).replaceAll('"#/', '"document#/')));
};

describe('what is really answered is what the document says', () => {
  test.each([
    ['shopSearch', 'search?q=brush', 200],
    ['shopSearch', 'search', 200],
    ['shopSearch', 'search?q=xqzzk', 200],
    ['shopSearch', 'search?q=brush&f.colour=Blue&sort=price-up&language=de&device=phone', 200],
    ['shopSearch', 'search?limt=3', 400],
    ['shopSuggest', 'suggest', 200],
    ['shopSuggest', 'suggest?q=bru', 200],
    ['shopSuggest', 'suggest?q=xqzzk', 200],
    ['shopProduct', 'product?id=a', 200],
    ['shopBeside', 'beside?of=a&of=b&at=basket', 200],
    ['shopProduct', 'product?id=zzz', 404],
    ['shopArticle', 'article?id=zzz', 404],
    ['shopSearch', 'search?key=none', 403],
  ] as const)('%s: /shop/main/%s', async (name, path, status) => {
    const answer = await shelf.get(`/shop/main/${path}`);
    expect(answer.status).toBe(status);
    const holds = schemaOf(name, status);
    expect(holds(answer.body) ? null : holds.errors).toBeNull();
  });
});

test('a schema that does not hold is told, so that the test above can fail', async () => {
  const { body } = (await shelf.get('/shop/main/search?q=brush')) as { body: object };
  expect(schemaOf('shopSearch', 200)({ ...body, total: 'two' })).toBe(false);
});

test('a key may be given with every question of a shopper', () => {
  for (const name of Object.keys(shopPaths) as (keyof typeof shopPaths)[]) {
    const key = operationOf(name).parameters?.find((each) => each.name === 'key' && each.in === 'query');
    expect([name, key?.required ?? false]).toEqual([name, false]);
    expect([name, key !== undefined]).toEqual([name, true]);
  }
});
