import { Download, Upload } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import { count, counted } from '../../look/price.ts';
import { Button } from './Button.tsx';
import { ChooseFile } from './ChooseFile.tsx';
import { DialogFrame } from './DialogFrame.tsx';

/** A file that can be had. */
export interface Export {
  readonly label: string;
  readonly name: string;
  text(): string;
}

/** Gives a text to the browser as a file. */
function giveFile({ name, text }: Export): void {
  const type = name.endsWith('.json') ? 'application/json' : 'text/csv';
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text()], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** What bringing a file in would do. */
export interface FileRead {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  readonly refused: readonly { readonly line: number; readonly reason: string }[];
  readonly refusedInAll: number;
  /** What is new or other, told one by one, the first ones. */
  readonly told: readonly { readonly key: string; readonly text: string }[];
  /** Takes it into the draft. */
  take(): void;
}

/** Entries to files and from one; what a file changes is shown before it is taken. */
export function FileExchange({
  title,
  exports,
  accept,
  chooseLabel,
  read,
}: {
  readonly title: string;
  readonly exports: readonly Export[];
  readonly accept: string;
  readonly chooseLabel: string;
  read(text: string): Promise<FileRead>;
}) {
  const [found, setFound] = useState<FileRead | null>(null);
  const look = async (file: File): Promise<void> => {
    try {
      setFound(await read(await file.text()));
    } catch (error) {
      toast.error('The file could not be read', { description: (error as Error).message });
    }
  };
  return (
    <span className="flex shrink-0 flex-wrap gap-1">
      {exports.map((each) => (
        <Button key={each.name} tone="quiet" className="px-2 py-0.5 text-[13px]" onClick={() => giveFile(each)}>
          <Download size={14} aria-hidden /> {each.label}
        </Button>
      ))}
      <ChooseFile label={chooseLabel} accept={accept} take={(file) => void look(file)}>
        {(choose) => (
          <Button tone="quiet" className="px-2 py-0.5 text-[13px]" onClick={choose}>
            <Upload size={14} aria-hidden /> Import
          </Button>
        )}
      </ChooseFile>
      <Dialog.Root open={found !== null} onOpenChange={(isOpen) => !isOpen && setFound(null)}>
        {found && (
          <DialogFrame
            title={title}
            description="Nothing is changed yet; it goes into the draft in one step. What the file does not name stays as it is."
            wide
          >
            <Preview read={found} done={() => setFound(null)} />
          </DialogFrame>
        )}
      </Dialog.Root>
    </span>
  );
}

const mostTold = 8;

function Preview({ read, done }: { readonly read: FileRead; done(): void }): ReactNode {
  const { added, changed, unchanged, refused, refusedInAll, told } = read;
  const all = added + changed;
  return (
    <>
      <p>
        <b className="font-semibold">{counted(added, 'entry', 'entries')}</b> added, {count(changed)} changed,{' '}
        {count(unchanged)} as they are, {count(refusedInAll)} refused.
      </p>
      <ul className="mt-2 max-h-[34vh] space-y-0.5 overflow-auto text-[13.5px]">
        {told.slice(0, mostTold).map(({ key, text }) => (
          <li key={key}>{text}</li>
        ))}
        {all > mostTold && <li className="text-soft">and {count(all - mostTold)} more</li>}
        {refused.map(({ line, reason }) => (
          <li key={`${line}/${reason}`} className="text-on-changed">
            {line > 0 && `Line ${line}: `}
            {reason}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={done}>Cancel</Button>
        <Button
          tone="strong"
          disabled={all === 0}
          onClick={() => {
            read.take();
            done();
          }}
        >
          Take {counted(all, 'entry', 'entries')} into the draft
        </Button>
      </div>
    </>
  );
}
