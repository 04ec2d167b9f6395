import { liveOf } from '../../core/setup/setupRef.ts';
import type { CatalogReader } from '../catalog/catalogReader.ts';
import type { DataFolder } from '../dataFolder.ts';
import { answerIn, outcomeOf } from '../threadOutcome.ts';
import { type CatalogHandle, indexBytesKept, type LaneTask } from './benches.ts';
import { type Lane, type LaneName, laneSettings, openLane } from './lanes.ts';
import { answerQuestion, type LocalSearch, laneOf, type Question, questionNames } from './localSearch.ts';
import { followedWith, warmDesk, warmedWith } from './warmDesk.ts';

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

/** Searches made most that every thread answers before shoppers are sent to it, beside those that need other code. */
const searchesWarmed = 24;
/** How often over: code that ran a hundred times or so has been compiled for good. */
const warmedOver = 5;
/** When the desk's threads start by themselves, in milliseconds. */
const deskWarmedAfter = 4000;
/** When threads let go of a generation that is asked about no more, in milliseconds: it takes a core a moment. */
const letGoAfter = 1000;

/** A searcher whose threads answer about every storefront, each from the generation of its catalog that is in force. */
export interface LanedSearcher extends Searcher {
  /**
   * Has shoppers' threads open a generation of a storefront and answer some searches from it, one thread after the other
   * so that shoppers go on being answered, then does `putInForce`, and only then sends questions to it. The generation
   * before is let go when nothing reads it any more. Where any of it fails, questions go where they went.
   */
  handOver(
    storefront: string,
    reader: Pick<CatalogReader, 'generation' | 'buffer'>,
    putInForce: () => Promise<void>,
  ): Promise<void>;
  /**
   * Has shoppers' threads take over what was published, fed or brought in for one storefront, or for all, one after the
   * other, so that no shopper waits for it. Resolves when all of them answer by it.
   */
  followWrites(storefront?: string): Promise<void>;
  /** Resolves when a storefront's catalog is open, or cannot be: whoever reads it in this thread then need not wait for a disk. */
  ready(storefront: string): Promise<void>;
  /** Lets go of a storefront's catalog: nothing is answered about it any more. */
  close(storefront: string): Promise<void>;
  /** Generations that threads still answer from. */
  used(): ReadonlySet<number>;
  end(): Promise<void>;
}

