import { valueRuns } from './columns.ts';
import type { Snapshot } from './snapshot.ts';

/** What was worked out from columns of attributes, by what it was worked out from. */
export type PerColumns<T> = (snapshot: Snapshot, attributes: readonly string[], key: string, make: () => T) => T;

/** Buffers by number, so that a text can say which arrays something was made of. */
const numbers = new WeakMap<object, number>();
let last = 0;
function numberOf(buffer: object): number {
  const known = numbers.get(buffer) ?? ++last;
  numbers.set(buffer, known);
  return known;
}

/** Sections of one attribute's own. */
const ownSections = (attribute: string): string[] => [
  `values.${attribute}.text`,
  `values.${attribute}.start`,
  `numbers.${attribute}`,
];

/** Two sums of some numbers and their places, 64 bits together: runs that are alike have the same, others do not. */
function sumOf(run: Uint32Array): string {
  let [one, other] = [0x811c9dc5, 0x9e3779b9];
  for (let at = 0; at < run.length; at++) {
    one = Math.imul(one ^ run[at]!, 0x01000193);
    other = Math.imul((other << 5) ^ (other >>> 27) ^ run[at]!, 0x85ebca6b);
  }
  return `${run.length}.${one >>> 0}.${other >>> 0}`;
}

/** What the values and amounts of one attribute stand in: a text that is the same as long as they are. Cost: a pass over them, once. */
function sourceIn(snapshot: Snapshot, attribute: string, names: ReadonlySet<string>): string {
  const { sections } = snapshot;
  const buffers = ownSections(attribute).map((name) => (names.has(name) ? numberOf(sections.array(name).buffer) : 0));
  // All attributes' values stand in the same arrays, which a patch of any of them makes anew.
  const runs = valueRuns(snapshot, attribute);
  return [...buffers, ...runs.map(sumOf)].join();
}

interface Sources {
  readonly names: ReadonlySet<string>;
  readonly known: Map<string, string>;
}
const sources = new WeakMap<Snapshot, Sources>();
function sourceOf(snapshot: Snapshot, attributes: readonly string[]): string {
  const of = sources.get(snapshot) ?? { names: new Set(snapshot.sections.names()), known: new Map() };
  sources.set(snapshot, of);
  return attributes
    .map((attribute) => {
      const source = of.known.get(attribute) ?? sourceIn(snapshot, attribute, of.names);
      of.known.set(attribute, source);
      return source;
    })
    .join(' ');
}

/**
 * Remembers what is worked out from the values and amounts of some attributes, by record, and a few settings: a patch
 * that leaves these as they are leaves it too, so that drafts which change nothing of them share it. At most `most` things
 * for each index, of which the one that was not asked for longest is forgotten first.
 */
export function perColumns<T>(most: number): PerColumns<T> {
  const all = new WeakMap<SharedArrayBuffer, Map<string, T>>();
  return (snapshot, attributes, key, make) => {
    const [base] = snapshot.layers as [SharedArrayBuffer];
    const known = all.get(base) ?? new Map<string, T>();
    all.set(base, known);
    const from = `${sourceOf(snapshot, attributes)} ${key}`;
    const value = known.has(from) ? known.get(from)! : make();
    known.delete(from);
    known.set(from, value);
    if (known.size > most) known.delete(known.keys().next().value!);
    return value;
  };
}
