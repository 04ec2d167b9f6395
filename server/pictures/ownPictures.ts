import { createHash } from 'node:crypto';
import { mkdir, readdir, readFile, rename, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { KeptPicture } from './pictureCache.ts';
import { pictureKind, pictureKinds } from './pictureKind.ts';

/** Most that pictures brought in as files may take on the disk, in bytes. */
const mostBytes = 1024 ** 3;

/**
 * Pictures brought in as files, kept in the data folder with the setups that name them. One is named by its content: the
 * same picture is kept once, and what a name stands for never changes. None is removed, since a release or the history may
 * name it still.
 */
export interface OwnPictures {
  /** Keeps a picture; answers its name, or why it is not kept. */
  keep(bytes: Uint8Array): Promise<{ readonly name: string } | { readonly problem: 'no-picture' | 'no-room' }>;
  find(name: string): Promise<KeptPicture | null>;
}

const names = /^[0-9a-f]{32}\.(\w+)$/;

export function openOwnPictures(folder: string, limit = mostBytes): OwnPictures {
  let written = 0;
  const known = async (): Promise<Map<string, number>> => {
    const found = (await readdir(folder).catch(() => [])).filter((name) => names.test(name));
    const sizes = await Promise.all(found.map(async (name) => (await stat(join(folder, name))).size));
    return new Map(found.map((name, at) => [name, sizes[at]!]));
  };
  return {
    async keep(bytes) {
      const type = await pictureKind(bytes);
      if (type === null) return { problem: 'no-picture' };
      const name = `${createHash('sha256').update(bytes).digest('hex').slice(0, 32)}.${pictureKinds.get(type)}`;
      const kept = await known();
      if (kept.has(name)) return { name };
      const taken = [...kept.values()].reduce((sum, size) => sum + size, 0);
      if (taken + bytes.length > limit) return { problem: 'no-room' };
      await mkdir(folder, { recursive: true });
      // Nobody meets half a picture: it is written beside and then given its name.
      const beside = join(folder, `${process.pid}-${++written}.part`);
      await writeFile(beside, bytes);
      await rename(beside, join(folder, name));
      return { name };
    },
    async find(name) {
      const ending = names.exec(name)?.[1];
      if (ending === undefined) return null;
      const bytes = await readFile(join(folder, name)).catch(() => null);
      return bytes && { bytes, type: `image/${ending}` };
    },
  };
}
