import { type AttributeProfile, isIndexedAsText } from '../catalog/profileAttributes.ts';
import { standardColumn } from '../catalog/standardColumns.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { AttributeSetting } from '../setup/parts/attributes.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import type { Setup } from '../setup/schema.ts';
import { filterKindNames } from '../setup/terms/filterTerms.ts';
import { triedText } from './madeUpSearches.ts';
import type { Proposal } from './proposal.ts';
import { proposeAlike } from './proposeAlike.ts';
import { type FilterProposal, keyFor } from './proposeFilters.ts';
import { type MeaningEvidence, proposeMeanings } from './proposeMeanings.ts';
import { proposePhrases, type WordPair } from './proposePhrases.ts';
import { type BetterWeights, proposeWeights } from './proposeWeights.ts';
import { proposeWords, type WordEvidence } from './proposeWords.ts';
import type { AlikeWords } from './samePlaces.ts';
import { proposeStated, type StatedNames } from './statedNames.ts';

const coverageText = (share: number): string =>
  share > 0.995 ? 'Every record has it' : `${Math.max(1, Math.round(share * 100))}% of the records have it`;

function samplesText({ samples }: Pick<AttributeProfile, 'samples'>): string {
  const some = samples.slice(0, 3).map((sample) => `“${sample.length > 30 ? `${sample.slice(0, 30)}…` : sample}”`);
  return some.length > 0 ? `, such as ${some.join(', ')}` : '';
}

function attributeProposal(profile: AttributeProfile, setting: AttributeSetting): Proposal {
  const length = profile.averageWords > 8 ? 'long texts' : 'short values';
  return {
    id: `attribute:${profile.key}`,
    kind: 'attribute',
    title: `Search ${profile.label}, weight ${setting.weight}`,
    reason: `${coverageText(profile.coverage)}, ${length}${samplesText(profile)}.`,
    edits: [{ part: 'attributes', key: profile.key, value: setting }],
    isSure: true,
  };
}

/** Filters proposed at a time: those that are worth most. The screen of filters has them all. */
const mostProposed = 5;
/** Filters beside which no more are proposed: nobody looks through a longer column of them. */
const manyFilters = 12;

const isOf = ({ setting: { attribute, prefix } }: FilterProposal, filters: Setup['filters']): boolean =>
  Object.values(filters).some((own) => own.attribute === attribute && own.prefix === prefix);

function filterProposals(proposed: readonly FilterProposal[], { filters }: Setup): Proposal[] {
  const last = Math.max(0, ...Object.values(filters).map(({ order }) => order));
  const most = Math.max(0, Math.min(mostProposed, manyFilters - Object.keys(filters).length));
  return proposed
    .filter((each) => each.warnings.length === 0 && !isOf(each, filters))
    .slice(0, most)
    .map(({ setting, coverage, values, samples, tried, areMadeUp, divides }, at): Proposal => {
      const { attribute, prefix, label, kind } = setting;
      const many = values === 0 ? '' : `, in ${values} values${samplesText({ samples })}`;
      const worth = tried > 1 ? ` Useful in ${divides} of the ${triedText(tried, { areMadeUp })}.` : '';
      return {
        id: `filter:${attribute}${prefix === undefined ? '' : `:${prefix}`}`,
        kind: 'filter',
        title: `Filter by ${label}`,
        reason: `${coverageText(coverage)}${many}; it is shown as a ${filterKindNames[kind]}.${worth}`,
        edits: [{ part: 'filters', key: keyFor(filters, setting), value: { ...setting, order: last + at + 1 } }],
        isSure: true,
      };
    });
}

function tieBreakerProposal(setup: Setup, signal: TieBreaker, label: string): Proposal {
  const signals = [...setup.relevance.tieBreakers.signals, signal];
  return {
    id: `tieBreaker:${signal.attribute}`,
    kind: 'tieBreaker',
    title: `Let ${label} decide close calls`,
    reason: 'Products that match about equally well need something to tell them apart.',
    edits: [{ part: 'relevance', key: 'tieBreakers', value: { signals } }],
    isSure: true,
  };
}

