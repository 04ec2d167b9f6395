import { Refused } from './refused.ts';

const codeOf = (error: unknown): string => String((error as { code?: unknown } | null)?.code ?? '');

/** The file a system error is about, where it says one; else the database that everything is written to. */
const fileOf = (error: unknown, database: string): string => {
  const { path } = (error ?? {}) as { path?: unknown };
  return typeof path === 'string' ? path : database;
};

/**
 * What a failure of the disk or the database means for the person who asked: one sentence on what happened, with the
 * file, one on what is safe. Null where the error is none of these.
 */
export function storageRefusal(error: unknown, database: string): Refused | null {
  const code = codeOf(error);
  const file = fileOf(error, database);
  const said = (status: 503 | 507, kind: string, message: string): Refused =>
    new Refused(status, { code: kind, message });
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return said(
      503,
      'storage-busy',
      'The database is in use by another program. Nothing was saved; try again in a few seconds. Shoppers are served as before.',
    );
  if (code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EDQUOT')
    return said(
      507,
      'disk-full',
      `The disk that holds ${file} is full. Nothing was saved, and what was saved before is safe. Free some space and try again.`,
    );
  if (code.startsWith('SQLITE_READONLY') || code === 'EROFS' || code === 'EACCES' || code === 'EPERM')
    return said(
      503,
      'read-only',
      `${file} cannot be written. Nothing was saved, and what was saved before is safe. Allow writing to it and try again.`,
    );
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return said(
      503,
      'storage-damaged',
      `${file} is damaged. Nothing was saved. Stop the application and put back a copy of the data folder.`,
    );
  if (code.startsWith('SQLITE_IOERR') || code.startsWith('SQLITE_CANTOPEN') || code === 'EIO' || code === 'ENOENT')
    return said(
      503,
      'storage-gone',
      `${file} cannot be reached. Nothing was saved. Check the disk and the data folder, then try again.`,
    );
  return null;
}
