import { createHash } from 'node:crypto';
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Most that fetched pictures may take on the disk, in bytes, and how long one is kept, in milliseconds. */
const cacheLimits = { bytes: 512 * 1024 * 1024, milliseconds: 7 * 86_400_000 } as const;

export interface KeptPicture {
  readonly bytes: Buffer;
  readonly type: string;
}

/**
 * Pictures of other hosts, kept on the disk by address. Those asked for longest ago make room for new ones. A disk that
 * cannot be written keeps nothing, and that is all.
 */
export interface PictureCache {
  find(address: string): Promise<KeptPicture | null>;
  keep(address: string, picture: KeptPicture): Promise<void>;
}

interface Entry {
  readonly bytes: number;
  readonly at: number;
}

/** A file is named by its address and its kind. */
const nameOf = (address: string): string => createHash('sha256').update(address).digest('hex');
const fileName = /^([0-9a-f]{64})\.(\w+)$/;

export function openPictureCache(options: {
  readonly folder: string;
  readonly now: () => number;
  readonly limits?: { readonly bytes: number; readonly milliseconds: number };
}): PictureCache {
  const { folder, now, limits = cacheLimits } = options;
  /** By file name, those asked for longest ago first. */
  const entries = new Map<string, Entry>();
  let bytes = 0;
  const note = (name: string, entry: Entry): void => {
    bytes += entry.bytes - (entries.get(name)?.bytes ?? 0);
    entries.delete(name);
    entries.set(name, entry);
  };
  const drop = async (name: string): Promise<void> => {
    bytes -= entries.get(name)?.bytes ?? 0;
    entries.delete(name);
    await rm(join(folder, name), { force: true }).catch(() => {});
  };
  const opened = (async () => {
    await mkdir(folder, { recursive: true });
    const found: [string, Entry][] = [];
    for (const name of await readdir(folder)) {
      if (!fileName.test(name)) continue;
      const { size, mtimeMs } = await stat(join(folder, name));
      found.push([name, { bytes: size, at: mtimeMs }]);
    }
    for (const [name, entry] of found.sort((a, b) => a[1].at - b[1].at)) note(name, entry);
  })().catch(() => {});
  const known = (address: string): string | undefined => {
    const start = nameOf(address);
    return ['jpeg', 'png', 'gif', 'webp', 'avif'].map((kind) => `${start}.${kind}`).find((name) => entries.has(name));
  };
  return {
    async find(address) {
      await opened;
      const name = known(address);
      const entry = name === undefined ? undefined : entries.get(name);
      if (name === undefined || !entry) return null;
      try {
        if (now() - entry.at > limits.milliseconds) throw new Error('too old');
        const content = await readFile(join(folder, name));
        note(name, entry);
        return { bytes: content, type: `image/${fileName.exec(name)![2]}` };
      } catch {
        await drop(name);
        return null;
      }
    },
    async keep(address, picture) {
      await opened;
      const name = `${nameOf(address)}.${picture.type.slice('image/'.length)}`;
      const path = join(folder, name);
      try {
        await writeFile(`${path}.part`, picture.bytes);
        await rename(`${path}.part`, path);
      } catch {
        await rm(`${path}.part`, { force: true }).catch(() => {});
        return;
      }
      note(name, { bytes: picture.bytes.length, at: now() });
      for (const oldest of entries.keys()) {
        if (bytes <= limits.bytes) break;
        await drop(oldest);
      }
    },
  };
}
