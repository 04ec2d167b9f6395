import { fold } from '../text/fold.ts';
import { plainTextOf } from '../text/plainTextOf.ts';
import { findQuantities } from '../text/quantity.ts';
import { readAmount, readDate } from './readAmount.ts';
import type { Cells } from './readRow.ts';
import { isTradeNumber } from './tradeNumber.ts';
import { type Mark, type Marks, markOf, saysYesOrNo } from './writing.ts';

/** What a column of a file holds, from the rows looked at. Shares are of the filled cells, 0 to 1. */
export interface ColumnFacts {
  readonly column: string;
  /** Share of the rows in which the cell is filled. */
  readonly filled: number;
  readonly different: number;
  /** Cells filled, in the rows looked at. */
  readonly cells: number;
  /** The first different values, at most five, cut to 120 characters. */
  readonly samples: readonly string[];
  readonly numeric: number;
  readonly dates: number;
  readonly links: number;
  readonly pictures: number;
  readonly codes: number;
  readonly yesNo: number;
  /** Article numbers of the trade (EAN, UPC, GTIN, ISBN): digits whose check digit is right. */
  readonly tradeNumbers: number;
  /** Texts whose first letter is a capital. */
  readonly capitals: number;
  /** Amounts with a currency's sign or letters. */
  readonly money: number;
  readonly averageLength: number;
  readonly averageWords: number;
  /** Share of the cells in which each separator stands between two values. */
  readonly separators: Readonly<Record<string, number>>;
  /**
   * Of the parts that each separator makes, the share that stands in several cells, 0 to 1: the values of a list come
   * again, the halves of a title do not. Only of separators that some cell has.
   */
  readonly repeated: Readonly<Record<string, number>>;
  /** The commonest unit behind a number, as it is written, and the share of the cells with it; null where none. */
  readonly unit: { readonly spelling: string; readonly share: number } | null;
  readonly marks: Marks;
}

/** Separators a list or a path may have; a comma or a slash stands in many plain texts, so it must be frequent. */
const separators = ['|', ';', '>', '»', '›', '→', '::', '\\', ' / ', '/', ','] as const;

