import { useQuery } from '@tanstack/react-query';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ImportJob } from '../../../../api/catalogEndpoints.ts';
import type { Concern } from '../../../../core/catalog/replaceConcerns.ts';
import { labelOfKey } from '../../../../core/catalog/standardColumns.ts';
import { call } from '../../../client/call.ts';
import { CallProblem } from '../../../client/request.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Picture } from '../../parts/ProductLine.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem, Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { forgetJob, takeJob } from '../../state/catalog.ts';
import { useDeskState } from '../../state/deskState.ts';
import { ConfirmReplace } from './ConfirmReplace.tsx';
import { changedValuesText, pictureIn } from './changedValueText.ts';
import { noticedInWords } from './noticedInWords.ts';
import { OtherStorefronts } from './OtherStorefronts.tsx';
import { RejectedRows } from './RejectedRows.tsx';

type Kind = 'added' | 'changed' | 'gone';

/** Last step of bringing a file in: what it changes, and the decision to put it in the shop. */
export function ReadyCatalog({ job }: { readonly job: ImportJob }) {
  const differences = job.differences!;
  const first = (['changed', 'added', 'gone'] as const).find((kind) => differences[kind] > 0);
  const [kind, setKind] = useState<Kind>(first ?? 'changed');
  const [isPutting, setPutting] = useState(false);
  const [concerns, setConcerns] = useState<readonly Concern[]>([]);
  const [also, setAlso] = useState<ReadonlySet<string>>(new Set());
  const put = async (accept: readonly Concern[]): Promise<void> => {
    setPutting(true);
    setConcerns([]);
    try {
      const body = { accept: accept.map(({ code }) => code), also: [...also] };
      takeJob(await call('commitImport', { body }));
      toast.success(`${job.file} is live`, {
        description: `${counted(job.families, 'product')} can be found from now on.`,
      });
    } catch (error) {
      if (error instanceof CallProblem && error.code === 'needs-confirmation')
        setConcerns([...accept, ...(error.details as Concern[])]);
      else toast.error('The catalog was not replaced', { description: (error as Error).message });
    }
    setPutting(false);
  };
  const isUpdate = job.mode === 'update';
  const figures: readonly (readonly [Kind | 'unchanged', number, string])[] = [
    ['added', differences.added, 'new'],
    ['changed', differences.changed, 'changed'],
    ['unchanged', differences.unchanged, isUpdate ? 'as they are, in the file or not' : 'unchanged'],
    ['gone', differences.gone, 'gone: not in the file'],
  ];
  return (
    <div className="max-w-[980px]">
      <Section
        title={`What ${job.file} changes`}
        note={`${counted(job.records, 'record')} of ${counted(job.families, 'product')} have been read. Shoppers see nothing of it until you replace the live catalog.`}
      >
        <ToggleGroup.Root
          type="single"
          value={kind}
          aria-label="Which changes are listed"
          onValueChange={(value) => value && setKind(value as Kind)}
          className="grid grid-cols-4 gap-[5px]"
        >
          {figures.map(([each, amount, label]) => (
            <ToggleGroup.Item
              key={each}
              value={each}
              disabled={each === 'unchanged' || amount === 0}
              className={`${shelfRow(false)} px-3 py-2 text-left data-[state=on]:bg-press-soft`}
            >
              <span className="block font-display font-semibold text-[19px]">{count(amount)}</span>
              <span className="text-[12.5px] text-soft">{label}</span>
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        {noticedInWords(differences.noticed) && (
          <p className="mt-2 text-[13px]">{noticedInWords(differences.noticed)}</p>
        )}
        {differences.attributes.length > 0 && (
          <p className="mt-2 text-[13px] text-soft">
            What changed:{' '}
            {differences.attributes
              .slice(0, 6)
              .map(({ key, records }) => `${labelOfKey(key)} in ${count(records)}`)
              .join(', ')}
            {differences.attributes.length > 6 && ' and more'}.
          </p>
        )}
      </Section>
      <Section title={kind === 'added' ? 'New records' : kind === 'gone' ? 'Records that go' : 'Changed records'}>
        {differences[kind] === 0 ? (
          <Nothing>There are none.</Nothing>
        ) : (
          <Differences kind={kind} all={differences[kind]} id={job.id} />
        )}
      </Section>
      {job.rejected > 0 && (
        <Section
          title={`${counted(job.rejected, 'row')} refused`}
          note="They stay out; the others can go in all the same."
        >
          <RejectedRows of="ready" all={job.rejected} />
        </Section>
      )}
      <OtherStorefronts also={also} change={setAlso} />
      <ConfirmReplace concerns={concerns} confirm={() => void put(concerns)} close={() => setConcerns([])} />
      <div className="sticky -bottom-10 z-10 mt-6 flex items-center gap-3 border-t bg-paper py-3">
        <Button tone="strong" disabled={isPutting} onClick={() => void put([])}>
          {isPutting ? 'Replacing the catalog …' : 'Replace the live catalog'}
        </Button>
        <Button tone="quiet" onClick={() => void call('cancelImport').then(forgetJob)}>
          {'Cancel import'}
        </Button>
        <p className="text-[13px] text-soft">
          {differences.gone > 0
            ? `${counted(differences.gone, 'record')} will no longer be found.`
            : 'It takes effect for shoppers at once. What you decided about products stays.'}
        </p>
      </div>
    </div>
  );
}

function Differences({ kind, all, id }: { readonly kind: Kind; readonly all: number; readonly id: number }) {
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'differences', id, kind],
    queryFn: ({ signal }) => call('differences', { query: { kind }, signal }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const { setup } = useDeskState();
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Reading the differences" />;
  return (
    <>
      <RowList label="Records that change" items={data.rows} rowHeight={50} mostHeight={330}>
        {({ id: record, title, values }) => (
          <>
            <span className="w-[110px] shrink-0 truncate text-soft">{record}</span>
            {kind !== 'changed' && <Picture src={pictureIn(values)} />}
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{title}</span>
              {values.length > 0 && (
                <span className="block truncate text-[12.5px] text-soft">
                  {changedValuesText(values, kind !== 'changed', setup.storefront.shop.currency)}
                </span>
              )}
            </span>
          </>
        )}
      </RowList>
      {all > data.rows.length && (
        <p className="mt-1 text-[13px] text-soft">
          The first {count(data.rows.length)} of {count(all)}.
        </p>
      )}
    </>
  );
}
