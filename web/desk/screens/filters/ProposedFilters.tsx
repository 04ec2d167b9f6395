import { Plus } from 'lucide-react';
import type { FilterProposalRow } from '../../../../api/filterEndpoints.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { edit } from '../../state/edits.ts';
import { useFilterList } from './FilterList.tsx';
import { kindNames, reasonFor, warningInWords } from './filterWords.ts';
import { useFilterProposals } from './useFilterData.ts';

/** Proposals that "add the best" takes. */
const best = 5;

/** Filters the catalog is good for, best first, each with its reason. */
export function ProposedFilters() {
  const filters = useFilterList();
  const { data, error, refetch } = useFilterProposals();
  const last = Math.max(0, ...filters.map(({ order }) => order));
  const add = (proposals: readonly FilterProposalRow[]): void =>
    void edit(
      ...proposals.map(({ key, setting }, at) => ({
        part: 'filters' as const,
        key,
        value: { ...setting, order: last + 1 + at },
      })),
    );
  const fine = data?.proposals.filter(({ warnings }) => warnings.length === 0).slice(0, best) ?? [];
  return (
    <Section
      title="Proposed"
      note="Best first: by how often shoppers’ searches would be divided, and how far one choice narrows them."
      aside={
        fine.length > 1 && (
          <Button tone="quiet" onClick={() => add(fine)}>
            Add the best {fine.length}
          </Button>
        )
      }
    >
      {error && !data ? (
        <LoadProblem error={error} again={refetch} />
      ) : !data ? (
        <Loading what="Trying what the catalog holds on your shoppers’ searches" />
      ) : data.proposals.length === 0 ? (
        <Nothing>Everything in the catalog that divides results is a filter already.</Nothing>
      ) : (
        <ul className="space-y-[5px]">
          {data.proposals.map((proposal) => (
            <li key={proposal.key} className={`${shelfRow(false)} flex items-center gap-3 py-1.5 pr-2 pl-3`}>
              <div className="min-w-0 flex-1 text-[12.5px] text-soft">
                <span className="font-semibold text-[14px] text-ink">{proposal.setting.label}</span>{' '}
                {kindNames[proposal.setting.kind]}
                <p>{reasonFor(proposal)}</p>
                {proposal.warnings.map((warning) => (
                  <p key={warning.what} className="text-on-changed">
                    {warningInWords(warning, proposal.setting.label)}
                  </p>
                ))}
                {proposal.samples.length > 0 && <p className="truncate">{proposal.samples.join(' · ')}</p>}
              </div>
              <IconButton label={`Add ${proposal.setting.label} as a filter`} onClick={() => add([proposal])}>
                <Plus size={17} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
