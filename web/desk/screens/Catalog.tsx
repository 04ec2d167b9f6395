import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { formatDistanceToNow } from 'date-fns';
import { FileUp } from 'lucide-react';
import { Progress } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { z } from 'zod';
import type { ImportJob, rejectedRowSchema } from '../../../api/endpoints.ts';
import { call, sendFile } from '../../client/call.ts';
import { count, counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { Loading, LoadProblem, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { stateKey } from '../state/deskState.ts';
import { useShopWindow } from '../state/shopWindow.ts';

const phases: Record<ImportJob['phase'], string> = {
  reading: 'Reading the rows',
  sorting: 'Putting variants together',
  profiling: 'Looking at what each attribute holds',
  indexing: 'Building the index',
  done: 'Done',
  failed: 'It could not be brought in',
  cancelled: 'Cancelled',
};
const isOver = (job: ImportJob | null | undefined): boolean =>
  !job || job.phase === 'done' || job.phase === 'failed' || job.phase === 'cancelled';

/** Stock, first screen: what the catalog holds, and bringing in a new one. */
export function Catalog() {
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog'],
    queryFn: ({ signal }) => call('catalog', { signal }),
    refetchInterval: ({ state }) => (isOver(state.data?.job) ? false : 400),
  });
  const client = useQueryClient();
  const finished = data?.job?.phase === 'done' ? data.job.id : null;
  useEffect(() => {
    if (finished === null) return;
    void client.invalidateQueries({ queryKey: stateKey });
    void client.invalidateQueries({ queryKey: ['desk', 'attributes'] });
    useShopWindow.getState().refresh();
  }, [finished, client]);
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Reading the catalog" />;
  return (
    <>
      <ScreenHead title="Catalog">
        What the shop has to sell. Prices and stock are facts: a new file is live as soon as it is in.
      </ScreenHead>
      <Section
        title="In the shop now"
        note={
          data.importedAt &&
          `From ${data.file}, brought in ${formatDistanceToNow(new Date(data.importedAt), { addSuffix: true })}.`
        }
      >
        <dl className="grid grid-cols-3 gap-[5px]">
          <Figure name="products" amount={count(data.families)} />
          <Figure name="records, one a variant" amount={count(data.records)} />
          <Figure name="rows refused" amount={count(data.rejected)} />
          <Figure name="articles" amount={count(data.articles)} />
          <Figure name="collections" amount={count(data.collections)} />
          <Figure name="of index in memory" amount={`${(data.indexBytes / 1e6).toFixed(1)} MB`} />
        </dl>
      </Section>
      <BringIn job={data.job} again={() => refetch()} />
      {data.rejectedRows.length > 0 && (
        <Section
          title="Rows that were refused"
          note="Mend them in the file and bring it in again; the rest is in the shop."
        >
          <RejectedRows rows={data.rejectedRows} all={data.rejected} />
        </Section>
      )}
    </>
  );
}

function Figure({ name, amount }: { readonly name: string; readonly amount: string }) {
  return (
    <div className={`${shelfRow(false)} flex flex-col-reverse px-3 py-2`}>
      <dt className="text-[12.5px] text-soft">{name}</dt>
      <dd className="font-display font-semibold text-[19px]">{amount}</dd>
    </div>
  );
}

function BringIn({ job, again }: { readonly job: ImportJob | null; again(): void }) {
  const chooser = useRef<HTMLInputElement>(null);
  const [isDraggedOver, setDraggedOver] = useState(false);
  const [isSending, setSending] = useState(false);
  const isBusy = isSending || !isOver(job);
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file || isBusy) return;
    setSending(true);
    try {
      await sendFile('startImport', { file: file.name.slice(0, 200) }, file);
    } catch (error) {
      toast.error('The file was not taken', { description: (error as Error).message });
    }
    setSending(false);
    again();
  };
  return (
    <Section
      title="Bring in a catalog"
      note="A CSV file, one row a variant, whose first line names the columns: id and title at least; family, sku, description, brand, category, tags, price, former_price, cost, stock, rating, units_sold, date_added, picture and link are understood, any other becomes an attribute."
    >
      <section
        aria-label="Drop a file here"
        className={`rounded-lg border-2 border-dashed p-5 text-center ${isDraggedOver ? 'border-press bg-press-soft' : ''}`}
        onDragOver={(event) => {
          event.preventDefault();
          setDraggedOver(true);
        }}
        onDragLeave={() => setDraggedOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setDraggedOver(false);
          void bring(event.dataTransfer.files[0]);
        }}
      >
        <input
          ref={chooser}
          type="file"
          accept=".csv,text/csv"
          aria-label="Catalog file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            void bring(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
        <Button disabled={isBusy} onClick={() => chooser.current?.click()}>
          <FileUp size={15} aria-hidden /> Choose a file
        </Button>
        <p className="mt-1.5 text-[13px] text-soft">
          or drop it here. The present catalog serves until the new one is whole.
        </p>
      </section>
      {isSending && <p role="status">Sending the file …</p>}
      {job && <Job job={job} />}
    </Section>
  );
}

function Job({ job }: { readonly job: ImportJob }) {
  const isRunning = !isOver(job);
  const percent = Math.round(job.share * 100);
  return (
    <div className={`${shelfRow(false)} mt-3 px-3 py-2.5`}>
      <p role="status" className="flex items-baseline justify-between gap-3">
        <span>
          <b className="font-semibold">{job.file}</b>: {phases[job.phase]}
        </span>
        <span className="text-[13px] text-soft">
          {counted(job.rows, 'row')}
          {job.rejected > 0 && `, ${count(job.rejected)} refused`}
        </span>
      </p>
      {job.error && (
        <p role="alert" className="mt-1 text-wrong">
          {job.error} The catalog is as it was.
        </p>
      )}
      {isRunning && (
        <div className="mt-2 flex items-center gap-3">
          <Progress.Root
            value={percent}
            aria-label={phases[job.phase]}
            className="h-2 flex-1 overflow-hidden rounded-full bg-paper-deep"
          >
            <Progress.Indicator className="h-full bg-press" style={{ width: `${percent}%` }} />
          </Progress.Root>
          <Button tone="quiet" onClick={() => void call('cancelImport')}>
            Cancel
          </Button>
        </div>
      )}
    </div>
  );
}

type RejectedRow = z.infer<typeof rejectedRowSchema>;
const rowHeight = 44;

function RejectedRows({ rows, all }: { readonly rows: readonly RejectedRow[]; readonly all: number }) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  return (
    <>
      <section
        ref={scroller}
        className="max-h-[300px] overflow-auto rounded-lg border bg-surface"
        tabIndex={0}
        aria-label="Refused rows"
      >
        <ul style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const { line, column, reason } = rows[index]!;
            return (
              <li
                key={index}
                className="absolute inset-x-0 flex items-center gap-3 border-b px-3"
                style={{ height: rowHeight, transform: `translateY(${start}px)` }}
              >
                <span className="w-20 shrink-0 text-soft">line {count(line)}</span>
                <span className="w-24 shrink-0 truncate font-semibold">{column}</span>
                <span className="line-clamp-2 min-w-0 flex-1 text-[13px]">{reason}</span>
              </li>
            );
          })}
        </ul>
      </section>
      {all > rows.length && (
        <p className="mt-1 text-[13px] text-soft">
          The first {count(rows.length)} of {count(all)}.
        </p>
      )}
    </>
  );
}