/** Different values, and parts of values for each separator, that are told apart. */
const differentCounted = 5000;
const partsCounted = 5000;
const link = /^(https?:\/\/|\/)\S+$/;
const pictureFile = /\.(jpe?g|png|webp|gif|svg|avif)(\?\S*)?$/i;
const code = /^(?=\S*\d)[\p{L}\p{N}][\p{L}\p{N}._/-]{2,39}$/u;
const beginsWithCapital = /^[^\p{L}]{0,3}\p{Lu}/u;
const currency = /\p{Sc}|\b[A-Z]{3}\b/u;
const unitBehind = /^[\d.,]+\s*([\p{L}/"”″][\p{L}\d/²]*)$/u;

class Tally {
  rows = 0;
  length = 0;
  words = 0;
  readonly counts = {
    ...{ numeric: 0, dates: 0, links: 0, pictures: 0, codes: 0, yesNo: 0 },
    ...{ tradeNumbers: 0, capitals: 0, money: 0 },
  };
  readonly separators = new Map<string, number>();
  /** By separator, in how many cells each part stands. */
  readonly parts = new Map<string, Map<string, number>>();
  readonly units = new Map<string, number>();
  readonly marks: Record<Mark, number> = { comma: 0, point: 0, pointGroups: 0 };
  readonly different = new Set<string>();

  add(cell: string | readonly string[]): void {
    const isList = typeof cell !== 'string';
    // What markup is made of says nothing of the text.
    const text = plainTextOf(isList ? cell.join(' | ') : cell.trim());
    if (text === '') return;
    this.rows++;
    this.length += text.length;
    this.words += text.split(/\s+/).length;
    if (this.different.size < differentCounted) this.different.add(text.slice(0, 120));
    if (text.length <= 24 && readAmount(text) !== null) this.counts.numeric++;
    if (text.length <= 40 && readDate(text) !== null) this.counts.dates++;
    if (link.test(text)) this.counts.links++;
    if (pictureFile.test(text)) this.counts.pictures++;
    if (code.test(text)) this.counts.codes++;
    if (saysYesOrNo(text)) this.counts.yesNo++;
    if (isTradeNumber(text)) this.counts.tradeNumbers++;
    if (beginsWithCapital.test(text)) this.counts.capitals++;
    if (text.length <= 24 && currency.test(text) && readAmount(text) !== null) this.counts.money++;
    if (!link.test(text))
      for (const separator of separators)
        if (text.slice(1, -1).includes(separator)) {
          this.separators.set(separator, (this.separators.get(separator) ?? 0) + 1);
          this.countParts(separator, text);
        }
    const mark = text.length <= 24 ? markOf(text) : null;
    if (mark) this.marks[mark]++;
    const unit = unitBehind.exec(text)?.[1];
    if (unit && findQuantities(fold(text)).length === 1) this.units.set(unit, (this.units.get(unit) ?? 0) + 1);
  }

  private countParts(separator: string, text: string): void {
    let parts = this.parts.get(separator);
    if (!parts) {
      parts = new Map();
      this.parts.set(separator, parts);
    }
    for (const part of new Set(text.split(separator).map((each) => each.trim()))) {
      const before = parts.get(part);
      if (part !== '' && (before !== undefined || parts.size < partsCounted)) parts.set(part, (before ?? 0) + 1);
    }
  }
}

/** The share of parts that stand in several cells. */
function repeatedShare(parts: ReadonlyMap<string, number>): number {
  let all = 0;
  let again = 0;
  for (const cells of parts.values()) {
    all += cells;
    if (cells > 1) again += cells;
  }
  return all === 0 ? 0 : again / all;
}

/** Gathers facts of every column over the rows given to it. */
export function columnDescriber(): { add(cells: Cells): void; finish(columns: readonly string[]): ColumnFacts[] } {
  const tallies = new Map<string, Tally>();
  let rows = 0;
  return {
    add(cells) {
      rows++;
      for (const [column, cell] of Object.entries(cells)) {
        let tally = tallies.get(column);
        if (!tally) {
          tally = new Tally();
          tallies.set(column, tally);
        }
        tally.add(cell);
      }
    },
    finish: (columns) =>
      columns.map((column): ColumnFacts => {
        const tally = tallies.get(column) ?? new Tally();
        const share = (amount: number): number => (tally.rows === 0 ? 0 : amount / tally.rows);
        const [unit] = [...tally.units].sort((a, b) => b[1] - a[1]);
        return {
          column,
          filled: rows === 0 ? 0 : tally.rows / rows,
          different: tally.different.size,
          cells: tally.rows,
          samples: [...tally.different].slice(0, 5),
          numeric: share(tally.counts.numeric),
          dates: share(tally.counts.dates),
          links: share(tally.counts.links),
          pictures: share(tally.counts.pictures),
          codes: share(tally.counts.codes),
          yesNo: share(tally.counts.yesNo),
          tradeNumbers: share(tally.counts.tradeNumbers),
          capitals: share(tally.counts.capitals),
          money: share(tally.counts.money),
          averageLength: share(tally.length),
          averageWords: share(tally.words),
          separators: Object.fromEntries(
            [...tally.separators].map(([separator, amount]) => [separator, share(amount)]),
          ),
          repeated: Object.fromEntries([...tally.parts].map(([separator, parts]) => [separator, repeatedShare(parts)])),
          unit: unit ? { spelling: unit[0], share: share(unit[1]) } : null,
          marks: {
            comma: share(tally.marks.comma),
            point: share(tally.marks.point),
            pointGroups: share(tally.marks.pointGroups),
          },
        };
      }),
  };
}
