import { fold } from '../text/fold.ts';
import { findQuantities, quantityToken, unitNamed } from '../text/quantity.ts';
import type { ColumnReading, Mapping } from './mappingSchema.ts';
import { attributeKey, freeAttributeKey, type Role, roles } from './roles.ts';

/** What makes two files of one shape: the same columns, in whatever order. */
export function shapeOf(columns: readonly string[]): string {
  return JSON.stringify([...columns].map(fold).sort());
}

const usualSplits: Partial<Record<Role, string>> = { tags: '|', category: '>', parts: '|', picture: '|' };

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

/** Reads a column as an attribute of its own, by a name that nothing else in the mapping has. */
export function attributeReading(column: string, mapping: Mapping): ColumnReading {
  const used = new Set(mapping.columns.flatMap((each) => (each.column === column ? [] : [each.key])));
  return { ...usualReading(column, 'attribute'), key: freeAttributeKey(column, used) };
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

/**
 * A mapping with a way of joining variants: where a column is to name the product, it is read as that, and where none is,
 * the column that did is an attribute.
 */
export function withJoining(mapping: Mapping, joining: Mapping['families'], column: string | null): Mapping {
  const columns = mapping.columns.map((reading) => {
    if (joining.by !== 'column') return reading.as === 'family' ? attributeReading(reading.column, mapping) : reading;
    const isNamed = mapping.columns.some(({ as }) => as === 'family');
    return !isNamed && reading.column === column ? usualReading(reading.column, 'family') : reading;
  });
  return { ...mapping, columns, families: joining };
}

/** A mapping with one column read otherwise. A column that is said to name the product is joined by, from then on. */
export function withReading(mapping: Mapping, reading: ColumnReading): Mapping {
  const was = mapping.columns.find(({ column }) => column === reading.column);
  const columns = mapping.columns.map((each) => (each.column === reading.column ? reading : each));
  const [isFamily, wasFamily] = [reading.as === 'family', was?.as === 'family'];
  if (isFamily === wasFamily) return { ...mapping, columns };
  if (isFamily) return { ...mapping, columns, families: { by: 'column' } };
  return { ...mapping, columns, families: mapping.families.by === 'column' ? { by: 'none' } : mapping.families };
}

/** A mapping with another column for the title; the one that was it is an attribute. */
export function withTitle(mapping: Mapping, column: string): Mapping {
  const columns = mapping.columns.map((reading) =>
    reading.column === column
      ? usualReading(column, 'title')
      : reading.as === 'title'
        ? attributeReading(reading.column, mapping)
        : reading,
  );
  return { ...mapping, columns };
}

/** What is wrong with a mapping for these columns, each with the column to point at; empty where it can be used. */
export function checkMapping(mapping: Mapping): { readonly column: string; readonly message: string }[] {
  const problems: { column: string; message: string }[] = [];
  const readings = mapping.columns;
  const as = (role: Role) => readings.filter((reading) => reading.as === role);
  if (as('title').length === 0) problems.push({ column: '', message: 'Choose the column that holds the title.' });
  const columns = new Set(readings.map(({ column }) => column));
  const identity = (mapping.identity ?? []).filter((column) => columns.has(column));
  if (as('id').length + as('sku').length + identity.length === 0)
    problems.push({
      column: '',
      message:
        'Choose the column that holds the id, or the SKU: something that is different in every row. Or choose columns that tell rows apart.',
    });
  for (const role of roles)
    for (const reading of as(role).slice(1))
      if (!['option', 'tags', 'category', 'parts'].includes(role))
        problems.push({
          column: reading.column,
          message: `Two columns are the ${role.replaceAll('_', ' ')}; only one can be.`,
        });
  const used = new Map<string, string>();
  for (const { column, otherwise } of readings)
    if (otherwise !== undefined && (otherwise === column || !columns.has(otherwise)))
      problems.push({ column, message: `There is no other column “${otherwise}” to take where it is empty.` });
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
