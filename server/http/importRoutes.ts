import type { OpenAPIHono } from '@hono/zod-openapi';
import { catalogEndpoints } from '../../api/catalogEndpoints.ts';
import { filePaths } from '../../api/paths.ts';
import { checkMapping } from '../../core/catalog/mapping.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { writeCsv } from '../../core/catalog/writeCsv.ts';
import { openRecords, readDifferences, readRejected } from '../catalog/catalogReader.ts';
import { noSuchStorefront, Refused } from '../refused.ts';
import { firstDraft } from '../store/setupStore.ts';
import { concernsAbout } from './concernsAbout.ts';
import { receiveFile } from './receiveFile.ts';
import type { Desk, Services } from './services.ts';
import { routeOf, type Serve } from './serving.ts';
import { whereaboutsOf } from './whereabouts.ts';

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

/** A storefront that shares another one's records brings none in by itself. */
function refuseShared({ storefronts }: Pick<Services, 'storefronts'>, id: string): void {
  const shares = storefronts.storefront(id)?.shares ?? null;
  if (shares !== null)
    throw new Refused(409, {
      code: 'shares-records',
      message: `The storefront “${id}” shares the records of “${shares}”. Bring the file in there, or make the records its own first.`,
    });
}

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
function serveReading(serve: Serve, services: Pick<Services, 'folder' | 'storefronts'>): void {
  const { folder } = services;
  serve.desk(catalogEndpoints.importJob, ({ imports }) => ({ job: imports.last() }));
  serve.desk(
    catalogEndpoints.startImport,
    async ({ id, imports }, { file }, _, context) => {
      refuseShared(services, id);
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
  serve.desk(catalogEndpoints.examined, ({ imports }) => {
    const examined = imports.examined();
    if (!examined) throw nothingReceived();
    return examined;
  });
  serve.desk(catalogEndpoints.lookAgain, ({ imports }, _, form) => {
    const job = imports.lookAgain(form);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve.desk(catalogEndpoints.readImport, async ({ imports }, _, { mapping, mode }) => {
    refuseMistakes(mapping);
    const job = await imports.read(mapping, mode);
    if (!job) throw imports.isBusy() ? busy() : nothingReceived();
    return job;
  });
  serve.desk(catalogEndpoints.sources, ({ catalogs }) => ({ sources: catalogs.current()?.sources() ?? [] }));
  serve.desk(catalogEndpoints.readAgain, async ({ catalogs, imports }, _, body) => {
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
function serveReady(app: OpenAPIHono, serve: Serve, services: Services): void {
  const { folder } = services;
  const { deskIn } = whereaboutsOf(services);
  /** Reads what a generation that is not in force noted about itself. */
  const ofReady = <Read>({ imports }: Desk, read: (db: ReturnType<typeof openRecords>) => Read): Read => {
    const ready = imports.ready();
    if (!ready) throw nothingReady();
    const records = openRecords(folder, ready.generation);
    try {
      return read(records);
    } finally {
      records.close();
    }
  };
  serve.desk(catalogEndpoints.differences, (here, { kind }) => ({
    rows: ofReady(here, (records) => readDifferences(records, kind, differencesShown)),
  }));
  const rejectedRows = (here: Desk, of: 'force' | 'ready', limit: number) =>
    of === 'ready' && here.imports.ready()
      ? ofReady(here, (records) => readRejected(records, limit))
      : (here.catalogs.current()?.rejectedRows(limit) ?? []);
  serve.desk(catalogEndpoints.rejectedRows, (here, { of }) => ({ rows: rejectedRows(here, of, rejectedShown) }));
  app.get(routeOf(filePaths.rejectedRows), async (context) => {
    const rows = rejectedRows(
      await deskIn(context),
      context.req.query('of') === 'ready' ? 'ready' : 'force',
      rejectedSaved,
    );
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
  const { searcher, sharing, at } = services;
  /** Reads the rows in force into another storefront; where nothing is to be asked about there, it puts them in force. */
  const bringInto = async (from: string, to: string): Promise<void> => {
    if (!(await sharing.readInto(from, to))) return;
    const { imports, catalogs } = at(to);
    const ref = { storefront: to, draft: firstDraft };
    if ((await concernsAbout({ ref, imports, catalogs }, searcher)).length === 0) await imports.commit();
  };
  /** What others have of a catalog that was put in force, one after the other. */
  const intoOthers = async (from: string, also: readonly string[]): Promise<void> => {
    await sharing.catchUp();
    for (const to of also) if (to !== from) await bringInto(from, to).catch(services.noteMistake);
  };
  serve.desk(catalogEndpoints.concerns, async (here) => ({ concerns: await concernsAbout(here, searcher) }));
  serve.desk(catalogEndpoints.commitImport, async (here, _, { accept, also }) => {
    const { imports } = here;
    // Refused before anything is put in force: a storefront named by mistake would get rows that nobody sees.
    for (const to of also) {
      if (!services.storefronts.storefront(to)) throw noSuchStorefront();
      refuseShared(services, to);
    }
    const open = (await concernsAbout(here, searcher)).filter(({ code }) => !accept.includes(code));
    if (open.length > 0)
      throw new Refused(409, {
        code: 'needs-confirmation',
        message: `${open.map(({ message }) => message).join(' ')} Nothing was changed.`,
        details: open,
      });
    const job = await imports.commit();
    if (!job) throw imports.isBusy() ? busy() : nothingReady();
    here.tellAround('put another catalog in force');
    void intoOthers(here.id, also);
    return job;
  });
  serve.desk(catalogEndpoints.putBackCatalog, async ({ id, imports, tellAround }, _, { generation }) => {
    refuseShared(services, id);
    const job = await imports.putBack(generation);
    if (!job) throw busy();
    tellAround('put an earlier catalog back');
    void intoOthers(id, []);
    return job;
  });
  serve.desk(
    catalogEndpoints.cancelImport,
    async ({ imports }) => {
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