/** What is known besides the catalog's attributes, where it is. */
export interface Evidence {
  /** Best first, as the screen of filters has them. */
  readonly filters?: readonly FilterProposal[];
  readonly words?: WordEvidence | null;
  readonly meanings?: MeaningEvidence | null;
  readonly neighbours?: NeighbourEvidence | null;
  readonly weights?: BetterWeights | null;
}

/** Words of the catalog that belong together, that it says are one, and that stand in the same places and look or mean alike. */
export interface NeighbourEvidence {
  readonly stated: readonly StatedNames[];
  readonly pairs: readonly WordPair[];
  readonly alike: readonly AlikeWords[];
  readonly searches: WordEvidence['searches'];
}

/** Attributes nobody searches by, whatever their values: computed here, or said by other means. */
const never = new Set(['availability', 'hidden', 'contains', 'parts']);

function settingProposals(
  profiles: readonly AttributeProfile[],
  setup: Setup,
  proposed: readonly FilterProposal[],
): Proposal[] {
  const usual = initialSetup(profiles);
  const profileOf = new Map(profiles.map((profile) => [profile.key, profile]));
  const attributes = profiles
    .filter(({ key }) => !Object.hasOwn(setup.attributes, key) && !never.has(key))
    .filter((profile) => usual.attributes[profile.key]?.searchable && isIndexedAsText(profile))
    .map((profile) => attributeProposal(profile, usual.attributes[profile.key]!));
  const signals = new Set(setup.relevance.tieBreakers.signals.map(({ attribute }) => attribute));
  const tieBreakers = usual.relevance.tieBreakers.signals
    .filter(({ attribute }) => !signals.has(attribute))
    .map((signal) =>
      tieBreakerProposal(
        setup,
        signal,
        profileOf.get(signal.attribute)?.label ?? standardColumn.get(signal.attribute)?.label ?? signal.attribute,
      ),
    );
  return [...attributes, ...filterProposals(proposed, setup), ...tieBreakers];
}

/** Groups of proposals in the order in which they are made and shown; each needs evidence of its own. */
export const proposalGroups = ['settings', 'words', 'meanings', 'neighbours', 'weights'] as const;
export type ProposalGroup = (typeof proposalGroups)[number];

/** What one group might say about a catalog and the setup does not; nothing where its evidence is missing. */
export function proposeGroup(
  group: ProposalGroup,
  profiles: readonly AttributeProfile[],
  setup: Setup,
  { filters = [], words = null, meanings = null, neighbours = null, weights = null }: Evidence,
): Proposal[] {
  const wordProposals = (): Proposal[] => (words ? proposeWords(words, setup) : []);
  switch (group) {
    case 'settings':
      return settingProposals(profiles, setup, filters);
    case 'words':
      return wordProposals();
    case 'meanings': {
      // A word that shoppers themselves explained needs no dictionary.
      const explained = new Set([
        ...wordProposals().flatMap(({ words: own }) => own ?? []),
        ...(words?.stopWords ?? []),
      ]);
      return meanings ? proposeMeanings({ ...meanings, explained }, setup) : [];
    }
    case 'weights': {
      const labels = new Map(profiles.map(({ key, label }) => [key, label]));
      return proposeWeights(weights, setup, (key) => labels.get(key) ?? key);
    }
    case 'neighbours':
      return neighbours
        ? [
            ...proposeStated(neighbours.stated, setup),
            ...proposeAlike(neighbours.alike, neighbours.searches, setup),
            ...proposePhrases(neighbours.pairs, neighbours.searches, setup),
          ]
        : [];
  }
}

/**
 * What a setup might say about a catalog and does not: attributes it knows nothing of, filters and tie-breakers that
 * the catalog is good for. What was decided already is left alone, so that another import proposes only what is new.
 */
export const proposeSetup = (
  profiles: readonly AttributeProfile[],
  setup: Setup,
  evidence: Evidence = {},
): Proposal[] => proposalGroups.flatMap((group) => proposeGroup(group, profiles, setup, evidence));
