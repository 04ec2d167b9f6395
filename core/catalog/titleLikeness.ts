import type { ColumnFacts } from './describeColumns.ts';

/** Fewer cells than this say little about how often values come again. */
const fewCells = 20;

/**
 * How much a column's values are like titles of products, 0 to 1: several words, mostly different, beginning with a capital,
 * neither amounts, links, dates nor codes, and there in nearly every row. Where the column stands says nothing.
 */
export function titleLikeness(facts: ColumnFacts): number {
  const { cells, different, filled, averageWords, capitals, codes, tradeNumbers } = facts;
  if (cells === 0) return 0.6;
  if (Math.max(facts.numeric, facts.links, facts.pictures, facts.dates, tradeNumbers) > 0.5) return 0.05;
  const words =
    averageWords < 1.15 ? 0.55 : averageWords < 1.5 ? 0.75 : averageWords <= 15 ? 1 : averageWords <= 25 ? 0.6 : 0.1;
  // Variants of one product often have one title: a fifth of different values is plenty.
  const share = different / Math.min(cells, 5000);
  const varied = cells < fewCells || share >= 0.15 ? 1 : share >= 0.05 ? 0.7 : 0.35;
  const coded = codes >= 0.5 ? 0.5 : 1;
  // What is one word in small letters is a name for machines.
  const cased = capitals < 0.2 && averageWords < 1.5 ? 0.6 : 1;
  const present = filled < 0.5 ? 0.4 : filled < 0.9 ? 0.8 : 1;
  // Of two that fit alike, the one that says more: never as much as any of the above.
  const more = 0.97 + 0.02 * (Math.min(averageWords, 8) / 8) + 0.01 * Math.min(1, share);
  return words * varied * coded * cased * present * more;
}
