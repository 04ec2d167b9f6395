import type { Problem } from '../api/problem.ts';

export type RefusalStatus = 400 | 403 | 404 | 409 | 413 | 415 | 503 | 507;

/** A refusal on its way out: from a handler, or from a thread that answers one. */
export class Refused extends Error {
  readonly status: RefusalStatus;
  readonly problem: Problem['error'];
  constructor(status: RefusalStatus, error: Problem['error']) {
    super(error.message);
    this.status = status;
    this.problem = error;
  }
}

export const noCatalog = (): Refused =>
  new Refused(503, { code: 'no-catalog', message: 'There is no catalog yet. Import one on the Catalog screen.' });

/** Refused until the index that was damaged has been built again from the stored rows. */
export const rebuildingIndex = (): Refused =>
  new Refused(503, {
    code: 'index-rebuilding',
    message:
      'The search index was damaged and is being built again from the stored rows. Nothing is lost. It takes a minute or two.',
  });
