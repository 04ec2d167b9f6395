import type { CatalogReader } from '../catalog/catalogReader.ts';
import type { DataFolder } from '../dataFolder.ts';
import { noCatalog, type Refused } from '../refused.ts';
import { answerIn, outcomeOf } from '../threadOutcome.ts';
import { type Lane, type LaneName, laneSettings, openLane } from './lanes.ts';
import { answerQuestion, type LocalSearch, laneOf, type Question, questionNames } from './localSearch.ts';
import type { Side } from './workbench.ts';

/** Answers questions, in other threads or in this one: the local search's methods, each answered later. */
export type Searcher = {
  readonly [Name in keyof LocalSearch]: (
    ...given: Parameters<LocalSearch[Name]>
  ) => Promise<ReturnType<LocalSearch[Name]>>;
};

function searcherBy(run: (question: Question) => Promise<unknown>): Searcher {
  const calls = questionNames.map((call) => [call, (...given: never) => run({ call, given } as unknown as Question)]);
  return Object.fromEntries(calls) as Searcher;
}

/** Searches every thread answers before shoppers are sent to it: those made most, and some that need other code. */
const warmedWith = ['', 'a', 'blue', 'red brush', 'xqzzk', 'watercolour papr', 'black ink 30 ml', 'sketch book'];
const searchesWarmed = 24;
/** How often over: code that ran a hundred times or so has been compiled for good. */
const warmedOver = 5;
/** When the desk's threads start by themselves, in milliseconds. */
const deskWarmedAfter = 4000;
/** When threads that are asked nothing more are ended, in milliseconds: letting go of a catalog takes a core a moment. */
const endedAfter = 1000;

/** A searcher whose threads are replaced, all together, when another generation of the catalog is put in force. */
export interface LanedSearcher extends Searcher {
  /**
   * Starts threads for a generation and has each answer some searches, then does `putInForce`, and only then sends
   * questions to them. The threads before end when they have answered what they were asked. Where any of it fails,
   * questions go where they went.
   */
  handOver(reader: CatalogReader, putInForce: () => Promise<void>): Promise<void>;
  /**
   * Has shoppers' threads take over what was published, fed or brought in, one after the other, so that no shopper waits
   * for it. Resolves when all of them answer by it.
   */
  follow(): Promise<void>;
  /** Generations that threads still answer from. */
  used(): ReadonlySet<number>;
  close(): Promise<void>;
}

/** Searches answered after something was taken over. */
const followedWith = ['', 'blue', 'red brush'];

type Lanes = Readonly<Record<LaneName, Lane>> & { readonly generation: number };

export function lanedSearcher(options: {
  readonly folder: DataFolder;
  readonly worker: URL;
  /** Why nothing can be answered while no catalog is open. */
  readonly whenClosed?: () => Refused;
  /** Called when threads have ended. */
  readonly whenFree?: () => void;
}): LanedSearcher {
  const { folder, worker, whenClosed = noCatalog, whenFree = () => {} } = options;
  let lanes: Lanes | null = null;
  /** Shoppers' threads that are not asked anything yet. */
  let incoming: Lane | null = null;
  const all = new Set<Lanes>();

  const openNamed = (name: LaneName, reader: CatalogReader): Lane => openLane(name, folder, reader, worker);
  const close = async (old: Lanes): Promise<void> => {
    await Promise.all((Object.keys(laneSettings) as LaneName[]).map((name) => old[name].close()));
    all.delete(old);
    whenFree();
  };
  const warm = (lane: Lane, side: Side, most: number): Promise<void> =>
    lane.prepare({ call: 'warm', given: [side, most, warmedWith, warmedOver] } satisfies Question);
  const follow: Question = { call: 'follow', given: ['live', followedWith] };
  const followNow = async (): Promise<void> => {
    const lanesOfShops = [...(lanes ? [lanes.shop] : []), ...(incoming ? [incoming] : [])];
    // A thread that could not is told again soon; what was written is written either way.
    await Promise.allSettled(lanesOfShops.map((lane) => lane.inTurn(follow)));
  };
  let following: Promise<void> = Promise.resolve();
  let nextFollowing: Promise<void> | null = null;
  const searcher = searcherBy(async (question) => {
    if (!lanes) throw whenClosed();
    return lanes[laneOf(question)].run(question);
  });
  return {
    ...searcher,
    async handOver(reader, putInForce) {
      const before = lanes;
      // Shoppers' threads first and by themselves: nobody waits until the others have started.
      const shop = openNamed('shop', reader);
      incoming = shop;
      try {
        // The first generation has no setup before it is in force, so there is nothing to warm up with.
        if (before) await warm(shop, 'live', searchesWarmed);
        await putInForce();
        // What a feed said while the threads began is laid over the catalog as it is put in force.
        await (before ? shop.inTurn(follow) : warm(shop, 'live', searchesWarmed));
      } catch (error) {
        void shop.close().catch(() => {});
        throw error;
      } finally {
        incoming = null;
      }
      const [desk, long] = [openNamed('desk', reader), openNamed('long', reader)];
      lanes = { shop, desk, long, generation: reader.generation };
      all.add(lanes);
      // It only saves the first person at the desk a moment, so it comes after what shoppers wait for.
      const own = lanes;
      setTimeout(() => lanes === own && void warm(desk, 'draft', 0).catch(() => {}), deskWarmedAfter).unref();
      if (before) setTimeout(() => void close(before).catch(() => {}), endedAfter).unref();
    },
    follow() {
      nextFollowing ??= following.then(() => {
        nextFollowing = null;
        following = followNow();
        return following;
      });
      return nextFollowing;
    },
    used: () => new Set([...all].map(({ generation }) => generation)),
    async close() {
      lanes = null;
      await Promise.all([...all].map(close));
    },
  };
}

/** Answers in this thread: for the terminal and for tests. `local` is asked for with every question. */
export function directSearcher(local: () => LocalSearch): Searcher {
  return searcherBy(async (question) =>
    answerIn(
      await outcomeOf(
        () => answerQuestion(local(), question),
        () => null,
      ),
    ),
  );
}
