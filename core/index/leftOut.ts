/**
 * What a wide result leaves out. The families of the result are those of the whole catalog without those of `all` and
 * with those of `found`.
 */
export interface LeftOut {
  /** All records of the families that are not wholly in the result, ascending. */
  readonly all: Uint32Array;
  /** Those of them that are in it, ascending. */
  readonly found: Uint32Array;
  /** The first record of every family of which nothing is in the result, ascending. */
  readonly absent: Uint32Array;
}

/** A result is wide from this share of the catalog on: below it more would be left out than half of what is found. */
const wide = 2 / 3;

export interface LeftOutOptions {
  readonly families: number;
  /** By record, ascending. */
  readonly recordFamily: Uint32Array;
}

/**
 * Finds what wide results leave out. Owns a copy of the records given and the three lists, made when first needed.
 * `records` are those of a result, ascending; the answer is null where the result is not wide, or where it leaves out so
 * much of its families that counting that would cost more; it is valid until the next call. Cost: a step a record.
 */
export function openLeftOut({ families, recordFamily }: LeftOutOptions): (records: Uint32Array) => LeftOut | null {
  const total = recordFamily.length;
  const makeScratch = () => ({
    given: new Uint32Array(total),
    all: new Uint32Array(total),
    found: new Uint32Array(total),
    absent: new Uint32Array(families),
  });
  let scratch: ReturnType<typeof makeScratch> | null = null;
  return (records) => {
    if (records.length < total * wide) return null;
    scratch ??= makeScratch();
    const { given, all, found, absent } = scratch;
    given.set(records);
    const length = records.length;
    const owners = recordFamily;
    // What is counted twice over must stay well below what would be counted once.
    const most = length / 2;
    let outside = 0;
    let inside = 0;
    let gone = 0;
    let at = 0;
    let missed = 0;
    while (at < length || missed < total) {
      // Records found in a row are skipped as fast as can be.
      while (at < length && given[at] === missed) {
        at++;
        missed++;
      }
      if (missed >= total) break;
      const family = owners[missed]!;
      const insideBefore = inside;
      let first = missed;
      while (first > 0 && owners[first - 1] === family) first--;
      for (let record = first; record < missed; record++) {
        all[outside++] = record;
        found[inside++] = record;
      }
      for (; missed < total && owners[missed] === family; missed++) {
        all[outside++] = missed;
        if (at < length && given[at] === missed) {
          found[inside++] = missed;
          at++;
        }
      }
      if (inside === insideBefore) absent[gone++] = first;
      if (outside + inside > most) return null;
    }
    return { all: all.subarray(0, outside), found: found.subarray(0, inside), absent: absent.subarray(0, gone) };
  };
}
