import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { type DifferingAttribute, variantFor, variantOptions } from './variantOptions.ts';

const attribute = (key: string, ...values: string[]): DifferingAttribute => ({ key, label: key, values });
const keys = (...attributes: DifferingAttribute[]): string[] =>
  variantOptions(attributes, attributes[0]!.values.length).map(({ key }) => key);

describe('a variant is chosen', () => {
  test('by as few attributes as tell variants apart, the earlier ones', () => {
    expect(keys(attribute('colour', 'red', 'red', 'blue'), attribute('size', 'S', 'M', 'S'))).toEqual([
      ...['colour', 'size'],
    ]);
    expect(keys(attribute('colour', 'red', 'blue'), attribute('shade', 'scarlet', 'navy'))).toEqual(['colour']);
  });
  test('from a list, where an attribute that is needed is missing somewhere or they are all alike', () => {
    expect(keys(attribute('colour', 'red', 'red', 'blue'), attribute('size', 'S', '', 'S'))).toEqual([]);
    expect(keys(attribute('colour', 'red', 'red'))).toEqual([]);
  });
  test('so that every choice of all options is one variant at most, whatever the catalog says', () => {
    let chosenByOptions = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const random = seededRandom(seed);
      const many = 2 + Math.floor(random() * 6);
      const attributes = ['a', 'b', 'c', 'd'].map((key) =>
        attribute(key, ...Array.from({ length: many }, () => pick(random, ['1', '2', '3', '']))),
      );
      const options = variantOptions(attributes, many);
      const chosen = Array.from({ length: many }, (_, at) => options.map(({ values }) => values[at]).join('/'));
      if (options.length === 0) continue;
      expect({ seed, size: new Set(chosen).size }).toEqual({ seed, size: many });
      chosenByOptions++;
    }
    expect(chosenByOptions).toBeGreaterThan(10);
  });
});

describe('choosing a value', () => {
  const variants = [
    { id: 'rs', available: true, chosen: ['red', 'S'] },
    { id: 'rm', available: true, chosen: ['red', 'M'] },
    { id: 'bs', available: false, chosen: ['blue', 'S'] },
    { id: 'bl', available: true, chosen: ['blue', 'L'] },
  ];
  const chosenAfter = (before: number, option: number, value: string): string =>
    variantFor(variants, variants[before]!, option, value).id;
  test('keeps the others where there is such a variant', () => expect(chosenAfter(0, 1, 'M')).toBe('rm'));
  test('keeps them also where it is sold out, since that is told', () => expect(chosenAfter(0, 0, 'blue')).toBe('bs'));
  test('leads to one in stock where the others cannot be kept', () => expect(chosenAfter(1, 0, 'blue')).toBe('bl'));
  test('that no variant has changes nothing', () => expect(chosenAfter(1, 0, 'green')).toBe('rm'));
});
