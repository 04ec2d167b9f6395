/** Another storefront of the demo store, as it is made when the demo is brought in: `server/demoStore.ts` reads it. */
export function makeStorefronts(): unknown[] {
  const synonyms = (...words: string[]) => ({ what: 'synonyms', words, on: true });
  const vocabulary: Record<string, unknown> = {
    stopWords: { what: 'stopWords', words: ['für', 'mit', 'und', 'von', 'zum'] },
    wasserfarbe: synonyms('Aquarellfarbe', 'Wasserfarbe'),
    malkasten: synonyms('Farbset', 'Malkasten', 'Farbkasten'),
    staffelei: synonyms('Staffelei', 'Malständer'),
    skizzenbuch: synonyms('Skizzenbuch', 'Zeichenbuch', 'Skizzenblock'),
    radierer: synonyms('Radiergummi', 'Radierer'),
    kohle: { what: 'oneWay', from: ['Zeichenkohle'], to: ['charcoal'], on: true },
    tusche: synonyms('Zeichentusche', 'Tinte', 'Tusche'),
    spachtel: { what: 'oneWay', from: ['Spachtel'], to: ['Malmesser'], on: true },
    leinwand: synonyms('Leinwand', 'Keilrahmen'),
    // What is still only in English is found by its German name all the same.
    easel: { what: 'oneWay', from: ['Staffelei'], to: ['easel'], on: true },
    brush: { what: 'oneWay', from: ['Pinsel'], to: ['brush'], on: true },
    furniture: { what: 'oneWay', from: ['Möbel'], to: ['furniture'], on: true },
    course: { what: 'oneWay', from: ['Kurs'], to: ['course'], on: true },
    corrections: { what: 'corrections', pairs: [{ from: 'aquarel', to: 'Aquarell' }] },
  };
  const filter = (attribute: string, label: string, kind: string, order: number) => ({
    part: 'filters',
    key: attribute,
    value: { attribute, label, kind, order, counts: true, valueOrder: 'count' },
  });
  return [
    {
      name: 'Germany',
      shop: {
        ...{ name: 'Wren & Umber', currency: 'EUR', country: 'DE', timeZone: 'Europe/Berlin' },
        tax: { included: true, rate: 19 },
      },
      language: 'de',
      follows: ['relevance', 'products'],
      entries: [
        ...Object.entries(vocabulary).map(([key, value]) => ({ part: 'vocabulary', key, value })),
        filter('price', 'Preis', 'range', 1),
        filter('availability', 'Verfügbarkeit', 'single', 2),
        filter('category', 'Abteilung', 'tree', 3),
        filter('colour', 'Farbe', 'ticks', 4),
        filter('brand', 'Marke', 'ticks', 5),
      ],
    },
  ];
}
