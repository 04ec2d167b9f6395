import { own } from '../base/named.ts';
import { canonical } from './terms/canonical.ts';
import type { Inside } from './terms/inside.ts';

/** Which of two sides holds where both say something else. */
export type MergeSide = 'ours' | 'theirs';
/** Asked where both sides changed the same thing: which of them holds. `path` leads to it, from the entry inwards. */
export type AskSide = (path: readonly string[], sides: Sides) => MergeSide;
/** A value before, and as each side has it; undefined where it is not there. */
export interface Sides {
  readonly base: unknown;
  readonly ours: unknown;
  readonly theirs: unknown;
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const same = (a: unknown, b: unknown): boolean => a === b || canonical(a ?? null) === canonical(b ?? null);

/**
 * Puts two sides' changes of one value together: what one side changed is that side's, what both changed alike is that,
 * and what both changed is looked into as far as `inside` says; what is left is asked about. Cost: the size of the values,
 * times the length of ordered lists.
 */
export function mergeValues(
  inside: Inside | undefined,
  sides: Sides,
  ask: AskSide,
  path: readonly string[] = [],
): unknown {
  const { base, ours, theirs } = sides;
  if (same(ours, theirs) || same(base, theirs)) return ours;
  if (same(base, ours)) return theirs;
  if (Array.isArray(ours) && Array.isArray(theirs) && inside && inside.as !== 'fields') {
    const before = Array.isArray(base) ? base : [];
    const lists: Lists = { base: before, ours, theirs };
    if (inside.as === 'set') return mergeSets(lists);
    if (inside.as === 'order') return mergeLists(lists, textOf, undefined, ask, path);
    return mergeLists(lists, (item) => textOf(isObject(item) ? item[inside.by] : item), inside.of, ask, path);
  }
  if (isObject(ours) && isObject(theirs) && (base === undefined || base === null || isObject(base)))
    return mergeFields(inside?.as === 'fields' ? inside.fields : {}, sides, ask, path);
  return ask(path, sides) === 'ours' ? ours : theirs;
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value : canonical(value ?? null));

interface Lists {
  readonly base: readonly unknown[];
  readonly ours: readonly unknown[];
  readonly theirs: readonly unknown[];
}

/** Fields that say what an object is: two that differ in them are two things, and are taken whole. */
const kinds = ['what', 'act', 'kind'] as const;

function mergeFields(
  declared: Readonly<Record<string, Inside>>,
  sides: Sides,
  ask: AskSide,
  path: readonly string[],
): unknown {
  const [base, ours, theirs] = [sides.base ?? {}, sides.ours, sides.theirs] as Readonly<Record<string, unknown>>[];
  if (kinds.some((field) => !same(own(ours!, field), own(theirs!, field))) && !same(base, {}))
    return ask(path, sides) === 'ours' ? ours : theirs;
  const merged: [string, unknown][] = [];
  for (const field of new Set([...Object.keys(ours!), ...Object.keys(theirs!)])) {
    const value = mergeValues(
      own(declared, field),
      { base: own(base!, field), ours: own(ours!, field), theirs: own(theirs!, field) },
      ask,
      [...path, field],
    );
    if (value !== undefined) merged.push([field, value]);
  }
  return Object.fromEntries(merged);
}

/** Ours, without what they took out, and with what they added at the end. */
function mergeSets({ base, ours, theirs }: Lists): unknown[] {
  const texts = (list: readonly unknown[]) => new Set(list.map(textOf));
  const [was, we, they] = [texts(base), texts(ours), texts(theirs)];
  const kept = ours.filter((item) => !was.has(textOf(item)) || they.has(textOf(item)));
  const added = theirs.filter((item) => !was.has(textOf(item)) && !we.has(textOf(item)));
  return [...kept, ...added];
}

/** Items one by one, then their order: that of the side that changed it. */
function mergeLists(
  { base, ours, theirs }: Lists,
  keyOf: (item: unknown) => string,
  of: Inside | undefined,
  ask: AskSide,
  path: readonly string[],
): unknown[] {
  const byKey = (list: readonly unknown[]) => new Map(list.map((item) => [keyOf(item), item]));
  const [was, we, they] = [byKey(base), byKey(ours), byKey(theirs)];
  const items = new Map<string, unknown>();
  for (const key of new Set([...we.keys(), ...they.keys()])) {
    const item = mergeValues(of, { base: was.get(key), ours: we.get(key), theirs: they.get(key) }, ask, [...path, key]);
    if (item !== undefined) items.set(key, item);
  }
  const common = (list: ReadonlyMap<string, unknown>): string[] =>
    [...list.keys()].filter((key) => was.has(key) && we.has(key) && they.has(key));
  const [before, mine, yours] = [common(was), common(we), common(they)];
  const isMoved = { ours: !same(before, mine), theirs: !same(before, yours) };
  const side: MergeSide =
    isMoved.theirs && isMoved.ours && !same(mine, yours)
      ? ask([...path, 'order'], { base: before, ours: mine, theirs: yours })
      : isMoved.theirs
        ? 'theirs'
        : 'ours';
  const [first, second] = side === 'ours' ? [we, they] : [they, we];
  return inOrder([...first.keys()], [...second.keys()])
    .filter((key) => items.has(key))
    .map((key) => items.get(key));
}

/** One order of keys with those of another put in, each behind the one it followed there. */
function inOrder(first: readonly string[], second: readonly string[]): string[] {
  const order = [...first];
  const placed = new Set(first);
  for (const [at, key] of second.entries()) {
    if (placed.has(key)) continue;
    const follows = at === 0 ? -1 : order.indexOf(second[at - 1]!);
    order.splice(follows + 1, 0, key);
    placed.add(key);
  }
  return order;
}
