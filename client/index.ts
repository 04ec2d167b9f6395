import { CallProblem } from '../web/client/request.ts';
import { liveShop } from '../web/shopper/shopClient.ts';
import type { OpenShop, Question, Refusal } from './types.ts';

export type * from './types.ts';

/** Opens a shop for questions: the same way in that the shop's own pages have. */
export const openShop: OpenShop = ({ server, ...options }) => {
  const shop = liveShop({ base: server.replace(/\/+$/, ''), ...options });
  const written = <Asked extends Question>({ page, limit, ...rest }: Asked) => ({
    ...rest,
    ...(page !== undefined && { page: String(page) }),
    ...(limit !== undefined && { limit: String(limit) }),
  });
  return {
    search: async (question, signal) => shop.search(written(question), signal),
    suggest: async (question, signal) => shop.suggest(written(question), signal),
    product: async (id, signal) => shop.product(id, signal),
    article: async (id, signal) => shop.article(id, signal),
    beside: async (of, at, signal) => shop.beside({ of: [...of], at }, signal),
  };
};

export const isRefusal = (error: unknown): error is Refusal => error instanceof CallProblem;
