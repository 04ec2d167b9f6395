import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { filePaths } from '../../../../api/paths.ts';
import { addressOf, call } from '../../../client/call.ts';
import { count } from '../../../look/price.ts';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem } from '../../parts/Screen.tsx';

/** Rows that were refused, each with its line and why; and all of them to take away as a file. */
export function RejectedRows({ of, all }: { readonly of: 'force' | 'ready'; readonly all: number }) {
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'rejected', of, all],
    queryFn: ({ signal }) => call('rejectedRows', { query: { of }, signal }),
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Reading the refused rows" />;
  return (
    <>
      <RowList label="Refused rows" items={data.rows} rowHeight={44} mostHeight={300}>
        {({ line, column, reason }) => (
          <>
            <span className="w-20 shrink-0 text-soft">line {count(line)}</span>
            <span className="w-28 shrink-0 truncate font-semibold">{column}</span>
            <span className="line-clamp-2 min-w-0 flex-1 text-[13px]">{reason}</span>
          </>
        )}
      </RowList>
      <p className="mt-1.5 flex items-center gap-3 text-[13px] text-soft">
        <a
          className="inline-flex items-center gap-1.5 font-semibold text-press hover:underline"
          href={`${addressOf(filePaths.rejectedRows)}?of=${of}`}
          download
        >
          <Download size={14} aria-hidden /> Save them as CSV
        </a>
        {all > data.rows.length && `The first ${count(data.rows.length)} of ${count(all)} are shown.`}
      </p>
    </>
  );
}
