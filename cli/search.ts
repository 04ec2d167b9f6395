import { deskSearchQuery, requestOf } from '../api/searchQuery.ts';
import type { SearchAnswer } from '../core/answer/answer.ts';
import { named } from '../core/base/named.ts';
import { type About, lookAtCatalog, setupOf, table, UsageError } from './usage.ts';

interface SearchValues extends About {
  readonly json: boolean;
  readonly explain: boolean;
  readonly typing: boolean;
  readonly collection: string;
  readonly sort: string;
  readonly limit: string;
  readonly page: string;
  readonly filter: readonly string[];
}

/** The same validated query that the interface over HTTP takes. */
function queryOf(words: readonly string[], values: SearchValues) {
  const filters = named<string[]>();
  for (const text of values.filter) {
    const at = text.indexOf('=');
    if (at < 1) throw new UsageError(`--filter is KEY=VALUE, not “${text}”.`);
    const name = `f.${text.slice(0, at)}`;
    filters[name] = [...(filters[name] ?? []), text.slice(at + 1)];
  }
  const parsed = deskSearchQuery.safeParse({
    q: words.join(' '),
    limit: values.limit,
    page: values.page,
    typing: values.typing ? '1' : '0',
    collection: values.collection,
    sort: values.sort,
    explain: values.explain ? '1' : '0',
    ...filters,
  });
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0]!;
  throw new UsageError(`${issue.path.join('.').replace(/^q$/, 'the search')}: ${issue.message}.`);
}

const points = (thousandths: number): string => (thousandths / 1000).toFixed(3);

function readable(answer: SearchAnswer, explain: boolean): string {
  const lines = [`${answer.total} products for “${answer.query}”`];
  for (const { from, to } of answer.corrections) lines.push(`“${from}” was corrected to “${to}”`);
  if (answer.dropped.length > 0) lines.push(`Nothing has all the words; left out: ${answer.dropped.join(', ')}`);
  if (answer.loosened.length > 0) lines.push(`Taken as plain words: ${answer.loosened.join(', ')}`);
  if (answer.near) lines.push(`Nothing matches; looked for “${answer.near.search}” instead, which is close to it`);
  if (answer.outside) lines.push(`Nothing in “${answer.outside.title}” matches; the whole shop was searched`);
  if (answer.emptyShelf) lines.push(answer.emptyShelf.message);
  const rows = answer.results.map((result) => [
    `${result.place}.`,
    points(result.score),
    result.title,
    result.brand ?? '',
    result.price === null ? '' : result.price.toFixed(2),
    result.sku,
  ]);
  if (rows.length > 0) lines.push('', table(rows));
  if (answer.close.length > 0)
    lines.push(
      '',
      'Also close to the search:',
      table(answer.close.map(({ score, title, without }) => [points(score), title, `without ${without}`])),
    );
  for (const { title } of answer.collections) lines.push(`   collection: ${title}`);
  for (const { title } of answer.articles) lines.push(`   article: ${title}`);
  if (explain)
    for (const { title, why } of answer.results) {
      lines.push('', `${why!.place}. ${title}: ${points(why!.score)} points`);
      for (const { word, best, also } of why!.words) {
        lines.push(`   ${word} in ${best.label} (${best.term}, ${best.how}): ${points(best.points)}`);
        if (also) lines.push(`   ${word} also in ${also.label}: ${points(also.points)}`);
      }
      for (const close of why!.closeness)
        lines.push(`   ${close.words.join(' and ')} close together: ${points(close.points)}`);
      if (why!.whole)
        lines.push(
          `   ${why!.whole.found} of the ${why!.whole.words} words of ${why!.whole.label}: ${points(why!.whole.points)}`,
        );
      for (const pull of why!.pulls) lines.push(`   ${pull.name || 'Boost of the product'} pulls by ${pull.pull}`);
      if (why!.pin) lines.push(`   ${why!.pin.name} pins it at place ${why!.pin.place}`);
      if (why!.exactSku) lines.push('   its part number is the search');
    }
  return lines.join('\n');
}

export function searchCommand(data: string, words: readonly string[], values: SearchValues): void {
  const query = queryOf(words, values);
  const { explain } = query;
  const shelf = lookAtCatalog(data, values);
  const answer = shelf.local.answer(setupOf(shelf, values), {
    request: { ...requestOf(query), explain, marks: explain },
  });
  process.stdout.write(`${values.json ? JSON.stringify(answer, null, 2) : readable(answer, explain)}\n`);
}
