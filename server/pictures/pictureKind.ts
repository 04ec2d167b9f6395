import { fileTypeFromBuffer } from 'file-type';

/** Kinds of pictures that are shown, by what their files are called. */
export const pictureKinds: ReadonlyMap<string, string> = new Map(
  ['jpeg', 'png', 'gif', 'webp', 'avif'].map((ending) => [`image/${ending}`, ending]),
);

/** What kind of picture a content is, told by its first bytes whatever its name or header says; null where it is none. */
export async function pictureKind(bytes: Uint8Array): Promise<string | null> {
  const type = (await fileTypeFromBuffer(bytes))?.mime ?? '';
  return pictureKinds.has(type) ? type : null;
}
