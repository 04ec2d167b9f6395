import type { Problem } from '../api/problem.ts';
import type { SetupRef } from '../core/setup/setupRef.ts';

export type RefusalStatus = 400 | 403 | 404 | 409 | 410 | 413 | 415 | 429 | 503 | 507;

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

/** Refused where a storefront, a draft or a release of that name is not there, or no longer. */
export const noSuchStorefront = (): Refused =>
  new Refused(404, { code: 'unknown-storefront', message: 'There is no storefront at this address.' });
export const shopClosed = (): Refused => new Refused(410, { code: 'closed', message: 'This shop is closed.' });
export const noSuchSetup = (ref: SetupRef): Refused =>
  'draft' in ref
    ? new Refused(404, {
        code: 'unknown-draft',
        message: 'This draft is not there, or has been taken out. Choose another one.',
      })
    : new Refused(404, { code: 'unknown-release', message: 'There is no release of that number.' });

export const noCatalog = (): Refused =>
  new Refused(503, { code: 'no-catalog', message: 'There is no catalog yet. Import one on the Catalog screen.' });

/** Refused until the index that was damaged has been built again from the stored rows. */
export const rebuildingIndex = (): Refused =>
  new Refused(503, {
    code: 'index-rebuilding',
    message:
      'The search index was damaged and is being built again from the stored rows. Nothing is lost. It takes a minute or two.',
  });
