import { languageNames } from '../core/text/languages.ts';
import type { ExaminedFile } from '../server/catalog/examineFile.ts';
import { table } from './usage.ts';

const percent = (share: number): string => `${Math.round(share * 100)}%`;
const longestCell = 40;

/** How a file would be read and why, as text: every column, ways of joining variants with examples, ids and language. */
export function importReport(file: string, { rows, columns, joinings, mapping, titleDoubt }: ExaminedFile): string {
  const ways = joinings.map(({ joining, column, families, several, largest, alike, examples }, at) => [
    at === 0 ? 'proposed' : '',
    joining.by === 'column' && column
      ? `by “${column}”`
      : joining.by === 'sku'
        ? `by SKU (${joining.cut})`
        : joining.by,
    `${families} products`,
    several > 0 ? `${several} with variants, at most ${largest}, ${percent(alike)} plausible` : '',
    examples[0] ? `such as ${examples[0].titles.join(' / ')}`.slice(0, 100) : '',
  ]);
  return [
    `${file}: ${rows} rows were looked at; nothing was imported.`,
    '',
    table(
      columns.map(({ column, as, key, confidence, reason, samples }) => [
        column.slice(0, longestCell),
        as === 'attribute' || as === 'option' ? `${as} ${key}` : as,
        percent(confidence),
        reason,
        (samples[0] ?? '').slice(0, longestCell),
      ]),
    ),
    '',
    'Variants:',
    table(ways),
    '',
    `Language: ${languageNames[mapping.language ?? 'en']}`,
    ...(mapping.identity ? [`The file has no id: each row gets one from ${mapping.identity.join(', ')}.`] : []),
    ...(titleDoubt ? [`The title may be any of ${titleDoubt.columns.join(', ')}: say which in a mapping.`] : []),
  ].join('\n');
}
