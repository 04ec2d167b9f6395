type Growable = Uint8Array | Uint16Array | Uint32Array;

/** An append-only typed array that doubles when full: 1 to 4 bytes an item while an index is being built. */
export class GrowingArray<T extends Growable> {
  private items: T;
  length = 0;
  private readonly make: (size: number) => T;

  constructor(make: (size: number) => T, size = 1024) {
    this.make = make;
    this.items = make(size);
  }

  push(item: number): void {
    if (this.length === this.items.length) {
      const larger = this.make(this.items.length * 2);
      larger.set(this.items);
      this.items = larger;
    }
    this.items[this.length++] = item;
  }

  /** The items so far, without a copy; valid until the next push. */
  view(): T {
    return this.items.subarray(0, this.length) as T;
  }
}

export const growingBytes = (): GrowingArray<Uint8Array> => new GrowingArray((size) => new Uint8Array(size));
export const growingShorts = (): GrowingArray<Uint16Array> => new GrowingArray((size) => new Uint16Array(size));
export const growingWords = (): GrowingArray<Uint32Array> => new GrowingArray((size) => new Uint32Array(size));
