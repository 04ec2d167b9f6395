import { compile, type JSONSchema } from 'json-schema-to-typescript';

/** What programs are answered, by the name of its type, and the path it comes from. */
const answers = {
  Results: '/shop/{storefront}/search',
  Suggestions: '/shop/{storefront}/suggest',
  Product: '/shop/{storefront}/product',
  Article: '/shop/{storefront}/article',
  Beside: '/shop/{storefront}/beside',
} as const;

interface Document {
  readonly paths: Readonly<
    Record<
      string,
      {
        readonly get: {
          readonly responses: Record<
            '200',
            { readonly content: { readonly 'application/json': { schema: JSONSchema } } }
          >;
        };
      }
    >
  >;
}

/** The types of the client for programs, written from the document of the interface. Cost: half a second. */
export async function clientTypes({ paths }: Document): Promise<string> {
  const written: string[] = [];
  for (const [name, path] of Object.entries(answers)) {
    const { schema } = paths[path]!.get.responses['200'].content['application/json'];
    // Programs of today read answers of tomorrow: what comes besides is nothing wrong.
    const options = {
      additionalProperties: false,
      bannerComment: '',
      style: { printWidth: 120, singleQuote: true },
      ignoreMinAndMaxItems: true,
    };
    const types = await compile(JSON.parse(JSON.stringify(schema)) as JSONSchema, name, options);
    // How many there may be says nothing to who reads an answer.
    written.push(types.replace(/^ *\/\*\*\n(?: *\* @.*\n)+ *\*\/\n/gm, ''));
  }
  return `// Made from the document of the interface by \`npm run client-types\`; not written by hand.\n${written.join('\n')}`;
}
