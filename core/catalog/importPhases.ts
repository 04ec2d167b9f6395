/** Where an import stands. What it does in each phase it does by itself, but in `mapping` and `ready` it waits for a person. */
export const importPhases = [
  'receiving',
  'examining',
  'mapping',
  'reading',
  'sorting',
  'comparing',
  'profiling',
  'indexing',
  'ready',
  'committing',
  'stopping',
  'done',
  'failed',
  'cancelled',
] as const;
export type ImportPhase = (typeof importPhases)[number];

/** What happens to an import. `progress` is one of the phases of reading telling how far it is. */
export type ImportEvent =
  | 'receive'
  | 'received'
  | 'examined'
  | 'lookAgain'
  | 'read'
  | 'readAgain'
  | 'sorting'
  | 'comparing'
  | 'profiling'
  | 'indexing'
  | 'imported'
  | 'commit'
  | 'committed'
  | 'notCommitted'
  | 'cancel'
  | 'stopped'
  | 'fail';

const over: readonly ImportPhase[] = ['done', 'failed', 'cancelled'];
const waiting: readonly ImportPhase[] = ['mapping', 'ready'];
const reading: readonly ImportPhase[] = ['reading', 'sorting', 'comparing', 'profiling', 'indexing'];
const stoppable: readonly ImportPhase[] = ['receiving', 'examining', ...reading, ...waiting];

/** The whole machine: from which phases an event is taken, and where it leads. Null stands for no import yet. */
const steps: Readonly<
  Record<ImportEvent, { readonly from: readonly (ImportPhase | null)[]; readonly to: ImportPhase }>
> = {
  receive: { from: [null, ...over, ...waiting], to: 'receiving' },
  received: { from: ['receiving'], to: 'examining' },
  examined: { from: ['examining'], to: 'mapping' },
  lookAgain: { from: ['mapping', 'ready', 'failed'], to: 'examining' },
  read: { from: waiting, to: 'reading' },
  readAgain: { from: [null, ...over, ...waiting], to: 'reading' },
  sorting: { from: reading, to: 'sorting' },
  comparing: { from: reading, to: 'comparing' },
  profiling: { from: reading, to: 'profiling' },
  indexing: { from: reading, to: 'indexing' },
  imported: { from: reading, to: 'ready' },
  commit: { from: ['ready'], to: 'committing' },
  committed: { from: ['committing'], to: 'done' },
  /** Putting it in force was refused: it is as ready as before. */
  notCommitted: { from: ['committing'], to: 'ready' },
  /** Files are removed only when nothing writes to them any more, so stopping takes a moment. */
  cancel: { from: stoppable, to: 'stopping' },
  stopped: { from: ['stopping'], to: 'cancelled' },
  fail: { from: ['receiving', 'examining', ...reading], to: 'failed' },
};

/** The phase an event leads to, or null where it is not taken in this phase. */
export function nextPhase(phase: ImportPhase | null, event: ImportEvent): ImportPhase | null {
  const step = steps[event];
  return step.from.includes(phase) ? step.to : null;
}

/** Whether an import goes on by itself; else it waits for a person or is over. */
export const isWorkingPhase = (phase: ImportPhase | null): boolean =>
  phase !== null && !over.includes(phase) && !waiting.includes(phase);
