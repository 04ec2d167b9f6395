import { unitNamed } from '../text/quantity.ts';
import type { ColumnFacts } from './describeColumns.ts';
import type { ColumnReading } from './mappingSchema.ts';
import { nameKey } from './roles.ts';
import type { Writing } from './writing.ts';

/** Whether a column holds nothing but units, as one beside a column of amounts does. */
const holdsUnits = ({ cells, samples, column }: ColumnFacts): boolean =>
  cells >= fewUnits && !/[{}]/.test(column) && samples.every((text) => unitNamed(text) !== null);
const fewUnits = 5;

/** A unit said by the column's name: `weight_g`, `Width (cm)`. */
function unitInName(column: string): string | null {
  const found = /[([_\s-]([\p{L}/²0-9]{1,5})[)\]]?$/u.exec(column.trim());
  return found && unitNamed(found[1]!) && nameKey(column) !== nameKey(found[1]!) ? found[1]! : null;
}

/** A pattern for a column of bare numbers, where its name, its other values or the column after it tell the unit. */
export function patternFor(
  as: ColumnReading['as'],
  facts: ColumnFacts,
  next: ColumnFacts | undefined,
): { pattern: string; reason: string } | null {
  if (as !== 'attribute' && as !== 'option') return null;
  const { unit, numeric } = facts;
  if (numeric >= 0.9 && next && holdsUnits(next))
    return { pattern: `{value} {${next.column}}`, reason: `“${next.column}” beside it holds the unit` };
  if (unit && numeric >= 0.02 && unit.share >= 0.1 && unit.share + numeric >= 0.9)
    return {
      pattern: `{value} ${unit.spelling}`,
      reason: `${Math.round(unit.share * 100)}% of its values say ${unit.spelling}, the others are bare numbers`,
    };
  const named = unitInName(facts.column);
  if (named && numeric >= 0.9) return { pattern: `{value} ${named}`, reason: `its name ends in the unit ${named}` };
  return null;
}

const countRoles: ReadonlySet<ColumnReading['as']> = new Set(['stock', 'units_sold', 'ratings']);
const moneyRoles: ReadonlySet<ColumnReading['as']> = new Set(['price', 'former_price', 'cost']);
/** Names of what is counted: there 0 and 1 are numbers. */
const countsByName = /(count|number|anzahl|nombre|numero|cantidad|qty|quantity|stueck|pieces|level|grade|class)/;
/** Rows that say something from which 0 and 1 alone are taken for no and yes. */
const enoughBits = 20;

/** How a column's values are written, where it as a whole tells what one of them does not. */
export function writingFor(as: ColumnReading['as'], facts: ColumnFacts): { writing: Writing; reason: string } | null {
  const { marks, cells, different, yesNo, numeric, samples } = facts;
  if (as === 'attribute' && yesNo >= 0.99 && different <= 4) {
    const isWords = numeric < 0.1 && (different > 1 || samples.every((text) => /^x$/i.test(text)));
    const isBits =
      numeric >= 0.99 && different === 2 && cells >= enoughBits && !countsByName.test(nameKey(facts.column));
    if (isWords || isBits) return { writing: 'yes-no', reason: `its values say yes or no (${samples.join(', ')})` };
  }
  const isFigures =
    as === 'attribute' || as === 'option' || as === 'rating' || moneyRoles.has(as) || countRoles.has(as);
  if (!isFigures || numeric + (facts.unit?.share ?? 0) < 0.9) return null;
  if (marks.comma > 0 && marks.comma >= marks.point * 3)
    return { writing: 'decimal-comma', reason: 'its numbers have a decimal comma' };
  if (marks.pointGroups > 0 && marks.point === 0 && (moneyRoles.has(as) || countRoles.has(as)))
    return { writing: 'decimal-comma', reason: 'its numbers have a point before each three digits' };
  return null;
}
