import { Check, ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import type { DraftRef } from '../../../core/setup/setupRef.ts';
import { Menu, MenuItem, MenuLine } from '../../look/Menu.tsx';
import { counted } from '../../look/price.ts';
import { useDeskState } from '../state/deskState.ts';
import { goTo, usePlace } from '../state/place.ts';
import { readyAhead } from '../state/readyAhead.ts';
import { useDrafts } from '../state/storefronts.ts';

/** The draft one works in, always in sight; it leads to the others. */
export function DraftMenu() {
  const { draft } = useDeskState();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`The draft: ${draft.name}`}
        className="flex max-w-[150px] shrink-0 items-center gap-1 rounded-md px-1.5 py-1 font-semibold hover:bg-paper max-[1239px]:max-w-[110px] max-[939px]:max-w-full"
      >
        <span className="truncate">{draft.name}</span>
        <ChevronDown size={14} className="shrink-0 text-soft" aria-hidden />
      </DropdownMenu.Trigger>
      <Menu className="max-h-[70vh] w-[300px] overflow-y-auto">
        <Drafts />
      </Menu>
    </DropdownMenu.Root>
  );
}

function Drafts() {
  const { data, error } = useDrafts();
  const { storefront, draft: here } = usePlace();
  const go = useNavigate();
  const leave = useRef(() => {});
  const pointAt = (draft: DraftRef | null): void => {
    leave.current();
    leave.current = draft ? readyAhead(draft) : () => {};
  };
  const open = data?.drafts.filter(({ removedAt }) => removedAt === null) ?? [];
  return (
    <>
      {!data && (
        <p role="status" className="px-2.5 py-1.5 text-[13px] text-soft">
          {error ? error.message : 'Reading the drafts …'}
        </p>
      )}
      {open.map(({ id, name, changes, isBehind }) => (
        <MenuItem
          key={id}
          onFocus={() => id !== here && pointAt({ storefront, draft: id })}
          onBlur={() => pointAt(null)}
          onSelect={() => id !== here && void goTo({ storefront, draft: id })}
        >
          <Check size={15} aria-hidden className={`shrink-0 ${id === here ? '' : 'invisible'}`} />
          <span className="min-w-0 flex-1">
            <span className="block truncate font-semibold">{name}</span>
            <span className="block text-[12.5px] text-soft">
              {changes === 0 ? 'no changes' : counted(changes, 'change')}
              {isBehind && ', another release is live by now'}
            </span>
          </span>
          {id === here && <span className="sr-only">, the one you work in</span>}
        </MenuItem>
      ))}
      <MenuLine />
      <MenuItem onSelect={() => void go('/drafts?begin')}>Begin a draft …</MenuItem>
      <MenuItem onSelect={() => void go('/drafts')}>All drafts, merging</MenuItem>
    </>
  );
}
