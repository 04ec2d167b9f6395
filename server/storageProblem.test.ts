import { expect, test } from '@jest/globals';
import { storageRefusal } from './storageProblem.ts';

const database = '/data/shelf.sqlite';
const told = (code: string, path?: string) => storageRefusal(Object.assign(new Error(code), { code, path }), database);

test.each([
  ['SQLITE_BUSY', 503, 'storage-busy'],
  ['SQLITE_BUSY_SNAPSHOT', 503, 'storage-busy'],
  ['SQLITE_FULL', 507, 'disk-full'],
  ['ENOSPC', 507, 'disk-full'],
  ['SQLITE_READONLY', 503, 'read-only'],
  ['EROFS', 503, 'read-only'],
  ['SQLITE_CORRUPT', 503, 'storage-damaged'],
  ['SQLITE_IOERR_READ', 503, 'storage-gone'],
])('%s is reported as %i %s, with what is safe', (code, status, kind) => {
  const refusal = told(code)!;
  expect([refusal.status, refusal.problem.code]).toEqual([status, kind]);
  expect(refusal.problem.message).toContain('Nothing was saved');
  if (kind !== 'storage-busy') expect(refusal.problem.message).toContain(database);
});
test('the file is named where the system says which', () =>
  expect(told('ENOSPC', '/data/catalogs/7.index')?.problem.message).toContain('/data/catalogs/7.index'));
test('a mistake of ours is none of the disk’s', () => {
  expect(told('ERR_ASSERTION')).toBeNull();
  expect(storageRefusal(new TypeError('x is undefined'), database)).toBeNull();
});
