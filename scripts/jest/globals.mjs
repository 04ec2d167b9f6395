/** What Jest gives to tests it does not load itself: it lays them down as globals, and `@jest/globals` reads them there. */
const names = ['afterAll', 'afterEach', 'beforeAll', 'beforeEach', 'describe', 'expect', 'it', 'jest', 'test'];
const url = `data:text/javascript,export const { ${names.join(', ')} } = globalThis;`;

export async function resolve(specifier, context, next) {
  return specifier === '@jest/globals' ? { url, shortCircuit: true } : next(specifier, context);
}
