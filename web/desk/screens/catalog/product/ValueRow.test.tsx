/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { show } from '../../../../testing/dom.tsx';
import type { Attribute, Product, Variant } from './productAnswer.ts';
import { ValueRows } from './ValueRow.tsx';

const attribute: Attribute = { key: 'description', label: 'Description', canDecide: false, wins: 'here' } as Attribute;
const row = (text: string) => {
  const variant = {
    values: { description: { text, from: 'file', fact: null, contested: false } },
  } as unknown as Variant;
  const product = { id: 'p1', decisions: [] } as unknown as Product;
  return <ValueRows attributes={[attribute]} product={product} variant={variant} owner={null} />;
};

test('of a text longer than the search reads it is said how far it does', () => {
  show(row('x'.repeat(45_000)));
  expect(screen.getByText(/reads its first 32,000 characters of 45,000/)).toBeTruthy();
});

test('of others nothing is said', () => {
  show(row('Dense colour'));
  expect(screen.getByText('Dense colour')).toBeTruthy();
  expect(screen.queryByText(/Kept whole/)).toBeNull();
});
