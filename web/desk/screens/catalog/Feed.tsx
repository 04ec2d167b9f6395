import { toast } from 'sonner';
import { paths } from '../../../../api/paths.ts';
import { call } from '../../../client/call.ts';
import { ago } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Switch } from '../../parts/Controls.tsx';
import { Loading, Section, shelfRow } from '../../parts/Screen.tsx';
import { freshnessKey, useFreshness } from '../../state/freshness.ts';
import { clientHere } from '../../state/queryClient.ts';

const example = '{"records": [{"id": "p0001-1", "price": 4.20, "stock": 12}]}';

/** Prices and stock that change between two imports: where they come in, and a stand-in for trying it. */
export function Feed() {
  const data = useFreshness();
  if (!data) return <Loading what="Reading" />;
  const set = async (isOn: boolean): Promise<void> => {
    try {
      clientHere().setQueryData(freshnessKey, await call('feed', { body: { isOn } }));
    } catch (error) {
      toast.error('The feed was not switched', { description: (error as Error).message });
    }
  };
  return (
    <>
      <Section
        title="Prices and stock between imports"
        note="Your stock system can send changes at any time. They are facts: shoppers find them with their next search, and the index is never rebuilt for them."
      >
        <div className={`${shelfRow(false)} px-3 py-2.5`}>
          <p>
            {data.factsAt
              ? `The last change came ${ago(data.factsAt)}.`
              : 'None has come since the catalog was imported.'}
          </p>
        </div>
      </Section>
      <Section title="Where a stock system sends them">
        <p className="text-[13px]">
          A POST to <code className="rounded bg-paper-deep px-1">{paths.facts.path}</code>, at most 10,000 records at
          once; a figure that is not named stays as it is, and null takes it away.
        </p>
        <pre tabIndex={0} className="mt-1.5 overflow-auto rounded-lg border bg-surface p-2.5 text-[12.5px]">
          {example}
        </pre>
      </Section>
      <Section
        title="A stand-in to try it with"
        note="It sells and restocks a few products every two seconds, and changes a price now and then."
      >
        <div className={`${shelfRow(false)} flex items-center gap-3 px-3 py-2.5`}>
          <Switch
            label="Simulated feed"
            shown="Simulated feed"
            isOn={data.feed.isOn}
            change={(isOn) => void set(isOn)}
          />
          {data.feed.isOn && (
            <p role="status" className="text-[13px] text-soft">
              {counted(data.feed.changed, 'record')} changed so far.
            </p>
          )}
        </div>
      </Section>
    </>
  );
}
