import { expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';

const others = [
  { id: '2', title: 'Other round brush 17' },
  { id: '3', title: 'Plain pencil 9 pieces' },
];

/** Whether a product whose title has one way of writing something is found by another. */
function finds(written: string, typed: string): boolean {
  const records = recordsOf([{ id: '1', title: `Thing ${written} kind` }, ...others]);
  const engine = openEngine(snapshotOf(records));
  const setup = prepareSetup(engine, initialSetup(engine.snapshot.attributes), 0);
  const request = { query: typed, filters: {}, page: 1, limit: 5 };
  return search(engine, setup, request, (record) => records[record]!).results.some(({ id }) => id === '1');
}

test.each([
  [['XF60mm', 'XF 60mm', 'xf 60 mm', 'xf60 mm']],
  [['70-350mm', '70–350mm', '70 - 350 mm']],
  [['100-240V', '100-240 V', '100–240V']],
  [['M3x10', 'm3 x 10', 'M3 x10', 'M3×10']],
  [['AT&T', 'at&t', 'att', 'AT & T']],
  [['B&W', 'b & w', 'bw']],
  [["O'Brien", 'obrien', 'O’Brien', 'o brien']],
  [['C++', 'c++', 'cplusplus']],
  [['1/4"', '1/4 inch', '0.25"', '¼"', '1/4 in', '6.35 mm']],
  [['F2.8', 'f/2.8', 'f 2.8', 'F2,8', 'f 2,8']],
  [['USB3.0', 'usb 3.0', 'usb 3', 'usb3', 'usb-3']],
  [['10kΩ', '10 kΩ', '10k ohm', '10000 ohm', '10 kilohm']],
  [['4.7µF', '4.7 uF', '4.7uf', '4,7 µF', '4700 nF']],
  [['500mA', '0.5A', '0.5 A', '.5a', '0,5 A']],
  [['#8', '# 8', '8']],
  [['No.2', 'no 2', 'no. 2']],
  [['N.Y.C.', 'nyc', 'n.y.c']],
  [['A4', 'a 4', 'a-4']],
  [['3-D', '3d', '3 d']],
  [['T-shirt', 'tshirt', 't shirt']],
  [['2-in-1', '2in1', '2 in 1']],
  [['30x40cm', '30 x 40 cm', '30×40 cm', '30cm x 40cm']],
])('%j are one thing, whichever stands in the catalog', (ways) => {
  const failed = ways.flatMap((written) =>
    ways.filter((typed) => !finds(written, typed)).map((typed) => `${typed} for ${written}`),
  );
  expect(failed).toEqual([]);
});

test.each([
  ['XF60mm', '60mm'],
  ['XF60mm', '6 cm'],
  ['70-350mm', '35 cm'],
  ['100-240V', '240 V'],
  ['M3x10', 'M3'],
])('of %s a part is found: %s', (written, typed) => expect(finds(written, typed)).toBe(true));

test('a part number that ends like an amount is none', () => {
  expect(finds('BC547A', '547 A')).toBe(false);
  expect(finds('BC547A', 'bc547a')).toBe(true);
});
