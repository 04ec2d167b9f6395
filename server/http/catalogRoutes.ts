import { createReadStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { catalogEndpoints } from '../../api/catalogEndpoints.ts';
import { filePaths } from '../../api/paths.ts';
import { firstText } from '../../core/catalog/record.ts';
import { exportFormats } from '../../core/catalog/writeCatalog.ts';
import { countContent } from '../catalog/content.ts';
import { problem } from './problems.ts';
import type { Services } from './services.ts';
import { routeOf, type Serve } from './serving.ts';
import { nameOfStorefront } from './storefrontNames.ts';
import { whereaboutsOf } from './whereabouts.ts';

/** What is known of the catalog in force, and the whole of it to take away. */
export function serveCatalog(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { db, writer, searcher, pictures } = services;
  const { deskIn } = whereaboutsOf(services);
  const nameOf = (storefront: string) => ({ id: storefront, name: nameOfStorefront(services, storefront) });
  serve.desk(catalogEndpoints.catalog, ({ id, catalogs, imports }) => {
    const info = catalogs.info();
    const heads = services.storefronts.storefronts();
    const shares = heads.find((head) => head.id === id)?.shares ?? null;
    return {
      file: info?.file ?? '',
      importedAt: info ? new Date(info.at).toISOString() : '',
      records: info?.records ?? 0,
      families: info?.families ?? 0,
      rejected: info?.rejected ?? 0,
      indexBytes: info?.index_bytes ?? 0,
      language: catalogs.current()?.snapshot.language ?? null,
      shares: shares === null ? null : nameOf(shares),
      sharedBy: heads.filter((head) => head.shares === id).map((head) => nameOf(head.id)),
      articles: countContent(db, id, 'article'),
      collections: countContent(db, id, 'collection'),
      earlier: catalogs.earlier().map(({ generation, file, at, records, families }) => ({
        ...{ generation, file, records, families },
        importedAt: new Date(at).toISOString(),
      })),
      pictures: pictures.tally(),
      job: imports.last(),
    };
  });
  app.get(routeOf(filePaths.exportCatalog), async (context) => {
    const format = exportFormats.find((each) => each === (context.req.query('format') ?? 'csv'));
    if (!format)
      return problem(context, 400, {
        code: 'invalid-parameter',
        message: `format: is one of ${exportFormats.join(', ')}.`,
        field: 'format',
      });
    const path = await searcher.exportCatalog((await deskIn(context)).ref, format);
    const type = { csv: 'text/csv', jsonl: 'application/jsonl', jsonld: 'application/ld+json' }[format];
    context.header('content-type', `${type}; charset=utf-8`);
    context.header('content-disposition', `attachment; filename="catalog.${format}"`);
    const file = createReadStream(path);
    // The file is open or will never be read: either way its name is no longer needed once the stream has closed.
    file.on('close', () => void rm(path, { force: true }).catch(() => {}));
    return context.body(Readable.toWeb(file) as ReadableStream);
  });
  serve.desk(catalogEndpoints.correctFamilies, async ({ id }, _, { records, family }) => {
    await writer.correctFamilies(id, records, family);
    return {};
  });
  serve.desk(catalogEndpoints.corrections, ({ catalogs, mappings }) => {
    const reader = catalogs.current();
    return {
      corrections: Object.entries(mappings.corrections()).map(([record, family]) => {
        const ordinal = reader?.findRecord(record) ?? -1;
        return { record, family, title: ordinal < 0 ? '' : firstText(reader!.record(ordinal).values.title) };
      }),
    };
  });
  serve.desk(catalogEndpoints.duplicates, ({ ref }) => searcher.duplicates(ref));
}
