import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { type Effect, effectsOf, foundOn, keptPages, type PagesOf } from '../../core/proposals/effect.ts';
import type { TriedSearches } from '../../core/proposals/madeUpSearches.ts';
import type { Proposal } from '../../core/proposals/proposal.ts';
import { type Evidence, type ProposalGroup, proposalGroups, proposeGroup } from '../../core/proposals/proposeSetup.ts';
import { type BetterWeights, betterWeights } from '../../core/proposals/proposeWeights.ts';
import { changesBetween } from '../../core/setup/entries.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { withEntries } from '../../core/setup/withEntry.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import type { Workbench } from '../searching/workbench.ts';
import { proposedFilters } from './filterQuestions.ts';
import { searchesForKnown, searchesTried, triedSearches } from './triedSearches.ts';
import { meaningEvidence, neighbourEvidence, searchesForWords, wordEvidence } from './wordEvidence.ts';

/** A proposal as far as it is reported before its effect is known. */
export type ProposalHead = Pick<Proposal, 'id' | 'kind' | 'title' | 'reason' | 'isSure'>;

/** What was worked out for one state of draft, catalog and log. */
interface Known {
  readonly version: string;
  readonly groups: Map<ProposalGroup, Proposal[]>;
  evidence: Evidence;
  /** First pages as they are without any of the proposals: two of these are tried at a time, all on the same searches. */
  readonly pagesBefore: PagesOf;
}

/**
 * Proposals, group by group and effect by effect: each question is a short piece of work, so that others come in
 * between. What was worked out for one state of draft, catalog and log is kept until another is asked about.
 */
export function proposalQuestions(bench: Workbench) {
  const { ready, log, current } = bench;
  const { attributes } = current.reader.snapshot;
  let kept: Known | null = null;

  /** Everything about one group that its proposals need; what an earlier group needed is there already. */
  const evidenceFor = (ref: SetupRef, group: ProposalGroup, { evidence }: Known): Evidence => {
    const { view, setup } = ready(ref);
    const { snapshot } = view;
    if (group === 'weights') return { ...evidence, weights: weightEvidence(ref) };
    if (group === 'settings') return { filters: proposedFilters(bench, ref) };
    const words = evidence.words ?? wordEvidence(snapshot, log);
    if (group === 'words') return { ...evidence, words };
    if (group === 'meanings') return { ...evidence, words, meanings: meaningEvidence(snapshot, setup.setup, log) };
    return { ...evidence, neighbours: neighbourEvidence(bench, ref, snapshot) };
  };
  let weighed: { snapshot: Snapshot; weights: string; better: BetterWeights | null } | null = null;
  /** By the weights alone, whatever else the draft says, so that it need not be worked out again while it is changed. */
  const weightEvidence = (ref: SetupRef): BetterWeights | null => {
    const { engine, setup: prepared, view } = ready(ref);
    const weights = JSON.stringify(prepared.setup.attributes);
    if (weighed?.snapshot === view.snapshot && weighed.weights === weights) return weighed.better;
    const usual = initialSetup(attributes);
    const own = { ...usual, attributes: prepared.setup.attributes };
    const better = betterWeights(engine, own, usual, prepared.when.now, searchesForKnown(bench, ref));
    weighed = { snapshot: view.snapshot, weights, better };
    return better;
  };
  const knownOf = (ref: SetupRef): Known => {
    const { version: ofSetup, engine, setup } = ready(ref);
    const version = `${ofSetup}/${log.version()}`;
    if (kept?.version !== version) {
      const under = { now: setup.when.now, collections: setup.asked.collections };
      kept = { version, groups: new Map(), evidence: {}, pagesBefore: keptPages(engine, setup.setup, under) };
    }
    return kept;
  };
  const inGroup = (ref: SetupRef, group: ProposalGroup): Proposal[] => {
    const known = knownOf(ref);
    const made = known.groups.get(group);
    if (made) return made;
    known.evidence = { ...known.evidence, ...evidenceFor(ref, group, known) };
    const proposals = proposeGroup(group, attributes, ready(ref).setup.setup, known.evidence);
    known.groups.set(group, proposals);
    return proposals;
  };
  /** The group that each of some proposals is of; only as many are worked out as it takes to find them all. */
  const groupsOf = (ref: SetupRef, ids: readonly string[]): ReadonlyMap<string, ProposalGroup> => {
    const sought = new Set(ids);
    const found = new Map<string, ProposalGroup>();
    for (const group of proposalGroups) {
      if (sought.size === 0) break;
      for (const { id } of inGroup(ref, group)) if (sought.delete(id)) found.set(id, group);
    }
    return found;
  };
  const top = (): WeighedSearch[] => log.top(searchesForWords).map(({ search, searches }) => ({ search, searches }));
  const holding = (searches: readonly WeighedSearch[], words: readonly string[]): WeighedSearch[] =>
    searches.filter(({ search }) => words.some((word) => ` ${tokenize(search).join(' ')} `.includes(` ${word} `)));

  return {
    proposals: (ref: SetupRef, group: ProposalGroup): ProposalHead[] =>
      inGroup(ref, group).map(({ id, kind, title, reason, isSure }) => ({ id, kind, title, reason, isSure })),
    /** What each of some proposals of a group would change for the searches made most, and those that have its words. */
    proposalEffects(ref: SetupRef, group: ProposalGroup, ids: readonly string[]): (Effect | null)[] {
      const { engine, setup: prepared } = ready(ref);
      const { setup, when, asked } = prepared;
      const under = { now: when.now, collections: asked.collections };
      const searches = top();
      const tried = triedSearches(bench, ref, searchesTried);
      // Words are proposed because of what shoppers typed, so their own searches say what comes of it, however few.
      const typed: TriedSearches = searches.length > 0 ? { searches, areMadeUp: false } : tried;
      const most = { ...typed, searches: typed.searches.slice(0, searchesTried) };
      const proposals = inGroup(ref, group);
      const { pagesBefore } = knownOf(ref);
      return ids.map((id) => {
        const proposal = proposals.find((each) => each.id === id);
        if (!proposal) return null;
        const { words, edits } = proposal;
        if (!words) return effectsOf(engine, setup, under, [edits], tried, pagesBefore)[0]!;
        // What is proposed about words changes searches that have them, and no other.
        const held = { ...typed, searches: holding(typed.searches, words) };
        const [effect] = effectsOf(engine, setup, under, [edits], held, pagesBefore);
        const { finding, foundBefore } = foundOn(pagesBefore(most.searches));
        const foundAfter = foundBefore + effect!.foundAfter - effect!.foundBefore;
        return { ...effect!, looked: most.searches.length, finding, foundBefore, foundAfter };
      });
    },
    /** What accepting proposals changes in the draft; one that is no longer proposed changes nothing. */
    editsForProposals(ref: SetupRef, ids: readonly string[]): EntryEdit[] {
      const before = ready(ref).setup.setup;
      let after = before;
      const groups = groupsOf(ref, ids);
      const { evidence } = knownOf(ref);
      // One after the other, since several may change the same entry, as tie-breakers do.
      for (const id of ids) {
        const group = groups.get(id);
        if (!group) continue;
        const proposal = proposeGroup(group, attributes, after, evidence).find((each) => each.id === id);
        if (proposal) after = withEntries(after, proposal.edits);
      }
      return changesBetween(before, after).map(({ part, key, after: value }) => ({ part, key, value }));
    },
  };
}
