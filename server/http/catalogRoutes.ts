import type { OpenAPIHono } from '@hono/zod-openapi';
import { stream } from 'hono/streaming';
import { catalogEndpoints } from '../../api/catalogEndpoints.ts';
import { filePaths } from '../../api/paths.ts';
import { checkMapping } from '../../core/catalog/mapping.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { firstText } from '../../core/catalog/record.ts';
import { exportFormats } from '../../core/catalog/writeCatalog.ts';
import { writeCsv } from '../../core/catalog/writeCsv.ts';
import { openCatalog } from '../catalog/catalogReader.ts';
import { countContent } from '../catalog/content.ts';
import { exportCatalog } from '../catalog/exportCatalog.ts';
import { namesFrom } from './deskState.ts';
import { problem } from './problems.ts';
import { receiveFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import { Refused, type Serve } from './serving.ts';

const rejectedShown = 500;
const rejectedSaved = 10_000;
const differencesShown = 500;

const busy = () =>
  new Refused(409, {
    code: 'import-under-way',
    message: 'Another file is being read. Wait for it or cancel it.',
  });
const nothingReceived = () =>
  new Refused(409, { code: 'no-file', message: 'There is no file to read. Choose one first.' });

function refuseMistakes(mapping: Mapping): void {
  const [problem] = checkMapping(mapping);
  if (problem)
    throw new Refused(400, {
      code: 'invalid-mapping',
      message: problem.message,
      field: problem.column,
      details: checkMapping(mapping),
    });
}

/** Bringing a catalog in, and what is known of it. */
export function serveCatalog(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { db, catalogs, imports, mappings, folder } = services;
  serve(catalogEndpoints.catalog, () => {
    const info = catalogs.info();
    return {
      file: info?.file ?? '',
      importedAt: info ? new Date(info.at).toISOString() : '',
      records: info?.records ?? 0,
      families: info?.families ?? 0,
      rejected: info?.rejected ?? 0,
      indexBytes: info?.index_bytes ?? 0,
      articles: countContent(db, 'article'),
      collections: countContent(db, 'collection'),
      job: imports.last(),
    };
  });
  serve(catalogEndpoints.importJob, () => ({ job: imports.last() }));
  serve(
    catalogEndpoints.startImport,
    async ({ file }, _, context) => {
      if (imports.isBusy()) throw busy();
      const path = await receiveFile(context, folder);
      return imports.receive(path, file);
    },
    false,
  );
  serve(catalogEndpoints.examined, () => {
    const examined = imports.examined();
    if (!examined) throw nothingReceived();
    return structuredClone(examined) as never;
  });
  serve(catalogEndpoints.lookAgain, (_, form) => {
    const job = imports.lookAgain(form);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve(catalogEndpoints.readImport, (_, { mapping, mode }) => {
    refuseMistakes(mapping);
    const job = imports.read(mapping, mode);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve(catalogEndpoints.differences, ({ kind }) => {
    const ready = imports.ready();
    if (!ready)
      throw new Refused(409, { code: 'nothing-ready', message: 'No catalog is waiting to be put in the shop.' });
    const reader = openCatalog(folder, ready.generation);
    try {
      return { rows: reader.differences(kind, differencesShown) };
    } finally {
      reader.close();
    }
  });
  const rejectedRows = (of: 'force' | 'ready', limit: number) => {
    const ready = of === 'ready' ? imports.ready() : null;
    if (!ready) return catalogs.current()?.rejectedRows(limit) ?? [];
    const reader = openCatalog(folder, ready.generation);
    try {
      return reader.rejectedRows(limit);
    } finally {
      reader.close();
    }
  };
  serve(catalogEndpoints.rejectedRows, ({ of }) => ({ rows: rejectedRows(of, rejectedShown) }));
  app.get(filePaths.rejectedRows, (context) => {
    const rows = rejectedRows(context.req.query('of') === 'ready' ? 'ready' : 'force', rejectedSaved);
    context.header('content-type', 'text/csv; charset=utf-8');
    context.header('content-disposition', 'attachment; filename="refused-rows.csv"');
    return context.body(
      writeCsv(
        ['line', 'column', 'reason'],
        rows.map(({ line, column, reason }) => [String(line), column, reason]),
      ),
    );
  });
  app.get(filePaths.exportCatalog, (context) => {
    const format = exportFormats.find((each) => each === (context.req.query('format') ?? 'csv'));
    const standing = catalogs.standing();
    if (!format || !standing)
      return problem(context, 400, {
        code: 'invalid-parameter',
        message: standing ? `format: is one of ${exportFormats.join(', ')}.` : 'There is no catalog to take away yet.',
        field: 'format',
      });
    const draft = services.setups.draft();
    const view = standing.view(draft);
    const { currency } = draft.storefront.shop;
    const type = { csv: 'text/csv', jsonl: 'application/jsonl', jsonld: 'application/ld+json' }[format];
    context.header('content-type', `${type}; charset=utf-8`);
    context.header('content-disposition', `attachment; filename="catalog.${format}"`);
    return stream(context, async (out) => {
      for (const piece of exportCatalog(view, format, currency)) await out.write(piece);
    });
  });
  serve(catalogEndpoints.commitImport, () => {
    const job = imports.commit();
    if (!job)
      throw new Refused(409, { code: 'nothing-ready', message: 'No catalog is waiting to be put in the shop.' });
    return job;
  });
  serve(
    catalogEndpoints.cancelImport,
    () => {
      imports.cancel();
      return {};
    },
    false,
  );
  serve(catalogEndpoints.sources, () => ({ sources: catalogs.current()?.sources() ?? [] }));
  serve(catalogEndpoints.readAgain, (_, body) => {
    if (imports.isBusy()) throw busy();
    if (catalogs.comparable() === 0)
      throw new Refused(409, {
        code: 'no-sources',
        message: 'The rows this catalog was read from are not kept. Bring the file in again.',
      });
    for (const { mapping } of body.mappings) refuseMistakes(mapping);
    return imports.readAgain(
      Object.fromEntries(body.mappings.map(({ number, mapping }) => [number, mapping])),
      catalogs.info()?.file ?? 'the catalog',
    );
  });
  serve(catalogEndpoints.correctFamilies, (_, { records, family }) => {
    mappings.correct(records, family);
    return {};
  });
  serve(catalogEndpoints.corrections, () => {
    const reader = catalogs.current();
    return {
      corrections: Object.entries(mappings.corrections()).map(([record, family]) => {
        const ordinal = reader?.findRecord(record) ?? -1;
        return { record, family, title: ordinal < 0 ? '' : firstText(reader!.record(ordinal).values.title) };
      }),
    };
  });
  serve(catalogEndpoints.twins, () => {
    const catalog = catalogs.current();
    const names = namesFrom(catalogs);
    const found = catalog?.twins() ?? [];
    return {
      looked: catalog?.snapshot.families ?? 0,
      twins: found.slice(0, 500).map(({ families, differs }) => ({
        differs: differs.map((key) => names.attribute(key)),
        products: families.flatMap((id) => {
          const record = catalog!.familyRecord(id);
          if (!record) return [];
          const { price, picture, title } = record.values;
          return [
            {
              id,
              title: firstText(title),
              picture: firstText(picture) || null,
              price: typeof price === 'number' ? price : null,
            },
          ];
        }),
      })),
    };
  });
}