export function lanedSearcher(options: {
  readonly folder: DataFolder;
  readonly worker: URL;
  /** The handle of a storefront's catalog where it is not open yet; refuses where there is none. */
  readonly openLater: (storefront: string) => Promise<CatalogHandle>;
  /** Bytes of indexes kept open; beyond, the storefront asked least recently is closed, and opened anew when it is asked. */
  readonly mostBytes?: number;
  /** Whether threads begin without answering searches ahead: a start costs less, and what is asked first takes longer. */
  readonly isCold?: boolean;
  /** Called when a storefront is no longer kept open. */
  readonly whenClosed?: (storefront: string) => void;
  /** Called when threads have let go of something. */
  readonly whenFree?: (storefront: string) => void;
}): LanedSearcher {
  const { folder, worker, openLater, isCold = false } = options;
  const { mostBytes = indexBytesKept, whenClosed = () => {}, whenFree = () => {} } = options;
  const names = Object.keys(laneSettings) as LaneName[];
  const lanes = Object.fromEntries(names.map((name) => [name, openLane(name, folder, worker)])) as Record<
    LaneName,
    Lane
  >;
  /** What questions about each storefront are answered from. */
  const inForce = new Map<string, CatalogHandle>();
  /** What is asked about no more but may still be read. */
  const leaving = new Set<number>();
  let isEnded = false;

  const warm = (about: CatalogHandle, over: number): LaneTask => ({
    about,
    question: {
      call: 'warm',
      given: isCold
        ? [liveOf(about.storefront), 0, [], 0]
        : [liveOf(about.storefront), searchesWarmed, warmedWith, over],
    },
  });
  const letGo = async ({ storefront, generation }: CatalogHandle): Promise<void> => {
    const task: LaneTask = { letGo: { storefront, generation } };
    await Promise.all(names.map((name) => lanes[name].whereStarted(task)));
    leaving.delete(generation);
    whenFree(storefront);
  };
  const letGoLater = (before: CatalogHandle): void => {
    leaving.add(before.generation);
    setTimeout(() => void letGo(before).catch(() => {}), letGoAfter).unref();
  };
  /** Begins to answer from a generation; shoppers' threads begun anew open it first. */
  const answerFrom = (about: CatalogHandle): void => {
    inForce.delete(about.storefront);
    inForce.set(about.storefront, about);
    lanes.shop.beginWith(about.storefront, warm(about, warmedOver));
    let bytes = [...inForce.values()].reduce((sum, { shared }) => sum + shared.byteLength, 0);
    for (const oldest of inForce.values()) {
      if (bytes <= mostBytes || oldest === about) break;
      bytes -= oldest.shared.byteLength;
      void close(oldest.storefront).catch(() => {});
    }
  };
  const close = async (storefront: string): Promise<void> => {
    const before = inForce.get(storefront);
    inForce.delete(storefront);
    lanes.shop.beginWith(storefront, null);
    if (!before) return;
    whenClosed(storefront);
    leaving.add(before.generation);
    await letGo(before);
  };
  const followOne = async (about: CatalogHandle): Promise<void> =>
    lanes.shop.inTurn({
      about,
      question: { call: 'follow', given: [liveOf(about.storefront), followedWith] },
    } satisfies LaneTask);
  const followed = new Map<string, { now: Promise<void>; next: Promise<void> | null }>();
  const follow = (storefront: string): Promise<void> => {
    const of = followed.get(storefront) ?? { now: Promise.resolve(), next: null };
    followed.set(storefront, of);
    of.next ??= of.now.then(() => {
      of.next = null;
      const about = inForce.get(storefront);
      // A thread that could not is told again soon; what was written is written either way.
      of.now = about ? followOne(about).catch(() => {}) : Promise.resolve();
      return of.now;
    });
    return of.next;
  };
  const opening = new Map<string, Promise<CatalogHandle>>();
  /** What to answer from; a catalog nobody asked about for a while is opened anew. */
  const aboutNow = async (storefront: string): Promise<CatalogHandle> => {
    const known = inForce.get(storefront);
    if (known) {
      // The one asked last stands at the end.
      inForce.delete(storefront);
      inForce.set(storefront, known);
      return known;
    }
    const begun =
      opening.get(storefront) ??
      openLater(storefront).finally(() => {
        opening.delete(storefront);
      });
    opening.set(storefront, begun);
    const about = await begun;
    if (!inForce.has(storefront)) answerFrom(about);
    return inForce.get(storefront)!;
  };
  let isDeskWarm = false;
  const searcher = searcherBy(async (question) => {
    const about = await aboutNow(question.given[0].storefront);
    return lanes[laneOf(question)].run({ about, question } satisfies LaneTask);
  });
  return {
    ...searcher,
    async handOver(storefront, reader, putInForce) {
      const before = inForce.get(storefront);
      const about: CatalogHandle = { storefront, generation: reader.generation, shared: reader.buffer };
      leaving.add(about.generation);
      try {
        // The first generation has no setup before it is in force, so there is nothing to warm up with.
        if (before) await lanes.shop.inTurn(warm(about, 1));
        await putInForce();
        // What a feed said while the threads began is laid over the catalog as it is put in force.
        if (before) await followOne(about);
        else
          await (inForce.size === 0 ? lanes.shop.atOnce(warm(about, warmedOver)) : lanes.shop.inTurn(warm(about, 1)));
      } catch (error) {
        void letGo(about).catch(() => {});
        throw error;
      }
      leaving.delete(about.generation);
      answerFrom(about);
      if (before && before.generation !== about.generation) letGoLater(before);
      // The first catalog of all, and one that takes another's place, since somebody is at work on that storefront.
      if (isCold || (isDeskWarm && !before)) return;
      isDeskWarm = true;
      const isOver = (): boolean => isEnded || inForce.get(storefront) !== about;
      setTimeout(() => isEnded || void warmDesk(lanes.desk, about, isOver).catch(() => {}), deskWarmedAfter).unref();
    },
    followWrites: async (storefront) => {
      const which = storefront === undefined ? [...inForce.keys()] : [storefront];
      await Promise.all(which.map(follow));
    },
    ready: async (storefront) => {
      await aboutNow(storefront).catch(() => {});
    },
    close,
    used: () => new Set([...leaving, ...[...inForce.values()].map(({ generation }) => generation)]),
    async end() {
      isEnded = true;
      inForce.clear();
      await Promise.all(names.map((name) => lanes[name].close()));
    },
  };
}

/** Answers in this thread: for the terminal and for tests. `local` is asked for with every question. */
export function directSearcher(local: (storefront: string) => LocalSearch): Searcher {
  return searcherBy(async (question) =>
    answerIn(
      await outcomeOf(
        () => answerQuestion(local(question.given[0].storefront), question),
        () => null,
      ),
    ),
  );
}
