import type { OpenAPIHono } from '@hono/zod-openapi';
import { catalogEndpoints } from '../../api/catalogEndpoints.ts';
import { filePaths } from '../../api/paths.ts';
import { checkMapping } from '../../core/catalog/mapping.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { writeCsv } from '../../core/catalog/writeCsv.ts';
import { openRecords, readDifferences, readRejected } from '../catalog/catalogReader.ts';
import { Refused } from '../refused.ts';
import { concernsAbout } from './concernsAbout.ts';
import { receiveFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

const rejectedShown = 500;
const rejectedSaved = 10_000;
const differencesShown = 500;

const busy = () =>
  new Refused(409, {
    code: 'import-under-way',
    message: 'Another file is being imported. Wait for it or cancel it.',
  });
const nothingReceived = () =>
  new Refused(409, { code: 'no-file', message: 'There is no file to read. Choose one first.' });
const nothingReady = () =>
  new Refused(409, { code: 'nothing-ready', message: 'No catalog is waiting to replace the live one.' });

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

/** A file comes in, is looked at and read, or the rows in force are read again. */
function serveReading(serve: Serve, { catalogs, imports, folder }: Services): void {
  serve(catalogEndpoints.importJob, () => ({ job: imports.last() }));
  serve(
    catalogEndpoints.startImport,
    async ({ file }, _, context) => {
      // Refused before a byte of it is received.
      if (!imports.receive(file)) throw busy();
      try {
        const path = await receiveFile(context, folder, 'catalog');
        const job = imports.received(path);
        if (!job) throw new Refused(409, { code: 'cancelled', message: 'The import was cancelled.' });
        return job;
      } catch (error) {
        imports.notReceived('The file did not arrive whole.');
        throw error;
      }
    },
    false,
  );
  serve(catalogEndpoints.examined, () => {
    const examined = imports.examined();
    if (!examined) throw nothingReceived();
    return examined;
  });
  serve(catalogEndpoints.lookAgain, (_, form) => {
    const job = imports.lookAgain(form);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve(catalogEndpoints.readImport, async (_, { mapping, mode }) => {
    refuseMistakes(mapping);
    const job = await imports.read(mapping, mode);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve(catalogEndpoints.sources, () => ({ sources: catalogs.current()?.sources() ?? [] }));
  serve(catalogEndpoints.readAgain, async (_, body) => {
    if (imports.isBusy()) throw busy();
    if (catalogs.comparable() === 0)
      throw new Refused(409, {
        code: 'no-sources',
        message: 'The rows this catalog was read from are not kept. Import the file again.',
      });
    for (const { mapping } of body.mappings) refuseMistakes(mapping);
    const mappingsByNumber = Object.fromEntries(body.mappings.map(({ number, mapping }) => [number, mapping]));
    const job = await imports.readAgain(mappingsByNumber, catalogs.info()?.file ?? 'the catalog');
    if (!job) throw busy();
    return job;
  });
}

/** What was read and waits: what it changes and what was refused. */
function serveReady(app: OpenAPIHono, serve: Serve, { catalogs, imports, folder }: Services): void {
  /** Reads what a generation that is not in force noted about itself. */
  const ofReady = <Read>(read: (db: ReturnType<typeof openRecords>) => Read): Read => {
    const ready = imports.ready();
    if (!ready) throw nothingReady();
    const records = openRecords(folder, ready.generation);
    try {
      return read(records);
    } finally {
      records.close();
    }
  };
  serve(catalogEndpoints.differences, ({ kind }) => ({
    rows: ofReady((records) => readDifferences(records, kind, differencesShown)),
  }));
  const rejectedRows = (of: 'force' | 'ready', limit: number) =>
    of === 'ready' && imports.ready()
      ? ofReady((records) => readRejected(records, limit))
      : (catalogs.current()?.rejectedRows(limit) ?? []);
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
}

/** What was read is put in force or dropped, or a catalog of before is put back. */
function servePuttingInForce(serve: Serve, services: Services): void {
  const { imports } = services;
  serve(catalogEndpoints.concerns, async () => ({ concerns: await concernsAbout(services) }));
  serve(catalogEndpoints.commitImport, async (_, { accept }) => {
    const open = (await concernsAbout(services)).filter(({ code }) => !accept.includes(code));
    if (open.length > 0)
      throw new Refused(409, {
        code: 'needs-confirmation',
        message: `${open.map(({ message }) => message).join(' ')} Nothing was changed.`,
        details: open,
      });
    const job = await imports.commit();
    if (!job) throw imports.isBusy() ? busy() : nothingReady();
    return job;
  });
  serve(catalogEndpoints.putBackCatalog, async (_, { generation }) => {
    const job = await imports.putBack(generation);
    if (!job) throw busy();
    return job;
  });
  serve(
    catalogEndpoints.cancelImport,
    async () => {
      await imports.cancel();
      return {};
    },
    false,
  );
}

/** Bringing a catalog in. */
export function serveImport(app: OpenAPIHono, serve: Serve, services: Services): void {
  serveReading(serve, services);
  serveReady(app, serve, services);
  servePuttingInForce(serve, services);
}
