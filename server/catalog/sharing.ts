import type { StorefrontShelf } from '../openShelf.ts';
import type { StorefrontReader } from '../store/storefronts.ts';
import type { ImportJobs } from './importJobs.ts';
import { shopTermsOf } from './shopTermsOf.ts';

/** A storefront as far as its records can be shared. */
export type Sharer = Pick<StorefrontShelf, 'catalogs' | 'releases' | 'mappings'> & { readonly imports: ImportJobs };

/** Storefronts whose catalogs are read from the rows of another one's, each by its own mapping, in its own language. */
export interface Sharing {
  /**
   * Has every storefront that shares another one's records read those in force there, one after the other. Resolves when
   * none is behind, or what is behind cannot be mended now; it is tried again when it is asked for again.
   */
  catchUp(): Promise<void>;
  /** Reads the rows in force in one storefront into another, which is then to put them in force or not; false where it is busy or cannot. */
  readInto(from: string, to: string): Promise<boolean>;
}

export function openSharing(options: {
  readonly storefronts: StorefrontReader;
  readonly at: (storefront: string) => Sharer;
  /** Called when a storefront has other records by it. */
  readonly onShared: (storefront: string) => void;
  readonly onError: (error: unknown) => void;
}): Sharing {
  const { storefronts, at, onShared, onError } = options;
  /** The lender's generation that a storefront could not be made of: what fails once is not tried every minute. */
  const failed = new Map<string, number>();
  let last: Promise<void> = Promise.resolve();

  const readInto = async (from: string, to: string): Promise<boolean> => {
    const [lender, borrower] = [at(from), at(to)];
    const info = lender.catalogs.info();
    if (!info || lender.catalogs.comparable() === 0) return false;
    const begun = await borrower.imports.borrow(
      {
        generation: info.generation,
        terms: {
          lender: shopTermsOf(lender.releases.live()?.setup),
          own: shopTermsOf(borrower.releases.live()?.setup),
        },
      },
      info.file,
      lender.mappings.corrections(),
    );
    if (!begun) return false;
    return (await borrower.imports.settled())?.phase === 'ready';
  };
  const catchUpOne = async (id: string, lender: string): Promise<void> => {
    const { imports, catalogs } = at(id);
    const generation = at(lender).catalogs.generation();
    if (generation === 0 || catalogs.info()?.lent === generation || failed.get(id) === generation) return;
    if (imports.isBusy()) return;
    try {
      if (!(await readInto(lender, id))) failed.set(id, generation);
      else if (await imports.commit()) onShared(id);
    } catch (error) {
      failed.set(id, generation);
      onError(error);
    }
  };
  const catchUpAll = async (): Promise<void> => {
    for (const { id, shares } of storefronts.storefronts()) if (shares !== null) await catchUpOne(id, shares);
  };
  return {
    readInto,
    catchUp() {
      last = last.then(catchUpAll).catch(onError);
      return last;
    },
  };
}
