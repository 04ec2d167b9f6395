import type { PageFound } from '../../api/pageFound.ts';
import type { StyleFound } from '../../api/styleFound.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { ImportJobs } from '../catalog/importJobs.ts';
import type { Sharing } from '../catalog/sharing.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { KeptMade } from '../demand/keptMade.ts';
import type { LogDesk } from '../demand/logDesk.ts';
import type { TopSearches } from '../demand/topSearches.ts';
import type { SimulatedFeed } from '../feed/simulatedFeed.ts';
import type { StorefrontShelf } from '../openShelf.ts';
import type { OwnPictures } from '../pictures/ownPictures.ts';
import type { PictureDesk } from '../pictures/pictureDesk.ts';
import type { EffectOfDraft } from '../searching/effectOfDraft.ts';
import type { ProposalDesk } from '../searching/proposalDesk.ts';
import type { Searcher } from '../searching/searcher.ts';
import type { Db } from '../store/database.ts';
import type { FollowersReader } from '../store/followers.ts';
import type { SetupReader } from '../store/setupStore.ts';
import type { DraftHead, StorefrontHead, StorefrontReader } from '../store/storefronts.ts';
import type { Writer } from '../store/writes.ts';
import type { Hub } from '../together/hub.ts';

/** What is done for one storefront, beside what is kept of it. */
export interface Storefront extends StorefrontShelf {
  readonly imports: ImportJobs;
  readonly feed: SimulatedFeed;
  readonly logDesk: LogDesk;
  readonly topSearches: TopSearches;
  readonly phrases: KeptMade<{ readonly shared: SharedArrayBuffer }>;
  /** What the log says of which products belong together is counted in the background and kept in the database. */
  readonly together: KeptMade<object>;
  readonly effectOfDraft: EffectOfDraft;
  proposalDesk(draft: DraftRef): ProposalDesk;
}

/** A storefront with the draft that a request is about. */
export interface Desk extends Omit<Storefront, 'setups'> {
  readonly ref: DraftRef;
  /** Who asks: a name that the browser keeps. */
  readonly person: string;
  /** The browser tab that asks, empty for a program; what it does itself it need not be told. */
  readonly tab: string;
  readonly setups: SetupReader;
  /** Tells whoever has the draft open that it was changed, up to a revision. */
  tellChanged(revision: number): void;
  /** Tells every desk of the storefront of something else that all see. */
  tellAround(what: string): void;
  /** Tells the desks of other storefronts, which follow this one: `reached` are shown something else by now. */
  tellFollowers(reached: readonly string[]): void;
  /** How the storefront and the draft are listed, read when they are asked for. */
  heads(): { readonly storefront: StorefrontHead | null; readonly draft: DraftHead | null };
}

/** What the routes work with. They read here, ask the searcher what is computed, and write through the writer. */
export interface Services {
  readonly db: Db;
  readonly folder: DataFolder;
  readonly storefronts: StorefrontReader;
  readonly followers: FollowersReader;
  /** What is done for a storefront that is there. */
  at(storefront: string): Storefront;
  /** Resolves when a storefront's catalog is open for reading, or cannot be. */
  ready(storefront: string): Promise<void>;
  /** Lets go of a storefront that has been removed. */
  forget(storefront: string): Promise<void>;
  readonly sharing: Sharing;
  readonly pictures: PictureDesk;
  readonly ownPictures: OwnPictures;
  /** Asks whether a page of another host is there. */
  readonly askPage: (address: string) => Promise<PageFound>;
  /** Asks a page of another host for its style. */
  readonly askStyle: (address: string) => Promise<StyleFound>;
  readonly searcher: Searcher;
  readonly writer: Writer;
  /** Tells desks what happens. */
  readonly hub: Hub;
  readonly now: () => number;
  /** Names this server answers under besides those of its own machine. */
  readonly hosts: readonly string[];
  /** Takes note of our own mistakes. */
  noteMistake(error: unknown): void;
}
