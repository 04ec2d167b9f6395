import { z } from 'zod';
import { encodings, fileFormats } from '../core/catalog/fileForm.ts';
import { importPhases } from '../core/catalog/importPhases.ts';
import { columnReadingSchema, joiningSchema, mappingSchema } from '../core/catalog/mappingSchema.ts';
import { concernCodes } from '../core/catalog/replaceConcerns.ts';
import { languages } from '../core/text/languages.ts';
import { endpoint } from './endpoint.ts';
import { mostStorefronts } from './limits.ts';
import { paths } from './paths.ts';

const none = z.object({});
const whole = z.number().int();

const storefrontName = z.object({ id: z.string(), name: z.string() });

const differencesSchema = z.object({
  added: whole,
  changed: whole,
  unchanged: whole,
  gone: whole.describe('Records in force that the file does not have.'),
  noticed: z
    .object({
      dearer: whole,
      cheaper: whole,
      soldOut: whole,
      backInStock: whole,
      picturesGone: whole,
      picturesNew: whole,
      picturesOther: whole.describe('Another picture in place of one.'),
    })
    .describe('Of the records in both, what shoppers notice first.'),
  attributes: z.array(z.object({ key: z.string(), records: whole })),
});

export const importJobSchema = z.object({
  id: whole,
  file: z.string(),
  phase: z.enum(importPhases),
  mode: z.enum(['replace', 'update']),
  rows: whole,
  rejected: whole,
  records: whole.describe('Records of the new catalog, once it is read.'),
  families: whole,
  share: z.number().describe('Share of the whole that is done, 0 to 1.'),
  rowsPerSecond: whole,
  secondsLeft: whole.nullable(),
  differences: differencesSchema.nullable(),
  error: z.string().nullable(),
});
export type ImportJob = z.infer<typeof importJobSchema>;

const rejectedRowSchema = z.object({ line: whole, column: z.string(), reason: z.string() });

const fileFormSchema = z.strictObject({
  format: z.enum(fileFormats),
  encoding: z.enum(encodings),
  delimiter: z.string().min(1).max(3),
  quote: z.string().min(1).max(1),
  escape: z.string().min(1).max(1),
  list: z.string().max(80),
  isObject: z.boolean(),
});

const joiningProposalSchema = z.object({
  joining: joiningSchema,
  column: z.string().nullable(),
  families: whole,
  records: whole,
  several: whole,
  largest: whole,
  alike: z.number(),
  examples: z.array(
    z.object({ which: z.enum(['largest', 'leastAlike', 'typical']), variants: whole, titles: z.array(z.string()) }),
  ),
  reason: z.string(),
});

export const examinedSchema = z.object({
  file: z.string(),
  form: fileFormSchema,
  rows: whole,
  leftOut: z
    .object({ count: whole, names: z.array(z.string()) })
    .describe('Names in the file beyond the columns that can be taken.'),
  columns: z.array(
    columnReadingSchema.extend({
      confidence: z.number(),
      reason: z.string(),
      filled: z.number(),
      different: whole,
      samples: z.array(z.string()),
    }),
  ),
  joinings: z.array(joiningProposalSchema),
  titleDoubt: z
    .object({ columns: z.array(z.string()) })
    .nullable()
    .describe('Columns either of which may be the title, the likeliest first.'),
  mapping: mappingSchema,
  known: mappingSchema.nullable(),
});
export type Examined = z.infer<typeof examinedSchema>;

const differenceRowSchema = z.object({
  id: z.string(),
  title: z.string(),
  values: z.array(z.object({ key: z.string(), before: z.string(), after: z.string() })),
});

const amount = z.number().nullable();
const duplicatesSchema = z.object({
  products: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      picture: z.string().nullable(),
      variants: whole,
      lowest: amount,
      highest: amount,
      stock: amount.describe('Of all its variants.'),
      unitsSold: amount,
      foundBy: z
        .object({ searches: whole, example: z.string().nullable() })
        .describe('Searches, of the hundred made most, on whose first page it stands.'),
    }),
  ),
  differs: z.array(z.string()).describe('Labels of the attributes in which they differ.'),
});

