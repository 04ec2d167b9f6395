import { Progress } from 'radix-ui';
import type { ImportJob } from '../../../../api/catalogEndpoints.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { forgetJob, isWorking } from '../../state/catalog.ts';

const phases: Record<ImportJob['phase'], string> = {
  receiving: 'Receiving the file',
  examining: 'Looking at the file',
  mapping: 'Waiting for you to say what its columns are',
  reading: 'Reading the rows',
  sorting: 'Putting variants together',
  comparing: 'Comparing with what is in the shop',
  profiling: 'Looking at what each attribute holds',
  indexing: 'Building the index',
  ready: 'Ready to replace the live catalog',
  committing: 'Replacing the live catalog',
  stopping: 'Stopping',
  done: 'In the shop',
  failed: 'The import failed',
  cancelled: 'Cancelled; the catalog is as it was',
};

function timeLeft(seconds: number): string {
  if (seconds < 60) return `about ${counted(Math.max(1, seconds), 'second')} left`;
  return `about ${counted(Math.round(seconds / 60), 'minute')} left`;
}

/** How far an import is, how fast, how long it still takes, and the way out of it. */
export function ImportProgress({ job }: { readonly job: ImportJob }) {
  const isRunning = isWorking(job);
  const percent = Math.round(job.share * 100);
  const lines = [
    job.rows > 0 && counted(job.rows, 'row'),
    job.rejected > 0 && `${count(job.rejected)} refused`,
    isRunning && job.rowsPerSecond > 0 && `${count(job.rowsPerSecond)} a second`,
    isRunning && job.secondsLeft !== null && timeLeft(job.secondsLeft),
  ].filter(Boolean);
  return (
    <div className={`${shelfRow(false)} mt-3 px-3 py-2.5`}>
      <p role="status" className="flex flex-wrap items-baseline justify-between gap-3">
        <span>
          <b className="font-semibold">{job.file}</b>: {phases[job.phase]}
        </span>
        <span className="text-[13px] text-soft">{lines.join(', ')}</span>
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
            <Progress.Indicator className="h-full bg-press transition-[width]" style={{ width: `${percent}%` }} />
          </Progress.Root>
          <Button tone="quiet" onClick={() => void call('cancelImport').then(forgetJob)}>
            Cancel
          </Button>
        </div>
      )}
    </div>
  );
}
