import { describe, expect, test } from '@jest/globals';
import { attributeKey, nameKey, roles, rolesNamed } from './roles.ts';

test.each([
  ['imageURL', 'image url'],
  ['image_url', 'image url'],
  [' Image  URL ', 'image url'],
  ['Größe', 'groesse'],
  ['Prix TTC (€)', 'prix ttc'],
  ['Número', 'numero'],
])('the name %s is compared as %s', (name, key) => expect(nameKey(name)).toBe(key));

describe('what a column’s name says it is', () => {
  test.each([
    ['Product Name', 'title'],
    ['productName', 'title'],
    ['Bezeichnung', 'title'],
    ['Artikel-Nr', 'sku'],
    ['Hersteller', 'brand'],
    ['Warengruppe', 'category'],
    ['Prix TTC', 'price'],
    ['Streichpreis', 'former_price'],
    ['Bestand', 'stock'],
    ['Fecha de alta', 'date_added'],
    ['Bild URL', 'picture'],
    ['Farbe', 'option'],
    ['item group id', 'family'],
  ])('%s is %s', (name, role) => expect(rolesNamed(name)[0]).toEqual({ role, confidence: 0.95 }));
  test('a known name inside a longer one is less sure, the longer the surer', () => {
    const [first] = rolesNamed('our retail price in pounds');
    expect(first).toMatchObject({ role: 'price' });
    expect(first!.confidence).toBeLessThan(0.95);
    const longer = rolesNamed('retail price now')[0]!.confidence;
    expect(longer).toBeGreaterThan(first!.confidence);
  });
  test('a name that says several things has all those roles, the likeliest first', () => {
    const found = rolesNamed('supplier product description and brand');
    expect(found.map(({ role }) => role)).toEqual(expect.arrayContaining(['description', 'brand']));
    for (let at = 1; at < found.length; at++)
      expect(found[at]!.confidence).toBeLessThanOrEqual(found[at - 1]!.confidence);
  });
  test('other names say nothing', () => expect(rolesNamed('granulation')).toEqual([]));
  test('the names this application writes are known again', () => {
    for (const role of roles) expect(rolesNamed(role)[0]!.role).toBe(role);
  });
});

test.each([
  ['Paper Weight', 'paper_weight'],
  ['paper-weight', 'paper_weight'],
  ['  ', 'column'],
  ['x'.repeat(200), 'x'.repeat(80)],
])('the column %j becomes the attribute %s', (name, key) => expect(attributeKey(name)).toBe(key));
