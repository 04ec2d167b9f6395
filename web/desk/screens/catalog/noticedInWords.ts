import type { ImportJob } from '../../../../api/catalogEndpoints.ts';
import { count } from '../../../look/price.ts';

type Noticed = NonNullable<ImportJob['differences']>['noticed'];

const sentences: readonly (readonly [string, readonly (readonly [keyof Noticed, string])[]])[] = [
  [
    'Prices',
    [
      ['dearer', 'higher'],
      ['cheaper', 'lower'],
    ],
  ],
  [
    'Stock',
    [
      ['soldOut', 'sold out'],
      ['backInStock', 'in stock again'],
    ],
  ],
  [
    'Pictures',
    [
      ['picturesGone', 'gone'],
      ['picturesNew', 'new'],
      ['picturesOther', 'replaced'],
    ],
  ],
];

/** What a catalog changes that shoppers notice first, in short sentences; empty where it changes nothing of it. */
export const noticedInWords = (noticed: Noticed): string =>
  sentences
    .flatMap(([what, parts]) => {
      const said = parts.flatMap(([key, became]) => (noticed[key] > 0 ? [`${count(noticed[key])} ${became}`] : []));
      return said.length > 0 ? [`${what}: ${said.join(', ')}.`] : [];
    })
    .join(' ');
