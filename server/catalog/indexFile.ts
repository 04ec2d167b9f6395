import { closeSync, fstatSync, fsyncSync, openSync, readSync, renameSync, writeSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { crc32 } from 'node:zlib';

/** What an index file was when it was written; kept with the rows it was built from. */
export interface IndexNote {
  readonly bytes: number;
  /** CRC-32 of the whole file: finds every single changed stretch of up to 32 bits, and all but one in 4 billion others. */
  readonly crc: number;
}

/** An index file that is not the one that was written. It can be built again from the rows. */
export class IndexDamaged extends Error {
  readonly path: string;
  constructor(path: string, what: string) {
    super(`The index ${path} ${what}.`);
    this.path = path;
  }
}

const chunk = 1 << 24;

/**
 * Writes an index so that it is either whole under its name or not there at all. The checksum is counted while the bytes
 * are at hand: about 0.3 ms a megabyte, where reading a megabyte from a disk takes several.
 */
export function writeIndex(path: string, bytes: Uint8Array): IndexNote {
  const file = openSync(`${path}.part`, 'w');
  let crc = 0;
  try {
    for (let at = 0; at < bytes.length; ) {
      const written = writeSync(file, bytes, at, Math.min(bytes.length - at, chunk));
      crc = crc32(bytes.subarray(at, at + written), crc);
      at += written;
    }
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameSync(`${path}.part`, path);
  return { bytes: bytes.length, crc };
}

/** Holds what was read to what was written; an index of before checksums were kept has only its own head to go by. */
function held(path: string, size: number, crc: number, note: IndexNote | null): void {
  if (note === null) return;
  if (size !== note.bytes) throw new IndexDamaged(path, `has ${size} bytes instead of ${note.bytes}`);
  if (crc !== note.crc) throw new IndexDamaged(path, 'has other contents than were written');
}

const missing = (path: string, error: unknown): unknown =>
  (error as NodeJS.ErrnoException).code === 'ENOENT' ? new IndexDamaged(path, 'is missing') : error;

/** Reads an index file into memory that threads can share. Throws `IndexDamaged` where it is not the one written. */
export function readIndex(path: string, note: IndexNote | null): SharedArrayBuffer {
  let file: number;
  try {
    file = openSync(path, 'r');
  } catch (error) {
    throw missing(path, error);
  }
  try {
    const { size } = fstatSync(file);
    if (note && size !== note.bytes) held(path, size, 0, note);
    const buffer = new SharedArrayBuffer(size);
    const bytes = new Uint8Array(buffer);
    let crc = 0;
    for (let at = 0; at < size; ) {
      const read = readSync(file, bytes, at, Math.min(size - at, chunk), at);
      if (read === 0) throw new IndexDamaged(path, 'ends early');
      crc = crc32(bytes.subarray(at, at + read), crc);
      at += read;
    }
    held(path, size, crc, note);
    return buffer;
  } finally {
    closeSync(file);
  }
}

/** The same without holding up the thread while the disk is read. */
export async function readIndexLater(path: string, note: IndexNote | null): Promise<SharedArrayBuffer> {
  const file = await open(path, 'r').catch((error) => {
    throw missing(path, error);
  });
  try {
    const { size } = await file.stat();
    if (note && size !== note.bytes) held(path, size, 0, note);
    const buffer = new SharedArrayBuffer(size);
    const bytes = new Uint8Array(buffer);
    let crc = 0;
    for (let at = 0; at < size; ) {
      const { bytesRead } = await file.read(bytes, at, Math.min(size - at, chunk), at);
      if (bytesRead === 0) throw new IndexDamaged(path, 'ends early');
      crc = crc32(bytes.subarray(at, at + bytesRead), crc);
      at += bytesRead;
    }
    held(path, size, crc, note);
    return buffer;
  } finally {
    await file.close();
  }
}
