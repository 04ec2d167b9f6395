import { createReadStream, existsSync, statSync } from 'node:fs';
import { type JudgedSearch, type Judgement, judge, judgedSearchSchema, summarise } from '../core/compare/judgement.ts';
import { textLines } from '../server/catalog/sources/textLines.ts';
import { type About, Failure, lookAtCatalog, setupOf, table, UsageError } from './usage.ts';

/** Places in which the first right product is looked for. */
const depth = 100;
const worstListed = 10;
const mostSearches = 100_000;
const longestLine = 1_000_000;

/** Reads judged searches, one a line. A line that is wrong ends it: figures over half the searches would mislead. */
async function readJudged(file: string): Promise<JudgedSearch[]> {
  const judged: JudgedSearch[] = [];
  for await (const { line, text } of textLines(createReadStream(file), longestLine)) {
    if (text?.trim() === '') continue;
    let value: unknown;
    try {
      value = JSON.parse(text ?? '');
    } catch {
      throw new Failure(`Line ${line} of ${file} is no JSON.`);
    }
    const parsed = judgedSearchSchema.safeParse(value);
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!;
      const shape = '{"query": "…", "relevant": {"ID": GRADE}}';
      throw new Failure(
        `Line ${line} of ${file} is wrong at ${issue.path.join('.') || 'its beginning'}: ${issue.message}. A line is ${shape}.`,
      );
    }
    judged.push(parsed.data);
    if (judged.length > mostSearches) throw new Failure(`The file has more than ${mostSearches} searches.`);
  }
  if (judged.length === 0) throw new Failure(`There is no search in ${file}.`);
  return judged;
}

/** Measures how right the results of judged searches are, by what shoppers get or by another setup. */
export async function judgeCommand(
  data: string,
  files: readonly string[],
  values: About & { readonly json: boolean },
): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: judge QUERIES.jsonl.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  const judged = await readJudged(file);
  const shelf = lookAtCatalog(data, values);
  const { local, reader } = shelf;
  const ref = setupOf(shelf, values);
  /** A product's own id, or that of the product a variant's id is of. */
  const productOf = (id: string): string => {
    if (reader.snapshot.findFamily(id) >= 0) return id;
    const ordinal = reader.findRecord(id);
    return ordinal < 0 ? id : reader.record(ordinal).familyId;
  };
  const missing = new Set<string>();
  const judgements = judged.map(({ query, relevant }): Judgement => {
    const grades = new Map<string, number>();
    for (const [id, grade] of Object.entries(relevant)) {
      const product = productOf(id);
      if (reader.snapshot.findFamily(product) < 0) missing.add(id);
      grades.set(product, Math.max(grade, grades.get(product) ?? 0));
    }
    const { results, close } = local.answer(ref, {
      request: { query, filters: {}, page: 1, limit: depth },
    });
    return judge(
      query,
      // What a page is filled up with is seen as well.
      [...results, ...close].map(({ familyId }) => familyId),
      grades,
    );
  });
  const summary = summarise(judgements);
  if (missing.size > 0)
    process.stderr.write(
      `${missing.size} relevant products are not in the catalog, such as “${[...missing][0]}”; they count as not found.\n`,
    );
  if (values.json) {
    process.stdout.write(`${JSON.stringify(summary, null, 2)}\n`);
    return;
  }
  const figure = (share: number): string => share.toFixed(4);
  const worst = summary.queries
    .slice(0, worstListed)
    .filter(({ ndcg10 }) => ndcg10 < 1)
    .map(({ query, ndcg10, reciprocalRank, recall10 }) => [
      figure(ndcg10),
      figure(reciprocalRank),
      figure(recall10),
      query,
    ]);
  process.stdout.write(
    `${judged.length} searches\nnDCG@10    ${figure(summary.ndcg10)}\nMRR        ${figure(summary.mrr)}\nrecall@10  ${figure(summary.recall10)}\n`,
  );
  if (worst.length > 0)
    process.stdout.write(`\nThe worst\n${table([['nDCG@10', '1/rank', 'recall', 'search'], ...worst])}\n`);
}
