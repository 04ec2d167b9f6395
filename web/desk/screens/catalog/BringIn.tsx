import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { sendFile } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Section } from '../../parts/Screen.tsx';
import { isWorking, takeJob, useCatalog, useImportJob } from '../../state/catalog.ts';
import { useRoom } from '../../state/room.ts';
import { EarlierCatalogs } from './EarlierCatalogs.tsx';
import { ImportProgress } from './ImportProgress.tsx';
import { MapFile } from './MapFile.tsx';
import { ReadyCatalog } from './ReadyCatalog.tsx';
import { RejectedRows } from './RejectedRows.tsx';
import { SharedRecords } from './SharedRecords.tsx';

/** Bringing a file in: choose it, say what its columns are, see what changes, put it in the shop. */
export function BringIn() {
  useRoom();
  const job = useImportJob();
  const { data: catalog } = useCatalog();
  // Told before the import that is done now: what it calls earlier is not yet what was live a moment ago.
  const isOutdated = job?.phase === 'done' && (catalog?.job?.id !== job.id || catalog.job.phase !== job.phase);
  if (job?.phase === 'mapping') return <MapFile />;
  if (job?.phase === 'ready') return <ReadyCatalog job={job} />;
  return (
    <div className="max-w-[860px]">
      {catalog?.shares ? <SharedRecords lender={catalog.shares} /> : <ChooseFile isBusy={isWorking(job)} />}
      {job && <ImportProgress job={job} />}
      {job?.phase === 'done' && (
        <p className="mt-2">
          <Link to="/proposals" className="font-semibold text-press hover:underline">
            See what is proposed for this catalog
          </Link>
        </p>
      )}
      {!catalog?.shares && <EarlierCatalogs isBusy={isWorking(job) || isOutdated} />}
      {catalog && catalog.rejected > 0 && (
        <Section
          title="Rows that were refused"
          note="Correct them in the file and import it again. The other rows are in the shop."
        >
          <RejectedRows of="force" all={catalog.rejected} />
        </Section>
      )}
    </div>
  );
}

function ChooseFile({ isBusy }: { readonly isBusy: boolean }) {
  const chooser = useRef<HTMLInputElement>(null);
  const [isDraggedOver, setDraggedOver] = useState(false);
  const [isSending, setSending] = useState(false);
  const bring = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    if (isBusy || isSending) {
      toast.error('The file was not imported', { description: 'Another one is being read. Wait for it or cancel it.' });
      return;
    }
    setSending(true);
    try {
      takeJob(await sendFile('startImport', { file: file.name.slice(0, 200) }, file));
    } catch (error) {
      toast.error('The file was not imported', { description: (error as Error).message });
    }
    setSending(false);
  };
  return (
    <Section
      title="Import a catalog"
      note="CSV with any separator, JSON, JSON Lines or schema.org products. Column names and language do not matter: you say what is what in the next step, and most of it is guessed."
    >
      <section
        aria-label="Drop a file here"
        className={`rounded-lg border-2 border-dashed p-7 text-center ${isDraggedOver ? 'border-press bg-press-soft' : ''}`}
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
          accept=".csv,.tsv,.txt,.json,.jsonl,.ndjson,.jsonld,text/csv,application/json"
          aria-label="Catalog file"
          className="sr-only"
          tabIndex={-1}
          disabled={isBusy || isSending}
          onChange={(event) => {
            void bring(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
        <Button disabled={isBusy || isSending} onClick={() => chooser.current?.click()}>
          <FileUp size={15} aria-hidden /> Choose a file
        </Button>
        <p className="mt-1.5 text-[13px] text-soft">
          or drop it here. Shoppers keep the present catalog until you replace it.
        </p>
      </section>
      {isSending && <p role="status">Sending the file …</p>}
    </Section>
  );
}
