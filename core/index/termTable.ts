import { GrowingArray } from './growingArray.ts';

/**
 * Numbers terms in order of coming, while an index is built. A term is looked up as a stretch of UTF-16 units, so that no
 * string is made of a word that is known: a map of strings was measured to cost most of reading a text.
 *
 * Owns `slots` (open addressing, linear steps, a power of two at most half full, two items each: the term's hash, and its
 * number + 1 or 0 for free), `ends` (by term the end of its units in `units`) and `units` (UTF-16, end to end).
 * Comparing units is several times as fast as comparing with the text kept beside them.
 */
export class TermTable {
  private slots = new Uint32Array(1 << 13);
  private units = new Uint16Array(1 << 14);
  /** The terms' texts by their numbers. */
  readonly texts: string[] = [];
  private readonly ends = new GrowingArray();
  private sought = new Uint16Array(64);

  get size(): number {
    return this.texts.length;
  }

  /** The number of the term whose letters stand at [from, to); a new one where it comes for the first time. `text`: the same as a text, where there is one. */
  numberOf(letters: Uint16Array, from: number, to: number, text?: string): number {
    let hash = 0x811c9dc5;
    for (let at = from; at < to; at++) hash = Math.imul(hash ^ letters[at]!, 0x01000193);
    hash = (hash ^ (hash >>> 15)) >>> 0;
    const { slots } = this;
    const mask = slots.length - 1;
    let slot = (hash * 2) & mask;
    for (let entry = slots[slot + 1]!; entry !== 0; entry = slots[slot + 1]!) {
      if (slots[slot] === hash && this.isAt(entry - 1, letters, from, to)) return entry - 1;
      slot = (slot + 2) & mask;
    }
    return this.add(hash, letters.subarray(from, to), text);
  }

  /** The same for a term that is a text of its own. */
  numberOfText(text: string): number {
    if (text.length > this.sought.length) this.sought = new Uint16Array(text.length * 2);
    for (let at = 0; at < text.length; at++) this.sought[at] = text.charCodeAt(at);
    return this.numberOf(this.sought, 0, text.length, text);
  }

  private isAt(term: number, letters: Uint16Array, from: number, to: number): boolean {
    const start = term === 0 ? 0 : this.ends.get(term - 1);
    if (this.ends.get(term) - start !== to - from) return false;
    const { units } = this;
    for (let at = from; at < to; at++) if (units[start + at - from] !== letters[at]) return false;
    return true;
  }

  private add(hash: number, letters: Uint16Array, text?: string): number {
    const number = this.size;
    const start = number === 0 ? 0 : this.ends.get(number - 1);
    const end = start + letters.length;
    while (end > this.units.length) {
      const larger = new Uint16Array(this.units.length * 2);
      larger.set(this.units);
      this.units = larger;
    }
    this.units.set(letters, start);
    this.texts.push(text ?? String.fromCharCode(...letters));
    this.ends.push(end);
    if ((number + 1) * 4 > this.slots.length) this.grow();
    this.file(hash, number);
    return number;
  }

  private file(hash: number, number: number): void {
    const mask = this.slots.length - 1;
    let slot = (hash * 2) & mask;
    while (this.slots[slot + 1] !== 0) slot = (slot + 2) & mask;
    this.slots[slot] = hash;
    this.slots[slot + 1] = number + 1;
  }

  private grow(): void {
    const before = this.slots;
    this.slots = new Uint32Array(before.length * 2);
    for (let at = 0; at < before.length; at += 2) if (before[at + 1] !== 0) this.file(before[at]!, before[at + 1]! - 1);
  }
}
