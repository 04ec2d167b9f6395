import { own } from '../base/named.ts';
import { placeAmong } from '../base/sorted.ts';
import { isIndexedAsText } from '../catalog/profileAttributes.ts';
import type { Asked } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import { eachIn } from '../conditions/recordSet.ts';
import { hiddenMark, isHidden } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { readUnits } from '../query/readUnits.ts';
import type { Effect, PinEffect, Source } from '../rules/effects.ts';
import { perfect } from '../scoring/formula.ts';
import type { Setup } from '../setup/schema.ts';
import type { Condition } from '../setup/terms/condition.ts';

/**
 * What a search does not look at, with what its plans hide and what they leave out by showing only some products. The
 * same array where they do neither. Cost: a copy of the marks where they do.
 */
export function hiddenByPlans(
  snapshot: Snapshot,
  hidden: Uint8Array | null,
  effects: readonly Effect[],
  asked: Asked,
): Uint8Array | null {
  const hides = effects.filter((effect) => effect.what === 'hide');
  const only = effects.find((effect) => effect.what === 'only');
  if (hides.length === 0 && !only) return hidden;
  const all = only
    ? new Uint8Array(snapshot.records).fill(hiddenMark)
    : (hidden?.slice() ?? new Uint8Array(snapshot.records));
  for (const product of only?.products ?? []) {
    const family = snapshot.findFamily(product);
    if (family < 0) continue;
    const [from, to] = snapshot.recordsOf(family);
    for (let record = from; record < to; record++) if (!isHidden(hidden, record)) all[record] = 0;
  }
  for (const { of } of hides) {
    if ('condition' in of)
      eachIn(bindCondition(snapshot, of.condition, asked), (record) => {
        all[record] = hiddenMark;
      });
    else {
      const family = snapshot.findFamily(of.product);
      if (family >= 0) all.fill(hiddenMark, ...snapshot.recordsOf(family));
    }
  }
  return all;
}

/** A search without the words that its scope takes out, read as it was; the same text where it takes none. */
export function withoutWords(query: string, wordsOut: readonly string[], knows: (token: string) => boolean): string {
  if (wordsOut.length === 0) return query;
  const units = readUnits(query, knows);
  const isOut = new Set<number>();
  for (const saying of wordsOut) {
    const sought = readUnits(saying, knows).map(({ token }) => token);
    if (sought.length === 0) continue;
    for (let at = 0; at + sought.length <= units.length; at++)
      if (sought.every((token, index) => units[at + index]!.token === token))
        for (let index = 0; index < sought.length; index++) isOut.add(at + index);
  }
  if (isOut.size === 0) return query;
  return units
    .filter((_, at) => !isOut.has(at))
    .map(({ text }) => text)
    .join(' ');
}

/** What a search does not look at, with everything outside its scope. Cost: a pass over the records. */
export function hiddenOutside(
  snapshot: Snapshot,
  hidden: Uint8Array | null,
  condition: Condition,
  asked: Asked,
): Uint8Array {
  const met = bindCondition(snapshot, condition, asked);
  const all = new Uint8Array(snapshot.records).fill(hiddenMark);
  eachIn(met, (record) => {
    if (!isHidden(hidden, record)) all[record] = 0;
  });
  return all;
}

/** Effects without the pins that wait, since their product is sold out; and those pins. */
export function withoutWaiting(
  snapshot: Snapshot,
  familyInStock: Uint8Array,
  effects: readonly Effect[],
): { readonly effects: readonly Effect[]; readonly waiting: readonly PinEffect[] } {
  const waiting = effects.filter((effect): effect is PinEffect => {
    if (effect.what !== 'pin' || !effect.waits) return false;
    const family = snapshot.findFamily(effect.product);
    return family >= 0 && familyInStock[family] === 0;
  });
  return waiting.length === 0
    ? { effects, waiting }
    : { effects: effects.filter((effect) => effect.what !== 'pin' || !waiting.includes(effect)), waiting };
}

/** Records that plans add to what the words find. */
export interface AddedRecords {
  /** Of products pinned or first, which show all the same but have no match. */
  readonly placed: readonly number[];
  /** Of products brought in, which match as their titles would. */
  readonly broughtIn: readonly number[];
}

/** The visible records of families that plans show and the words do not find. `found` are those that the words find. */
export function addedByPlans(
  snapshot: Snapshot,
  hidden: Uint8Array | null,
  effects: readonly Effect[],
  found: Uint32Array,
): AddedRecords {
  const wanted = new Map<number, 'placed' | 'broughtIn'>();
  for (const effect of effects) {
    if (effect.what !== 'pin' && effect.what !== 'first' && effect.what !== 'bringIn') continue;
    const family = snapshot.findFamily(effect.product);
    if (family < 0) continue;
    if (effect.what === 'bringIn') wanted.set(family, 'broughtIn');
    else if (!wanted.has(family)) wanted.set(family, 'placed');
  }
  const added: { placed: number[]; broughtIn: number[] } = { placed: [], broughtIn: [] };
  for (const [family, how] of wanted) {
    const [from, to] = snapshot.recordsOf(family);
    const isFound = found[placeAmong(found, from)]! < to;
    for (let record = from; record < to && !isFound; record++) if (!isHidden(hidden, record)) added[how].push(record);
  }
  return added;
}

/** The match of a product brought in: that of its whole title found as it stands. */
export function broughtInScore({ attributes }: Snapshot, setup: Setup): number {
  const read = attributes.flatMap((profile) => {
    const setting = own(setup.attributes, profile.key);
    return isIndexedAsText(profile) && setting?.searchable ? [{ key: profile.key, weight: setting.weight }] : [];
  });
  const heaviest = Math.max(0, ...read.map(({ weight }) => weight));
  const title = read.find(({ key }) => key === 'title')?.weight ?? heaviest;
  return heaviest === 0 ? 0 : Math.round((perfect * title) / heaviest);
}

/** Where plans put products of a ranking first, and why. */
export function firstAmong(
  snapshot: Snapshot,
  effects: readonly Effect[],
  candidateOf: (family: number) => number,
): Map<number, Source> {
  const first = new Map<number, Source>();
  for (const effect of effects) {
    if (effect.what !== 'first') continue;
    const candidate = candidateOf(snapshot.findFamily(effect.product));
    if (candidate >= 0) first.set(candidate, effect.source);
  }
  return first;
}
