import { fold } from '../text/fold.ts';
import { findQuantities, quantityToken, unitNamed } from '../text/quantity.ts';
import type { ColumnReading, Mapping } from './mappingSchema.ts';
import { attributeKey, type Role, roles } from './roles.ts';

/** What makes two files of one shape: the same columns, in whatever order. */
export function shapeOf(columns: readonly string[]): string {
  return JSON.stringify([...columns].map(fold).sort());
}

const usualSplits: Partial<Record<Role, string>> = { tags: '|', category: '>', parts: '|' };

/** Reads a column as a role in the usual way. */
export function usualReading(column: string, as: ColumnReading['as']): ColumnReading {
  const isOwn = as === 'attribute' || as === 'option' || as === 'skip';
  return {
    column,
    as,
    key: isOwn ? attributeKey(column) : as,
    split: (usualSplits as Partial<Record<string, string>>)[as] ?? (as === 'attribute' ? '|' : ''),
    pattern: '',
  };
}

/** The mapping of a file whose columns have the standard names already; any other is an attribute of its own. */
export function standardMapping(columns: readonly string[]): Mapping {
  const known = new Set<string>(roles);
  return {
    format: 'clever-shelf-mapping',
    version: 1,
    columns: columns.map((column) => {
      const key = attributeKey(column);
      return usualReading(column, known.has(key) && key !== 'option' ? (key as Role) : 'attribute');
    }),
    families: { by: 'column' },
  };
}

/** What is wrong with a mapping for these columns, each with the column to point at; empty where it can be used. */
export function checkMapping(mapping: Mapping): { readonly column: string; readonly message: string }[] {
  const problems: { column: string; message: string }[] = [];
  const readings = mapping.columns;
  const as = (role: Role) => readings.filter((reading) => reading.as === role);
  if (as('title').length === 0) problems.push({ column: '', message: 'Choose the column that holds the title.' });
  if (as('id').length + as('sku').length === 0)
    problems.push({
      column: '',
      message: 'Choose the column that holds the id, or the SKU: something that is different in every row.',
    });
  for (const role of roles)
    for (const reading of as(role).slice(1))
      if (!['option', 'tags', 'category', 'parts'].includes(role))
        problems.push({
          column: reading.column,
          message: `Two columns are the ${role.replaceAll('_', ' ')}; only one can be.`,
        });
  const used = new Map<string, string>();
  for (const { column, as: role, key } of readings) {
    if (role === 'skip' || (role !== 'attribute' && role !== 'option')) continue;
    if ((roles as readonly string[]).includes(key) || key === 'availability')
      problems.push({ column, message: `“${key}” is the name of something else; give the attribute another name.` });
    const other = used.get(key);
    if (other !== undefined) problems.push({ column, message: `It has the same name as “${other}”.` });
    used.set(key, column);
  }
  if (mapping.families.by === 'column' && as('family').length > 1)
    problems.push({
      column: as('family')[1]!.column,
      message: 'Only one column can say which variants belong together.',
    });
  return problems;
}

const bareNumber = /^[\d.,]*\d$/;

/**
 * A value with its pattern: a bare number is put into it, an amount in the pattern's own unit gets the pattern's
 * spelling (`300gsm` and `300` are both `300 gsm`), anything else stays as it is.
 */
export function withPattern(pattern: string, text: string): string {
  if (pattern === '') return text;
  if (bareNumber.test(text)) return pattern.replace('{value}', text);
  const unit = unitNamed(pattern.replace('{value}', ''));
  const amount = /^([\d.,]*\d)\s*\S+$/.exec(text)?.[1];
  if (!unit || amount === undefined) return text;
  const filledIn = pattern.replace('{value}', amount);
  const [was, is] = [text, filledIn].map((each) => findQuantities(fold(each)).map(quantityToken).join());
  return was !== '' && was === is ? filledIn : text;
}
