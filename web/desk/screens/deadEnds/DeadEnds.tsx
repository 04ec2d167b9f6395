import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { DeadEndRow } from '../../../../api/deadEndEndpoints.ts';
import { mostMendedAtOnce } from '../../../../api/limits.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { act, step } from '../../state/edits.ts';
import { DeadEndItem } from './DeadEndItem.tsx';
import { causeTexts } from './deadEndInWords.ts';

/** Dead ends of one cause that are listed at first, and with each press more. */
const listedFirst = 12;

/** Which remedy is chosen for which search. */
export type Chosen = ReadonlyMap<string, string>;

/** Takes remedies into the draft, in one step. */
async function mend(chosen: Chosen): Promise<boolean> {
  const answer = await act(
    (revision) =>
      call('takeRemedies', { body: { revision, chosen: [...chosen].map(([search, id]) => ({ search, id })) } }),
    (state) => state,
  );
  if (!answer) return false;
  toast(`${counted(chosen.size, 'dead end')} mended`, {
    description: 'In the draft, not yet published.',
    action: { label: 'Undo', onClick: () => void step('undo') },
  });
  return true;
}

/** Watch: the searches that lead shoppers nowhere, by what is wrong with them, each with what would mend it. */
export function DeadEnds() {
  const { revision } = useDeskState();
  const { data, error, refetch, isFetching } = useQuery({
    queryKey: ['desk', 'deadEnds', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('deadEnds', { signal }),
  });
  const [chosen, setChosen] = useState<Chosen>(new Map());
  const [open, setOpen] = useState<string | null>(null);
  const deadEnds = data?.deadEnds ?? [];
  const here = new Set(deadEnds.map(({ search }) => search));
  const taken = new Map([...chosen].filter(([search]) => here.has(search)).slice(0, mostMendedAtOnce));
  const choose = (search: string, id: string | null): void => {
    const next = new Map(chosen);
    if (id === null) next.delete(search);
    else next.set(search, id);
    setChosen(next);
  };
  const mendNow = async (which: Chosen): Promise<void> => {
    if (await mend(which)) setChosen(new Map([...chosen].filter(([search]) => !which.has(search))));
  };
  return (
    <>
      <ScreenHead title="Dead ends">
        Searches of your shoppers that lead nowhere under the draft: nothing found, nothing opened, or asked again in
        other words. Open one to see what would mend it.
      </ScreenHead>
      {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
      {!data && !error && <Loading what="Sending the searches of your shoppers through the shop" />}
      {data && deadEnds.length === 0 && (
        <Nothing>
          {data.hasLog ? (
            'No dead ends: every search of the log leads somewhere.'
          ) : (
            <>
              No search of a shopper is known yet. Bring in a log under{' '}
              <Link to="/demand" className="text-press underline">
                Demand
              </Link>
              , or wait for the first ones.
            </>
          )}
        </Nothing>
      )}
      {deadEnds.length > 0 && (
        <>
          <p role="status" className="mb-2 rounded-lg bg-press-soft px-3.5 py-2 text-[13.5px]">
            {counted(deadEnds.length, 'dead end')}, made{' '}
            {counted(
              deadEnds.reduce((sum, { searches }) => sum + searches, 0),
              'time',
            )}
            .{isFetching && ' Looking again …'}
          </p>
          {taken.size > 0 && (
            <div className="sticky top-0 z-10 mb-2 flex flex-wrap items-center gap-2 rounded-lg border bg-surface px-3 py-2">
              <span className="mr-auto text-[13.5px]">{counted(taken.size, 'search', 'searches')} chosen</span>
              <Button tone="quiet" onClick={() => setChosen(new Map())}>
                Choose none
              </Button>
              <Button tone="strong" onClick={() => void mendNow(taken)}>
                Mend {counted(taken.size, 'search', 'searches')}
              </Button>
            </div>
          )}
          {groupsOf(deadEnds).map(([cause, rows]) => (
            <Group
              key={cause}
              {...causeTexts[cause]}
              rows={rows}
              item={(row) => (
                <DeadEndItem
                  deadEnd={row}
                  isOpen={open === row.search}
                  toggle={() => setOpen(open === row.search ? null : row.search)}
                  chosen={chosen.get(row.search) ?? null}
                  choose={(id) => choose(row.search, id)}
                  mend={(id) => mendNow(new Map([[row.search, id]]))}
                />
              )}
            />
          ))}
        </>
      )}
    </>
  );
}

/** Dead ends by cause, the cause that most visits met first. */
function groupsOf(deadEnds: readonly DeadEndRow[]): [DeadEndRow['cause'], DeadEndRow[]][] {
  const groups = new Map<DeadEndRow['cause'], DeadEndRow[]>();
  for (const row of deadEnds) groups.set(row.cause, [...(groups.get(row.cause) ?? []), row]);
  const visits = (rows: readonly DeadEndRow[]): number => rows.reduce((sum, { sessions }) => sum + sessions, 0);
  return [...groups].sort((a, b) => visits(b[1]) - visits(a[1]));
}

function Group({
  name,
  says,
  rows,
  item,
}: {
  readonly name: string;
  readonly says: string;
  readonly rows: readonly DeadEndRow[];
  item(row: DeadEndRow): React.ReactNode;
}) {
  const [many, setMany] = useState(listedFirst);
  return (
    <Section title={`${name} (${rows.length})`} note={says}>
      <ul aria-label={name} className="space-y-[5px]">
        {rows.slice(0, many).map((row) => (
          <li key={row.search}>{item(row)}</li>
        ))}
      </ul>
      {rows.length > many && (
        <Button tone="quiet" className="mt-1.5" onClick={() => setMany(many * 3)}>
          Show more of the {rows.length}
        </Button>
      )}
    </Section>
  );
}