/** What has to do with bringing a catalog in and looking through it. */
export const catalogEndpoints = {
  catalog: endpoint({
    ...paths.catalog,
    summary: 'What the catalog holds and where it came from.',
    query: none,
    body: none,
    answer: z.object({
      file: z.string(),
      importedAt: z.string(),
      records: whole,
      families: whole,
      rejected: whole,
      indexBytes: whole,
      language: z.enum(languages).nullable().describe('What its words are read in; null where there is no catalog.'),
      articles: whole,
      collections: whole,
      shares: storefrontName.nullable().describe('The storefront whose records it shares; null: they are its own.'),
      sharedBy: z.array(storefrontName).describe('Storefronts that share its records.'),
      earlier: z
        .array(
          z.object({ generation: whole, file: z.string(), importedAt: z.string(), records: whole, families: whole }),
        )
        .describe('Catalogs before this one that can be put back, newest first.'),
      pictures: z
        .object({
          fetched: whole,
          failed: whole,
          hosts: z.array(z.object({ host: z.string(), failed: whole, problem: z.string() })),
        })
        .describe(
          'Pictures of other hosts that were asked for since the server started, and those that could not be had.',
        ),
      job: importJobSchema.nullable(),
    }),
  }),
  startImport: endpoint({
    ...paths.startImport,
    summary:
      'Receives a catalog file (CSV, JSON, JSON Lines or JSON-LD as the request body) and looks at it; the catalog in force serves on.',
    query: z.object({ file: z.string().max(200).default('catalog.csv') }),
    body: none,
    answer: importJobSchema,
  }),
  importJob: endpoint({
    ...paths.importJob,
    summary: 'The import under way, or the last one.',
    query: none,
    body: none,
    answer: z.object({ job: importJobSchema.nullable() }),
  }),
  examined: endpoint({
    ...paths.examined,
    summary: 'What is known of the file received: how it is written, its columns, and the mapping proposed.',
    query: none,
    body: none,
    answer: examinedSchema,
  }),
  lookAgain: endpoint({
    ...paths.lookAgain,
    summary: 'Looks at the received file again, written as said.',
    query: none,
    body: fileFormSchema,
    answer: importJobSchema,
  }),
  readImport: endpoint({
    ...paths.readImport,
    mostBytes: 4_000_000,
    summary: 'Reads the received file by a mapping into a catalog that is not in force yet.',
    query: none,
    body: z.strictObject({ mapping: mappingSchema, mode: z.enum(['replace', 'update']) }),
    answer: importJobSchema,
  }),
  differences: endpoint({
    ...paths.differences,
    summary: 'Examples of what the catalog that is ready changes against the one in force.',
    query: z.object({ kind: z.enum(['added', 'changed', 'gone']) }),
    body: none,
    answer: z.object({ rows: z.array(differenceRowSchema) }),
  }),
  rejectedRows: endpoint({
    ...paths.rejectedRows,
    summary:
      'The rows that were refused, of the catalog in force or of the one that is ready. The same with .csv at the end of the path is a CSV file.',
    query: z.object({ of: z.enum(['force', 'ready']).default('force') }),
    body: none,
    answer: z.object({ rows: z.array(rejectedRowSchema) }),
  }),
  concerns: endpoint({
    ...paths.concerns,
    summary: 'What is to be asked about before the catalog that is ready replaces the one in force.',
    query: none,
    body: none,
    answer: z.object({
      concerns: z.array(z.object({ code: z.enum(concernCodes), message: z.string(), examples: z.array(z.string()) })),
    }),
  }),
  putBackCatalog: endpoint({
    ...paths.putBackCatalog,
    summary: 'Puts an earlier catalog in force again, with the prices and stock that feeds told since.',
    query: none,
    body: z.strictObject({ generation: whole.min(1) }),
    answer: importJobSchema,
  }),
  commitImport: endpoint({
    ...paths.commitImport,
    summary:
      'Puts the catalog that is ready in force, in one step; what has to be asked about first is to be accepted.',
    query: none,
    body: z.strictObject({
      accept: z.array(z.enum(concernCodes)).max(concernCodes.length).default([]),
      also: z
        .array(z.string().max(80))
        .max(mostStorefronts)
        .default([])
        .describe('Other storefronts that read the file too, each by its own mapping.'),
    }),
    answer: importJobSchema,
  }),
  cancelImport: endpoint({
    ...paths.cancelImport,
    summary: 'Stops the import under way, or gives up what is ready; the catalog stays as it was.',
    query: none,
    body: none,
    answer: none,
  }),
  sources: endpoint({
    ...paths.sources,
    summary: 'The files that the catalog in force was read from, with their mappings.',
    query: none,
    body: none,
    answer: z.object({
      sources: z.array(z.object({ number: whole, file: z.string(), records: whole, mapping: mappingSchema })),
    }),
  }),
  readAgain: endpoint({
    ...paths.readAgain,
    mostBytes: 4_000_000,
    summary: 'Reads the rows in force again by other mappings, into a catalog that is not in force yet.',
    query: none,
    body: z.strictObject({
      mappings: z
        .array(z.strictObject({ number: whole, mapping: mappingSchema }))
        .min(0)
        .max(100),
    }),
    answer: importJobSchema,
  }),
  correctFamilies: endpoint({
    ...paths.correctFamilies,
    mostBytes: 4_000_000,
    summary: 'Says to which product records belong, whatever their file says; holds from the next reading on.',
    query: none,
    body: z.strictObject({
      records: z.array(z.string().min(1).max(200)).min(1).max(500),
      family: z.string().min(1).max(200).nullable(),
    }),
    answer: none,
  }),
  corrections: endpoint({
    ...paths.corrections,
    summary: 'Records whose product was put right by hand.',
    query: none,
    body: none,
    answer: z.object({ corrections: z.array(z.object({ record: z.string(), title: z.string(), family: z.string() })) }),
  }),
  duplicates: endpoint({
    ...paths.duplicates,
    summary: 'Products that differ in almost nothing, with what helps to choose among them.',
    query: none,
    body: none,
    answer: z.object({ groups: z.array(duplicatesSchema), looked: whole }),
  }),
} as const;
