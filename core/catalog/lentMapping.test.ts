import { expect, test } from '@jest/globals';
import { lentMapping } from './lentMapping.ts';
import { proposeReading } from './proposeReading.ts';
import type { Cells } from './readRow.ts';

const rows: Cells[] = Array.from({ length: 40 }, (_, n) => ({
  ...{ sku: `A-${n}`, title: `Round brush number ${n}`, title_de: `Rundpinsel Nummer ${n}` },
  ...{ price: `${n}.50`, price_eur: `${n}.90`, width: `${n % 7}` },
}));
const names = Object.keys(rows[0]!);
const terms = { lender: { languages: ['en'], currency: 'GBP' }, own: { languages: ['de'], currency: 'EUR' } };
const lender = proposeReading(rows, names, terms.lender).mapping;
const rolesIn = ({ columns }: typeof lender) => columns.map(({ as }) => as).join(' ');

test('the borrower takes its own columns', () => {
  expect(rolesIn(lender)).toBe('sku title skip price skip attribute');
  expect(rolesIn(lentMapping(lender, rows, terms))).toBe('sku skip title skip price attribute');
});

test('what the lender decided by hand holds for the borrower too', () => {
  const decided = lender.columns.map((reading) =>
    reading.column === 'width' ? { ...reading, key: 'head', pattern: '{value} mm' } : reading,
  );
  const families = { by: 'sku', cut: 'group' } as const;
  const lent = lentMapping({ ...lender, columns: decided, families }, rows, terms);
  expect(lent.columns[5]).toMatchObject({ key: 'head', pattern: '{value} mm' });
  expect(lent.families).toEqual(families);
  expect(lent.language).toBe('de');
});

test('where both together cannot be, it is read as is proposed for it', () => {
  const decided = lender.columns.map((reading) =>
    reading.column === 'width' ? { ...reading, as: 'price' as const, key: 'price' } : reading,
  );
  expect(rolesIn(lentMapping({ ...lender, columns: decided }, rows, terms))).toBe(
    'sku skip title skip price attribute',
  );
});
