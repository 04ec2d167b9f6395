import { Popover } from 'radix-ui';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { counted } from '../../look/price.ts';
import { useDeskState } from '../state/deskState.ts';
import { useSaving } from '../state/edits.ts';
import { ChangeList } from './ChangeList.tsx';

/** "7 changes not published", always in sight; it opens the list in words. */
export function ChangesButton() {
  const { changes, release } = useDeskState();
  const isSaving = useSaving((state) => state.isSaving);
  const isClean = changes.length === 0;
  return (
    <Popover.Root>
      <Popover.Trigger className="mx-1 flex items-center gap-[7px] rounded-md px-2 py-1.5 hover:bg-paper">
        <span
          aria-hidden
          className={`inline-block size-[9px] rounded-full ${isClean ? 'border-2 border-soft' : 'bg-changed'} ${isSaving ? 'animate-pulse' : ''}`}
        />
        {!isClean && (
          <span aria-hidden className="font-semibold min-[620px]:hidden">
            {changes.length}
          </span>
        )}
        <span aria-live="polite" className="max-[619px]:sr-only">
          {isClean ? 'All published' : `${counted(changes.length, 'change')} not published`}
        </span>
      </Popover.Trigger>
      <PopoverPanel label="Changes not published" align="end" className="max-h-[70vh] w-[420px] p-4">
        <h2 className="font-display font-semibold text-[15px]">Not yet published</h2>
        {isClean ? (
          <p className="mt-1 text-soft">
            Shoppers get exactly what you see: {release ? `release ${release.number}` : 'nothing yet'}.
          </p>
        ) : (
          <ChangeList changes={changes} />
        )}
        <p className="mt-3 border-t pt-2 text-[12.5px] text-soft">Every change is saved as you make it.</p>
      </PopoverPanel>
    </Popover.Root>
  );
}
