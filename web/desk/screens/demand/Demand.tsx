import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { demandEndpoints } from '../../../../api/demandEndpoints.ts';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import { mostSearchesListed } from '../../../../core/demand/mostSearchesListed.ts';
import { sendFile } from '../../../client/call.ts';
import { day } from '../../../look/dates.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { ChooseFile } from '../../parts/ChooseFile.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { useDemand } from '../../state/demand.ts';
import { clientHere } from '../../state/queryClient.ts';
import { chosenInWords } from './chosenInWords.ts';
import { LogKept } from './LogKept.tsx';
import { percent } from './percent.ts';
import { SearchesMade } from './SearchesMade.tsx';

/** What shoppers searched for: brought in from elsewhere, and written by the shop itself. */
export function Demand() {
  const { data, error, refetch } = useDemand(mostSearchesListed);
  return (
    <>
      <ScreenHead title="Demand">What shoppers search for, and what comes of it.</ScreenHead>
      {error && !data && <LoadProblem error={error} again={refetch} />}
      {!error && !data && <Loading what="Counting what shoppers searched for" />}
      {data && <Counted data={data} />}
    </>
  );
}

function Counted({
  data: { summary, top, chosen, isOn, keptDays },
}: {
  readonly data: AnswerOf<(typeof demandEndpoints)['demand']>;
}) {
  return (
    <>
      <Section
        title="What shoppers searched for"
        note={
          summary.from && summary.to
            ? `From ${day(summary.from)} to ${day(summary.to)}. ${isOn ? 'The shop goes on writing it; what you try in the desk is not counted.' : 'It is not written any more.'}`
            : 'The shop writes it as shoppers search; what you try in the desk is not counted.'
        }
      >
        <dl className="grid grid-cols-4 gap-[5px]">
          {(
            [
              ['searches', count(summary.searches)],
              ['visits', count(summary.sessions)],
              ['found nothing', percent(summary.foundNothing, summary.searches)],
              ['clicks', count(summary.clicks)],
            ] as const
          ).map(([name, amount]) => (
            <div key={name} className={`${shelfRow(false)} flex flex-col-reverse px-3 py-2`}>
              <dt className="text-[12.5px] text-soft">{name}</dt>
              <dd className="font-display font-semibold text-[19px]">{amount}</dd>
            </div>
          ))}
        </dl>
      </Section>
      {chosen.length > 0 && <p className="mt-2 text-[13.5px]">Besides, shoppers chose {chosenInWords(chosen)}.</p>}
      <SearchesMade searches={top} />
      <LogKept isOn={isOn} days={keptDays} />
      <BringInLog />
    </>
  );
}

function BringInLog() {
  const [isSending, setSending] = useState(false);
  const [refused, setRefused] = useState<readonly { line: number; column: string; reason: string }[]>([]);
  const bring = async (file: File): Promise<void> => {
    setSending(true);
    try {
      const imported = await sendFile('bringInLog', {}, file);
      setRefused(imported.refusedLines);
      toast.success(`${counted(imported.searches, 'search', 'searches')} imported`, {
        description:
          imported.refused > 0
            ? `${counted(imported.refused, 'line')} could not be read.`
            : 'Every line could be read.',
      });
      await clientHere().invalidateQueries({ queryKey: ['desk', 'demand'] });
    } catch (error) {
      toast.error('The log was not imported', { description: (error as Error).message });
    }
    setSending(false);
  };
  return (
    <Section
      title="Import a shopper log"
      note="JSON Lines (time, session, search, filters, results, clicks, baskets, purchases, box, banners) or CSV with the same columns. Lines that are there already are taken once."
    >
      <ChooseFile label="Shopper log file" accept=".jsonl,.ndjson,.csv,.tsv,.txt,.gz" take={(file) => void bring(file)}>
        {(choose) => (
          <Button disabled={isSending} onClick={choose}>
            <FileUp size={15} aria-hidden /> {isSending ? 'Reading it …' : 'Choose a log'}
          </Button>
        )}
      </ChooseFile>
      {refused.length > 0 && (
        <div className="mt-3">
          <RowList label="Lines that could not be read" items={refused} rowHeight={40} mostHeight={240}>
            {({ line, column, reason }) => (
              <>
                <span className="w-20 shrink-0 text-soft">line {count(line)}</span>
                <span className="w-24 shrink-0 truncate font-semibold">{column}</span>
                <span className="min-w-0 flex-1 truncate text-[13px]">{reason}</span>
              </>
            )}
          </RowList>
        </div>
      )}
    </Section>
  );
}
