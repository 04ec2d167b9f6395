import { Download, Upload } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import type { endpoints } from '../../../../api/endpoints.ts';
import { type SynonymEntry, writeVocabularyCsv } from '../../../../core/setup/vocabularyCsv.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { DialogFrame } from '../../parts/DialogFrame.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { synonymText } from './listSynonyms.ts';

type Read = AnswerOf<(typeof endpoints)['readVocabulary']>;

/** Gives a text to the browser as a file. */
function giveFile(name: string, text: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Synonyms to a file and from one; what a file changes is shown before it is taken. */
export function SynonymFile({ hasAny }: { readonly hasAny: boolean }) {
  const { setup } = useDeskState();
  const [read, setRead] = useState<Read | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const look = async (file: File): Promise<void> => {
    try {
      setRead(await call('readVocabulary', { body: { csv: await file.text() } }));
    } catch (error) {
      toast.error('The file could not be read', { description: (error as Error).message });
    }
  };
  return (
    <span className="flex shrink-0 gap-1">
      {hasAny && (
        <Button
          tone="quiet"
          className="px-2 py-0.5 text-[13px]"
          onClick={() => giveFile('synonyms.csv', writeVocabularyCsv(setup.vocabulary))}
        >
          <Download size={14} aria-hidden /> Export
        </Button>
      )}
      <Button tone="quiet" className="px-2 py-0.5 text-[13px]" onClick={() => field.current?.click()}>
        <Upload size={14} aria-hidden /> Import
      </Button>
      <input
        ref={field}
        type="file"
        accept=".csv,text/csv"
        aria-label="A CSV file of synonyms"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void look(file);
        }}
      />
      <Dialog.Root open={read !== null} onOpenChange={(isOpen) => !isOpen && setRead(null)}>
        {read && (
          <DialogFrame
            title="Synonyms from a file"
            description="Nothing is changed yet; it goes into the draft in one step."
            wide
          >
            <Preview read={read} done={() => setRead(null)} />
          </DialogFrame>
        )}
      </Dialog.Root>
    </span>
  );
}

const mostListed = 8;

function Preview({ read, done }: { readonly read: Read; done(): void }) {
  const { added, changed, unchanged, refused, refusedInAll } = read;
  const all = [...added, ...changed];
  const add = (): void => {
    void edit(...all.map(({ key, entry }) => ({ part: 'vocabulary' as const, key, value: entry })));
    done();
  };
  return (
    <>
      <p>
        <b className="font-semibold">{counted(added.length, 'entry', 'entries')}</b> added, {count(changed.length)}{' '}
        changed, {count(unchanged)} as they are, {count(refusedInAll)} refused.
      </p>
      <ul className="mt-2 max-h-[34vh] space-y-0.5 overflow-auto text-[13.5px]">
        {all.slice(0, mostListed).map(({ key, entry }) => (
          <li key={key}>{synonymText(entry as SynonymEntry)}</li>
        ))}
        {all.length > mostListed && <li className="text-soft">and {count(all.length - mostListed)} more</li>}
        {refused.map(({ line, reason }) => (
          <li key={line} className="text-on-changed">
            Line {line}: {reason}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={done}>Cancel</Button>
        <Button tone="strong" disabled={all.length === 0} onClick={add}>
          Take {counted(all.length, 'entry', 'entries')} into the draft
        </Button>
      </div>
    </>
  );
}
