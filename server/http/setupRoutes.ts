import type { Context } from 'hono';
import { endpoints } from '../../api/endpoints.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import { namesOf } from '../catalog/namesOf.ts';
import { noCatalog, Refused } from '../refused.ts';
import type { WriteOutcome } from '../store/setupStore.ts';
import { describeChanges, deskState } from './deskState.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Releases whose sentences are kept. */
const releasesListed = 2000;

const nothingToDo = {
  'nothing-to-undo': 'There is nothing to undo.',
  'nothing-to-redo': 'There is nothing to redo.',
  'nothing-to-publish': 'The draft holds nothing that is not published already.',
  'unknown-release': 'There is no release of that number.',
  'unknown-revision': 'The draft has not come so far yet. Nothing was saved; load the page anew.',
} as const;

/** What a write of the draft is answered with: the state it leaves, or why it was refused. */
export type Written = (outcome: Promise<WriteOutcome>) => Promise<ReturnType<typeof deskState>>;

export const writtenBy =
  ({ setups, catalogs }: Pick<Services, 'setups' | 'catalogs'>): Written =>
  async (writing) => {
    const outcome = await writing;
    if (!('refusal' in outcome)) return deskState(setups, catalogs);
    const { refusal } = outcome;
    if (refusal.code === 'stale-write')
      throw new Refused(409, {
        code: refusal.code,
        message: 'Somebody changed this since you looked. Your change was not saved.',
        details: {
          revision: refusal.revision,
          who: [...refusal.who],
          changes: describeChanges(refusal.changes, namesOf(catalogs.current())),
        },
      });
    if ('part' in refusal) {
      const field = [refusal.part, refusal.key.slice(0, 80), refusal.field].filter(Boolean).join('.');
      throw new Refused(400, { code: refusal.code, message: `${field}: ${refusal.message}`, field });
    }
    throw new Refused(409, { code: refusal.code, message: nothingToDo[refusal.code] });
  };

/** Who says they make a change: a name the browser keeps. */
export function who(context: Context): string {
  const said = context.req.header('x-person') ?? '';
  try {
    return decodeURIComponent(said).trim().slice(0, 80) || 'Merchandiser';
  } catch {
    return said.slice(0, 80);
  }
}

/** The draft, its steps and the releases. */
export function serveSetup(serve: Serve, services: Services, written: Written): void {
  const { setups, catalogs, writer, now } = services;
  serve(endpoints.state, () => {
    if (!catalogs.current()) throw noCatalog();
    return deskState(setups, catalogs);
  });
  serve(endpoints.edit, (_, { revision, edits }, context) =>
    written(
      writer.edit(
        edits.map(({ part, key, value }) => ({ part, key, value: value ?? null })),
        revision,
        who(context),
        now(),
      ),
    ),
  );
  serve(endpoints.undo, (_, { revision }, context) => written(writer.undo(revision, who(context), now())));
  serve(endpoints.redo, (_, { revision }, context) => written(writer.redo(revision, who(context), now())));
  serve(endpoints.publish, (_, { revision, note }, context) =>
    written(writer.publish(revision, who(context), note, now())),
  );
  serve(endpoints.takeBack, (_, { number }, context) => written(writer.publishAgain(number, who(context), now())));
  /** A release never changes, so what it changed is reported once for each catalog. */
  const described = new Map<number, { readonly names: NamesForChanges; readonly sentences: string[] }>();
  const sentencesOf = (number: number, names: NamesForChanges): string[] => {
    const known = described.get(number);
    if (known?.names === names) return known.sentences;
    const sentences = describeChanges(setups.changesOf(number), names).flatMap((change) => change.sentences);
    if (described.size >= releasesListed) described.clear();
    described.set(number, { names, sentences });
    return sentences;
  };
  serve(endpoints.releases, () => {
    const names = namesOf(catalogs.current());
    const live = setups.liveNumber();
    return {
      releases: setups.releases().map(({ number, at, who, note }) => ({
        ...{ number, at: new Date(at).toISOString(), who, note, live: number === live },
        sentences: sentencesOf(number, names),
      })),
    };
  });
  serve(endpoints.setAside, () => ({ entries: [...setups.setAside()] }));
}
