import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../client/call.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { useDeskState } from '../state/deskState.ts';

type SetAside = Awaited<ReturnType<typeof call<'setAside'>>>['entries'];

/** Told above every screen while entries of the draft cannot be read: what they are, and that they are kept. */
export function SetAsideNotice() {
  const { setAside } = useDeskState();
  const [entries, setEntries] = useState<SetAside | null>(null);
  if (setAside === 0) return null;
  const load = async (): Promise<SetAside | null> => {
    try {
      return (await call('setAside')).entries;
    } catch (error) {
      toast.error('The entries could not be loaded', { description: (error as Error).message });
      return null;
    }
  };
  const save = async (): Promise<void> => {
    const all = entries ?? (await load());
    if (!all) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(all, null, 2)], { type: 'application/json' }));
    link.download = 'entries-set-aside.json';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <section role="alert" className="mb-4 rounded-lg border border-wrong bg-surface px-3 py-2.5">
      <p className="flex items-start gap-2">
        <TriangleAlert size={16} className="mt-0.5 shrink-0 text-wrong" aria-hidden />
        <span>
          {counted(setAside, 'entry', 'entries')} of this draft cannot be read by this version and{' '}
          {setAside === 1 ? 'is' : 'are'} set aside. Nothing is lost: {setAside === 1 ? 'it is' : 'they are'} kept and
          come{setAside === 1 ? 's' : ''} back with a version that reads {setAside === 1 ? 'it' : 'them'}. If you
          publish now, the shop is without {setAside === 1 ? 'it' : 'them'}.
        </span>
      </p>
      {entries && (
        <ul className="mt-2 max-h-40 overflow-auto text-[13px]">
          {entries.map(({ part, key, reason }) => (
            <li key={`${part}/${key}`}>
              <b className="font-semibold">{part}</b>, {key}: <span className="text-soft">{reason}</span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex gap-2">
        {!entries && (
          <Button onClick={() => void load().then(setEntries)}>Show {setAside === 1 ? 'it' : 'them'}</Button>
        )}
        <Button onClick={() => void save()}>Export</Button>
      </div>
    </section>
  );
}
