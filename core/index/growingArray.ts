/**
 * An append-only list of unsigned 32-bit numbers that doubles when full, for gathering while an index is built.
 * Always 32 bits: code that pushes to arrays of several widths is compiled for all of them and runs far slower.
 */
export class GrowingArray {
  private items = new Uint32Array(1024);
  length = 0;

  push(item: number): void {
    if (this.length === this.items.length) {
      const larger = new Uint32Array(this.items.length * 2);
      larger.set(this.items);
      this.items = larger;
    }
    this.items[this.length++] = item;
  }

  get(at: number): number {
    return this.items[at]!;
  }

  /** The items so far, without a copy; valid until the next push. */
  view(): Uint32Array {
    return this.items.subarray(0, this.length);
  }
}
