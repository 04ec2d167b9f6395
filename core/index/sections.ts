/**
 * The snapshot's container: named typed arrays laid one after another in one shared buffer behind a small header.
 *
 * Layout: two 32-bit words (a magic number, the header's length in UTF-16 units), the header as JSON in UTF-16,
 * then the sections, each starting at a multiple of eight bytes. Opening it makes views and copies nothing, so the
 * same buffer can be handed to any number of threads, or be the bytes of a file.
 */
const arrayTypes = {
  u8: Uint8Array,
  u16: Uint16Array,
  u32: Uint32Array,
  f64: Float64Array,
} as const;
type TypeName = keyof typeof arrayTypes;
export type SectionArray = Uint8Array | Uint16Array | Uint32Array | Float64Array;

interface SectionEntry {
  readonly type: TypeName;
  readonly offset: number;
  readonly length: number;
}
interface ContainerHeader {
  readonly meta: unknown;
  readonly sections: Record<string, SectionEntry>;
}

type ViewMaker = new (buffer: SharedArrayBuffer, offset: number, length: number) => SectionArray;
const makeView = (type: TypeName, buffer: SharedArrayBuffer, offset: number, length: number): SectionArray =>
  new (arrayTypes[type] as unknown as ViewMaker)(buffer, offset, length);

const magic = 0x53485636;
const aligned = (bytes: number): number => Math.ceil(bytes / 8) * 8;

function typeOf(array: SectionArray): TypeName {
  if (array instanceof Uint8Array) return 'u8';
  if (array instanceof Uint16Array) return 'u16';
  return array instanceof Uint32Array ? 'u32' : 'f64';
}

/** Large sections that are written where they are to stand, once there is room, instead of being copied there. */
export interface ToLay {
  readonly sizes: Readonly<Record<string, Omit<SectionEntry, 'offset'>>>;
  /** Fills the sections, which are given by their names and hold zeros. */
  fill(sections: Readonly<Record<string, SectionArray>>): void;
}

/** Writes the sections and the header into one new shared buffer. Cost: one copy of every section but those `toLay`. */
export function packSections(
  meta: unknown,
  arrays: Readonly<Record<string, SectionArray>>,
  toLay: ToLay = { sizes: {}, fill: () => {} },
): SharedArrayBuffer {
  const entries = (start: number): [Record<string, SectionEntry>, number] => {
    const sections: Record<string, SectionEntry> = {};
    let offset = start;
    const add = (name: string, type: TypeName, length: number): void => {
      sections[name] = { type, offset, length };
      offset = aligned(offset + length * arrayTypes[type].BYTES_PER_ELEMENT);
    };
    for (const [name, array] of Object.entries(arrays)) add(name, typeOf(array), array.length);
    for (const [name, { type, length }] of Object.entries(toLay.sizes)) add(name, type, length);
    return [sections, offset];
  };
  // Offsets are numbers in the header, so its length depends on them: measure with generous offsets, then pad.
  const roomy = JSON.stringify({ meta, sections: entries(Number.MAX_SAFE_INTEGER / 2)[0] }).length;
  const start = aligned(8 + roomy * 2);
  const [sections, total] = entries(start);
  const header = JSON.stringify({ meta, sections });
  const buffer = new SharedArrayBuffer(total);
  new Uint32Array(buffer, 0, 2).set([magic, header.length]);
  const headerUnits = new Uint16Array(buffer, 8, header.length);
  for (let at = 0; at < header.length; at++) headerUnits[at] = header.charCodeAt(at);
  const viewOf = (name: string): SectionArray => {
    const { type, offset, length } = sections[name]!;
    return makeView(type, buffer, offset, length);
  };
  for (const [name, array] of Object.entries(arrays)) viewOf(name).set(array);
  toLay.fill(Object.fromEntries(Object.keys(toLay.sizes).map((name) => [name, viewOf(name)])));
  return buffer;
}

export interface Sections {
  readonly meta: unknown;
  has(name: string): boolean;
  u8(name: string): Uint8Array;
  u16(name: string): Uint16Array;
  u32(name: string): Uint32Array;
  f64(name: string): Float64Array;
  /** Every section's name, and any section by its name, for copying. */
  names(): string[];
  array(name: string): SectionArray;
}

/** Opens one buffer, or answers null where the bytes are no snapshot (cut short, another format). */
function openContainer(buffer: SharedArrayBuffer): ContainerHeader | null {
  if (buffer.byteLength < 8) return null;
  const [found, headerLength] = new Uint32Array(buffer, 0, 2);
  if (found !== magic || 8 + headerLength! * 2 > buffer.byteLength) return null;
  const units = new Uint16Array(buffer, 8, headerLength);
  let text = '';
  for (let at = 0; at < units.length; at += 4096) text += String.fromCharCode(...units.subarray(at, at + 4096));
  const header = JSON.parse(text) as ContainerHeader;
  const last = Object.values(header.sections).at(-1);
  if (last && last.offset + last.length * arrayTypes[last.type].BYTES_PER_ELEMENT > buffer.byteLength) return null;
  return header;
}

/**
 * Opens packed buffers laid over each other: a section is read from the last buffer that has it, so that a patch need
 * only hold what it changes. Answers null where any of them is no snapshot.
 */
export function openSections(...layers: readonly SharedArrayBuffer[]): Sections | null {
  const where = new Map<string, SectionEntry & { readonly buffer: SharedArrayBuffer }>();
  let meta: unknown = null;
  for (const buffer of layers) {
    const header = openContainer(buffer);
    if (!header) return null;
    meta = header.meta;
    for (const [name, entry] of Object.entries(header.sections)) where.set(name, { ...entry, buffer });
  }
  if (where.size === 0) return null;
  const view = <T extends SectionArray>(type: TypeName, name: string): T => {
    const entry = where.get(name);
    if (!entry || entry.type !== type) throw new Error(`The snapshot has no section ${name} of type ${type}.`);
    return makeView(type, entry.buffer, entry.offset, entry.length) as T;
  };
  return {
    meta,
    has: (name) => where.has(name),
    u8: (name) => view('u8', name),
    u16: (name) => view('u16', name),
    u32: (name) => view('u32', name),
    f64: (name) => view('f64', name),
    names: () => [...where.keys()],
    array: (name) => view(where.get(name)!.type, name),
  };
}
