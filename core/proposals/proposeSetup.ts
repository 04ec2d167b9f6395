import { type AttributeProfile, isIndexedAsText } from '../catalog/profileAttributes.ts';
import { standardColumn } from '../catalog/standardColumns.ts';
import { firstLook } from '../facets/firstLook.ts';
import { filterKindNames } from '../setup/describeFilters.ts';
import type { FilterSetting } from '../setup/filterSchema.ts';
import { choosesRange } from '../setup/filterTerms.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { AttributeSetting, Setup, TieBreaker } from '../setup/schema.ts';
import type { Proposal } from './proposal.ts';
import { proposeAlike } from './proposeAlike.ts';
import { type MeaningEvidence, proposeMeanings } from './proposeMeanings.ts';
import { proposePhrases } from './proposePhrases.ts';
import { proposeWords, type WordEvidence } from './proposeWords.ts';

const coverageTold = (share: number): string =>
  share > 0.995 ? 'Every record has it' : `${Math.max(1, Math.round(share * 100))}% of the records have it`;

function samplesTold({ samples }: AttributeProfile): string {
  const some = samples.slice(0, 3).map((sample) => `“${sample.length > 30 ? `${sample.slice(0, 30)}…` : sample}”`);
  return some.length > 0 ? `, such as ${some.join(', ')}` : '';
}

function attributeProposal(profile: AttributeProfile, setting: AttributeSetting): Proposal {
  const length = profile.averageWords > 8 ? 'long texts' : 'short values';
  return {
    id: `attribute:${profile.key}`,
    kind: 'attribute',
    title: `Search ${profile.label}, weight ${setting.weight}`,
    reason: `${coverageTold(profile.coverage)}, ${length}${samplesTold(profile)}.`,
    edits: [{ part: 'attributes', key: profile.key, value: setting }],
  };
}

function filterProposal(profile: AttributeProfile, key: string, usual: FilterSetting): Proposal {
  const setting: FilterSetting = { ...usual, ...firstLook(profile, profile.samples), hideUndividing: true };
  const values = choosesRange(setting.kind) ? '' : `, in ${profile.values} values${samplesTold(profile)}`;
  return {
    id: `filter:${profile.key}`,
    kind: 'filter',
    title: `Filter by ${profile.label}`,
    reason: `${coverageTold(profile.coverage)}${values}; it is shown as a ${filterKindNames[setting.kind]}.`,
    edits: [{ part: 'filters', key, value: setting }],
  };
}

function tieBreakerProposal(setup: Setup, signal: TieBreaker, label: string): Proposal {
  const signals = [...setup.relevance.tieBreakers.signals, signal];
  return {
    id: `tieBreaker:${signal.attribute}`,
    kind: 'tieBreaker',
    title: `Let ${label} decide close calls`,
    reason: 'Products that match about equally well need something to tell them apart.',
    edits: [{ part: 'relevance', key: 'tieBreakers', value: { signals } }],
  };
}

/** Attributes nobody searches by, whatever their values: computed here, or said by other means. */
const never = new Set(['availability', 'hidden', 'contains', 'parts']);

/**
 * What a setup might say about a catalog and does not: attributes it knows nothing of, filters and tie-breakers that
 * the catalog is good for. What was decided already is left alone, so that another import proposes only what is new.
 */
export function proposeSetup(
  profiles: readonly AttributeProfile[],
  setup: Setup,
  words: WordEvidence | null = null,
  meanings: MeaningEvidence | null = null,
): Proposal[] {
  const usual = initialSetup(profiles);
  const profileOf = new Map(profiles.map((profile) => [profile.key, profile]));
  const attributes = profiles
    .filter(({ key }) => !(key in setup.attributes) && !never.has(key))
    .filter((profile) => usual.attributes[profile.key]?.searchable && isIndexedAsText(profile))
    .map((profile) => attributeProposal(profile, usual.attributes[profile.key]!));
  const filtered = new Set(Object.values(setup.filters).map(({ attribute }) => attribute));
  const lastPlace = Math.max(0, ...Object.values(setup.filters).map(({ order }) => order));
  const filters = Object.entries(usual.filters)
    .filter(([, { attribute }]) => !filtered.has(attribute))
    .map(([key, setting], index) =>
      filterProposal(profileOf.get(setting.attribute)!, key in setup.filters ? `${key}-2` : key, {
        ...setting,
        order: lastPlace + index + 1,
      }),
    );
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
  const told = words ? proposeWords(words, setup) : [];
  if (!meanings) return [...attributes, ...filters, ...tieBreakers, ...told];
  // A word that shoppers themselves explained needs no dictionary.
  const explained = new Set([...told.flatMap(({ words: own }) => own ?? []), ...(words?.stopWords ?? [])]);
  return [
    ...attributes,
    ...filters,
    ...tieBreakers,
    ...told,
    ...proposeMeanings({ ...meanings, explained }, setup),
    ...proposeAlike(meanings.alike, meanings.searches, setup),
    ...proposePhrases(meanings.pairs, meanings.searches, setup),
  ];
}
