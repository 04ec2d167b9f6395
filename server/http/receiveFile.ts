import { createWriteStream, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import type { Context } from 'hono';
import { FileProblem } from '../catalog/sources/source.ts';
import type { DataFolder } from '../dataFolder.ts';
import { Refused } from '../refused.ts';

/** Largest files taken, in bytes. */
export const largest = { catalog: 4 * 1024 ** 3, log: 1024 ** 3, content: 128 * 1024 ** 2 } as const;
let received = 0;

const noFile = (): Refused => new Refused(400, { code: 'no-file', message: 'The request holds no file.' });
const tooLarge = (most: number): Refused =>
  new Refused(413, {
    code: 'file-too-large',
    message: `The file is larger than ${most / 1024 ** 2} MB. Nothing was imported.`,
  });

/** A request's body of at most so many bytes. */
export async function bodyOf(context: Context, most: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  for await (const chunk of (context.req.raw.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += chunk.length;
    if (bytes > most) throw tooLarge(most);
    chunks.push(chunk);
  }
  if (bytes === 0) throw noFile();
  return Buffer.concat(chunks);
}

/** Writes a request's body into the folder of incoming files; answers where it stands. */
export async function receiveFile(context: Context, folder: DataFolder, kind: keyof typeof largest): Promise<string> {
  const body = context.req.raw.body;
  if (!body) throw noFile();
  const path = join(folder.incoming, `${process.pid}-${++received}.file`);
  let bytes = 0;
  const limited = async function* (chunks: AsyncIterable<Uint8Array>) {
    for await (const chunk of chunks) {
      bytes += chunk.length;
      if (bytes > largest[kind]) throw tooLarge(largest[kind]);
      yield chunk;
    }
  };
  try {
    await pipeline(Readable.fromWeb(body as ReadableStream<Uint8Array>), limited, createWriteStream(path));
  } catch (error) {
    rmSync(path, { force: true });
    throw error;
  }
  return path;
}

/** Receives a file, does something with it and removes it; a file that cannot be read is a refusal. */
export async function withFile<Answer>(
  context: Context,
  folder: DataFolder,
  kind: keyof typeof largest,
  use: (path: string) => Promise<Answer>,
): Promise<Answer> {
  const path = await receiveFile(context, folder, kind);
  try {
    return await use(path);
  } catch (error) {
    if (error instanceof FileProblem) throw new Refused(400, { code: error.code, message: error.message });
    throw error;
  } finally {
    rmSync(path, { force: true });
  }
}
