import { endpoints } from '../../api/endpoints.ts';
import { followable } from '../../core/setup/terms/followable.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import { describeChanges } from '../questions/describeChanges.ts';
import { noCatalog, Refused } from '../refused.ts';
import type { WriteOutcome } from '../store/writeOutcome.ts';
import { deskState } from './deskState.ts';
import type { Desk, Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Releases whose sentences are kept. */
const releasesListed = 2000;

const nothingToDo = {
  'nothing-to-undo': 'There is nothing to undo.',
  'nothing-to-redo': 'There is nothing to redo.',
  'nothing-to-publish': 'The draft holds nothing that is not published already.',
  'unknown-release': 'There is no release of that number.',
  'unknown-step': 'There is no such step in this draft.',
  'nothing-to-take-back': 'There is nothing of it left to take back.',
  conflicts: 'Both changed the same thing. Say first which of the two holds.',
  behind: 'Another release is live since this draft was begun. Bring the draft up to it first.',
  'unknown-draft': 'This draft has been taken out meanwhile. Nothing was saved; choose another one.',
  'unknown-revision': 'The draft has not come so far yet. Nothing was saved; load the page anew.',
} as const;

/** What a write of a draft is answered with: the state it leaves, or why it was refused. */
export async function written(here: Desk, writing: Promise<WriteOutcome>): Promise<ReturnType<typeof deskState>> {
  const outcome = await writing;
  if (!('refusal' in outcome)) {
    here.tellChanged(outcome.revision);
    if (outcome.reached) here.tellFollowers(outcome.reached);
    return deskState(here);
  }
  const { refusal } = outcome;
  if (refusal.code === 'stale-write')
    throw new Refused(409, {
      code: refusal.code,
      message: 'Somebody changed this since you looked. Your change was not saved.',
      details: {
        revision: refusal.revision,
        who: [...refusal.who],
        changes: describeChanges(refusal.changes, here.names(here.setups.draft())),
      },
    });
  if (refusal.code === 'changed-since')
    throw new Refused(409, {
      code: refusal.code,
      message: `${refusal.who.join(' and ') || 'Somebody'} changed this since. Nothing was taken back.`,
      details: { who: [...refusal.who], changes: describeChanges(refusal.changes, here.names(here.setups.draft())) },
    });
  if ('follows' in refusal) {
    const { code, follows: part, storefront } = refusal;
    const message =
      code === 'followed'
        ? `${followable[part]} follow the storefront “${storefront}”. Make them this storefront’s own first.`
        : `The storefront “${storefront}” follows this one in ${followable[part].toLowerCase()}, so these cannot follow another one’s.`;
    throw new Refused(409, { code, message, details: { part, storefront } });
  }
  if ('part' in refusal) {
    const field = [refusal.part, refusal.key.slice(0, 80), refusal.field].filter(Boolean).join('.');
    throw new Refused(400, { code: refusal.code, message: `${field}: ${refusal.message}`, field });
  }
  throw new Refused(409, { code: refusal.code, message: nothingToDo[refusal.code] });
}

/** The draft, its steps and the releases. */
export function serveSetup(serve: Serve, { writer, now }: Pick<Services, 'writer' | 'now'>): void {
  serve.desk(endpoints.state, (here) => {
    // A storefront that was made here has a draft before it has a catalog.
    if (!here.catalogs.current() && here.setups.revision() === 0) throw noCatalog();
    return deskState(here);
  });
  serve.desk(endpoints.edit, (here, _, { revision, edits }) =>
    written(
      here,
      writer.edit(
        here.ref,
        edits.map(({ part, key, value }) => ({ part, key, value: value ?? null })),
        revision,
        here.person,
        now(),
      ),
    ),
  );
  serve.desk(endpoints.undo, (here, _, { revision, changedSince }) =>
    written(here, writer.undo(here.ref, revision, here.person, now(), changedSince)),
  );
  serve.desk(endpoints.redo, (here, _, { revision, changedSince }) =>
    written(here, writer.redo(here.ref, revision, here.person, now(), changedSince)),
  );
  serve.desk(endpoints.publish, async (here, _, { revision, note, heldBack }) => {
    const state = await written(here, writer.publish(here.ref, revision, here.person, note, now(), heldBack));
    here.tellAround(`published release ${state.release?.number}`);
    return state;
  });
  serve.desk(endpoints.takeBack, async (here, _, { number }) => {
    const state = await written(here, writer.publishAgain(here.ref, number, here.person, now()));
    here.tellAround(`made release ${number} live again`);
    return state;
  });
  /** A release never changes, so what it changed is reported once for each catalog. */
  const described = new Map<string, { readonly names: NamesForChanges; readonly sentences: string[] }>();
  const sentencesOf = ({ id, releases }: Desk, number: number, names: NamesForChanges): string[] => {
    const key = `${id}/${number}`;
    const known = described.get(key);
    if (known?.names === names) return known.sentences;
    const sentences = describeChanges(releases.changesOf(number), names).flatMap((change) => change.sentences);
    if (described.size >= releasesListed) described.clear();
    described.set(key, { names, sentences });
    return sentences;
  };
  serve.desk(endpoints.releases, (here) => {
    const { releases, setups } = here;
    const names = here.names(setups.draft());
    const live = releases.liveNumber();
    return {
      releases: releases.releases().map(({ number, at, who, note }) => ({
        ...{ number, at: new Date(at).toISOString(), who, note, live: number === live },
        sentences: sentencesOf(here, number, names),
      })),
    };
  });
  serve.desk(endpoints.setAside, ({ setups }) => ({ entries: [...setups.setAside()] }));
}
