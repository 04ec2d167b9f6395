import { describe, expect, test } from '@jest/globals';
import { readStandardRow } from '../catalog/readRow.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Decision } from '../setup/parts/products.ts';
import type { Setup } from '../setup/schema.ts';
import { applyDecisions, decisionKey, decisionsByProduct, sourceOf } from './decisions.ts';
import { readCell, tagEdit, valueEdit } from './productEdits.ts';

const record = (id: string, more: Record<string, string> = {}) => {
  const reading = readStandardRow({ id, family: 'f', title: 'Round brush', price: '4', tags: 'new|sale', ...more });
  if ('refusal' in reading) throw new Error(reading.refusal.reason);
  return reading.record;
};
const facts = [record('a', { colour: 'Red' }), record('b', { colour: 'Blue' })];
const empty = initialSetup([]);
const withDecisions = (...decisions: Decision[]): Setup => ({
  ...empty,
  products: Object.fromEntries(decisions.map((decision) => [decisionKey(decision), decision])),
});
const about = { product: 'f', variant: null, attribute: 'title' };

describe('what is typed into a cell', () => {
  const profile = (kind: string, key = 'x') => ({ key, kind: kind as 'text', label: 'Thing' });
  test.each([
    ['price', '£4,50', 4.5],
    ['number', '1,200', 1200],
    ['text', ' Sable ', 'Sable'],
    ['list', 'new|sale|new', ['new', 'sale']],
    ['text', 'Red|Blue', ['Red', 'Blue']],
    ['date', '2026-03-09', '2026-03-09'],
    ['path', 'Paint > Oil', ['Paint', 'Paint > Oil']],
    ['text', '', null],
  ])('as a %s, “%s” is taken', (kind, typed, value) => expect(readCell(profile(kind), typed)).toEqual({ value }));
  test.each([
    ['price', 'x', 'cheap', 'not a number'],
    ['date', 'x', 'soon', 'not a date'],
    ['text', 'title', ' ', 'needs a title'],
    ['code', 'sku', 'B-1', 'comes from the file'],
  ])('as a %s of %s, “%s” is refused', (kind, key, typed, reason) =>
    expect(readCell(profile(kind, key), typed)).toMatchObject({ refusal: expect.stringContaining(reason) }),
  );
});

describe('decisions', () => {
  test('what the file says already needs none, and gives an older one up', () => {
    expect(valueEdit(facts, about, 'Round brush').value).toBeNull();
    expect(valueEdit(facts, about, 'Mop').value).toMatchObject({ act: 'set', value: 'Mop' });
    expect(valueEdit(facts, { ...about, attribute: 'colour' }, 'Red').value).toMatchObject({ act: 'set' });
    expect(valueEdit(facts, { ...about, attribute: 'colour', variant: 'a' }, 'Red').value).toBeNull();
    expect(valueEdit(facts, { ...about, attribute: 'size' }, null).value).toBeNull();
  });

  test('a tag added and taken off again leaves nothing behind', () => {
    const added = tagEdit(empty, facts, 'f', { add: 'gift' });
    expect(added.value).toMatchObject({ add: ['gift'], remove: [] });
    const setup = withDecisions(added.value as Decision);
    expect(tagEdit(setup, facts, 'f', { add: 'xmas' }).value).toMatchObject({ add: ['gift', 'xmas'] });
    expect(tagEdit(setup, facts, 'f', { remove: 'gift' }).value).toBeNull();
    expect(tagEdit(setup, facts, 'f', { remove: 'sale' }).value).toMatchObject({ add: ['gift'], remove: ['sale'] });
    expect(tagEdit(empty, facts, 'f', { add: 'sale' }).value).toBeNull();
  });

  test('a variant’s own decision goes before the product’s', () => {
    const setup = withDecisions(
      { act: 'set', product: 'f', variant: 'a', attribute: 'price', value: 9 },
      { act: 'set', product: 'f', variant: null, attribute: 'price', value: 7 },
    );
    const list = decisionsByProduct(setup).get('f')!;
    expect(facts.map((fact) => applyDecisions(fact, list, setup).values.price)).toEqual([9, 7]);
  });

  test('a record of which nothing is decided is itself, and the facts are never changed', () => {
    const before = JSON.stringify(facts);
    const setup = withDecisions({ act: 'clear', product: 'f', variant: null, attribute: 'price' });
    expect(applyDecisions(facts[0]!, decisionsByProduct(setup).get('f')!, setup).values).not.toHaveProperty('price');
    expect(applyDecisions(facts[0]!, [], setup)).toBe(facts[0]);
    expect(JSON.stringify(facts)).toBe(before);
  });

  test('ids, SKUs and what is computed cannot be decided about, nor can the last title be taken', () => {
    const setup = withDecisions(
      { act: 'set', product: 'f', variant: null, attribute: 'sku', value: 'X' },
      { act: 'set', product: 'f', variant: null, attribute: 'availability', value: 'Sold out' },
    );
    expect(applyDecisions(facts[0]!, decisionsByProduct(setup).get('f')!, setup)).toBe(facts[0]);
    const untitled = withDecisions({ act: 'clear', product: 'f', variant: null, attribute: 'title' });
    expect(applyDecisions(facts[0]!, decisionsByProduct(untitled).get('f')!, untitled)).toBe(facts[0]);
  });

  test('which of the two sources counts can be told of every value', () => {
    const decision: Decision = { act: 'set', product: 'f', variant: null, attribute: 'price', value: 9 };
    const setup = withDecisions(decision);
    const fileWins: Setup = {
      ...setup,
      attributes: { price: { searchable: false, weight: 1, onCard: true, wins: 'file' } },
    };
    expect(sourceOf(facts[0]!, 'price', [decision], setup)).toEqual({ from: 'here', contested: true });
    expect(sourceOf(facts[0]!, 'price', [decision], fileWins)).toEqual({ from: 'file', contested: true });
    expect(sourceOf(facts[0]!, 'title', [decision], setup)).toEqual({ from: 'file', contested: false });
    expect(applyDecisions(facts[0]!, [decision], fileWins)).toBe(facts[0]);
  });
});
