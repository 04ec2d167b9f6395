import { z } from 'zod';

/** One judged search: how right each product is, by the id of a product or of one of its variants. 0 is wrong. */
export const judgedSearchSchema = z.strictObject({
  query: z.string().max(512),
  relevant: z
    .record(z.string().min(1).max(200), z.number().min(0).max(100))
    .refine((relevant) => Object.values(relevant).some((grade) => grade > 0), { message: 'names no relevant product' }),
});
export type JudgedSearch = z.infer<typeof judgedSearchSchema>;

/** Places that gain and recall are measured over. */
const judgedPlaces = 10;

/** How right one search's results are; every figure is from 0 to 1. */
export interface Judgement {
  readonly query: string;
  /** Discounted gain over the first ten places, as a share of the best order's. */
  readonly ndcg10: number;
  /** One over the place of the first right product; 0 where none was found. */
  readonly reciprocalRank: number;
  /** Of the right products, the share among the first ten places. */
  readonly recall10: number;
}

/** Gain of grades in order, each divided by log2(place + 1) (Järvelin and Kekäläinen 2002). */
const discounted = (grades: readonly number[]): number =>
  grades.slice(0, judgedPlaces).reduce((sum, grade, at) => sum + grade / Math.log2(at + 2), 0);

/** Judges one search. `found` are products in order, `grades` by product; products without one are wrong. */
export function judge(query: string, found: readonly string[], grades: ReadonlyMap<string, number>): Judgement {
  const gradeOf = (product: string): number => grades.get(product) ?? 0;
  const right = [...grades.values()].filter((grade) => grade > 0);
  const best = discounted([...right].sort((a, b) => b - a));
  const first = found.findIndex((product) => gradeOf(product) > 0);
  const among = found.slice(0, judgedPlaces).filter((product) => gradeOf(product) > 0).length;
  return {
    query,
    ndcg10: best === 0 ? 0 : discounted(found.map(gradeOf)) / best,
    reciprocalRank: first < 0 ? 0 : 1 / (first + 1),
    recall10: right.length === 0 ? 0 : among / right.length,
  };
}

/** The means over all searches, and the searches themselves, worst first. */
export interface Judgements {
  readonly ndcg10: number;
  readonly mrr: number;
  readonly recall10: number;
  readonly queries: readonly Judgement[];
}

export function summarise(judgements: readonly Judgement[]): Judgements {
  const mean = (of: (judgement: Judgement) => number): number =>
    judgements.length === 0 ? 0 : judgements.reduce((sum, each) => sum + of(each), 0) / judgements.length;
  return {
    ndcg10: mean(({ ndcg10 }) => ndcg10),
    mrr: mean(({ reciprocalRank }) => reciprocalRank),
    recall10: mean(({ recall10 }) => recall10),
    queries: [...judgements].sort(
      (a, b) => a.ndcg10 - b.ndcg10 || a.reciprocalRank - b.reciprocalRank || (a.query < b.query ? -1 : 1),
    ),
  };
}
