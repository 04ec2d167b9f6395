import { pathToFileURL } from 'node:url';
import { expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openCatalog } from './catalogReader.ts';
import { openImportJobs } from './importJobs.ts';

test('a catalog that is being put back is not tidied away, whenever threads of an older one end', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  await shelf.bringIn(smallCatalog.replaceAll('brush', 'broom'));
  const { folder, catalogs } = shelf;
  const jobs = openImportJobs({
    ...shelf,
    storefront: shelf.id,
    writer: {
      ...shelf.writer,
      async putBack(...given) {
        const copied = await shelf.writer.putBack(...given);
        await jobs.tidy();
        return copied;
      },
    },
    worker: pathToFileURL('no-thread-is-needed'),
    now: () => 5,
    terms: () => ({}),
    used: () => new Set(),
    removeFile: () => true,
    async handOver(generation, putInForce) {
      openCatalog(folder, generation);
      await putInForce();
    },
  });
  const [earlier] = catalogs.earlier();
  const job = await jobs.putBack(earlier!.generation);
  expect(job).toMatchObject({ phase: 'done', records: 4 });
  expect(catalogs.current()!.record(0).values.title).toMatch(/brush/);
  shelf.remove();
});
