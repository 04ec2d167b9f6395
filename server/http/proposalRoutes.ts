import { proposalEndpoints } from '../../api/proposalEndpoints.ts';
import { type Effect, reasonToWithhold } from '../../core/proposals/effect.ts';
import type { Proposal } from '../../core/proposals/proposal.ts';
import { type Evidence, proposeSetup } from '../../core/proposals/proposeSetup.ts';
import { changesBetween } from '../../core/setup/entries.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { withEntry } from '../../core/setup/withEntry.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { type Db, storefrontId } from '../store/database.ts';
import type { WriteOutcome } from '../store/setupStore.ts';
import type { deskState } from './deskState.ts';
import type { Services } from './services.ts';
import { noCatalog, Refused, type Serve } from './serving.ts';
import { searchesTried, triedSearches } from './triedSearches.ts';
import { searchesForWords, wordEvidence } from './wordEvidence.ts';

function declinedIn(db: Db): Set<string> {
  const rows = db
    .prepare<[string], string>('SELECT proposal FROM declined WHERE storefront = ?')
    .pluck()
    .all(storefrontId);
  return new Set(rows);
}

/** What the application proposes for the catalog in force. */
export function serveProposals(
  serve: Serve,
  services: Services,
  written: (outcome: WriteOutcome) => ReturnType<typeof deskState>,
  who: (context: never) => string,
): void {
  const { db, setups, catalogs, searcher, log, now } = services;
  const inForce = () => {
    const reader = catalogs.current();
    if (!reader) throw noCatalog();
    return reader;
  };
  const task = () => {
    const { generation, buffer } = inForce();
    return { generation, shared: buffer };
  };
  /** What is known about words and filters under the draft; worked out once for its proposals. */
  const evidence = async (setup: Setup, hasFilters = true): Promise<Evidence> => ({
    ...wordEvidence(catalogs.standing()!.view(setup).snapshot, setup, log),
    filters: hasFilters ? await searcher.filterProposals(task(), triedSearches(log, searchesTried)) : [],
  });
  const proposalsFor = (setup: Setup, known: Evidence): Proposal[] =>
    proposeSetup(inForce().snapshot.attributes, setup, known);

  serve(proposalEndpoints.proposals, async () => {
    const declined = declinedIn(db);
    const draft = setups.draft();
    const all = proposalsFor(draft, await evidence(draft));
    const open = all.filter(({ id }) => !declined.has(id));
    const top = log.top(searchesForWords).map(({ search, searches: times }) => ({ search, searches: times }));
    const holding = (words: readonly string[]) =>
      top.filter(({ search }) => words.some((word) => ` ${tokenize(search).join(' ')} `.includes(` ${word} `)));
    // Words are proposed for rarer searches too: those that hold one are looked at besides the ones asked most.
    const special = new Set(holding(open.flatMap(({ words }) => words ?? [])));
    const searches = top.filter((each, at) => at < searchesTried || special.has(each));
    const general = open.filter(({ words }) => !words);
    const [before, ...others] = await searcher.effects(task(), [[], ...general.map(({ edits }) => edits)], searches);
    /** What is proposed about words changes searches that have them, and no other. */
    const ofWords = async ({ edits, words }: Proposal): Promise<Effect> => {
      const own = holding(words!);
      const [effect] = await searcher.effects(task(), [edits], own);
      const { looked, finding, foundBefore } = before!;
      return {
        ...effect!,
        looked,
        finding,
        foundBefore,
        foundAfter: foundBefore + effect!.foundAfter - effect!.foundBefore,
      };
    };
    const effects = await Promise.all(
      open.map((proposal) => (proposal.words ? ofWords(proposal) : others[general.indexOf(proposal)]!)),
    );
    return {
      declined: all.length - open.length,
      proposals: open.map(({ id, kind, title, reason }, at) => {
        const effect = effects[at]!;
        return {
          id,
          kind,
          title,
          reason,
          effect: { ...effect, rescued: [...effect.rescued], examples: [...effect.examples] },
          withheld: reasonToWithhold(kind, effect),
        };
      }),
    };
  });

  serve(proposalEndpoints.acceptProposals, async (_, { revision, ids }, context) => {
    const before = setups.draft();
    let after = before;
    const hasFilters = ids.some((id) => id.startsWith('filter:'));
    const known = await evidence(before, hasFilters);
    // One after the other, since several may change the same entry, as tie-breakers do.
    for (const id of ids) {
      const proposal = proposalsFor(after, known).find((each) => each.id === id);
      if (proposal) after = proposal.edits.reduce(withEntry, after);
    }
    const edits = changesBetween(before, after).map(({ part, key, after: value }) => ({ part, key, value }));
    if (edits.length === 0)
      throw new Refused(409, {
        code: 'nothing-proposed',
        message: 'That is no longer proposed: it is decided already.',
      });
    return written(setups.edit(edits, revision, who(context as never), now()));
  });

  serve(proposalEndpoints.declineProposal, (_, { id }) => {
    if (id === null) db.prepare('DELETE FROM declined WHERE storefront = ?').run(storefrontId);
    else db.prepare('INSERT OR IGNORE INTO declined (storefront, proposal) VALUES (?, ?)').run(storefrontId, id);
    return {};
  });
}
