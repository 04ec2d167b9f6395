import { ChevronDown } from 'lucide-react';
import { DropdownMenu, ToggleGroup } from 'radix-ui';
import { liveOf, nameOf, readName } from '../../../core/setup/setupRef.ts';
import { Menu, MenuItem, MenuLine } from '../../look/Menu.tsx';
import { useDeskState } from '../state/deskState.ts';
import { usePlace } from '../state/place.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { useDrafts } from '../state/storefronts.ts';

const pressed =
  'rounded-[7px] px-2.5 py-1 data-[state=on]:bg-surface data-[state=on]:font-semibold data-[state=on]:text-ink hover:text-ink';
/** Releases that are offered, the newest ones. */
const releasesOffered = 8;

/** Which setup the shop window shows: this draft, what is live, or any other one to hold them against. */
export function ShownSetup() {
  const { storefront, draft } = usePlace();
  const other = useShopWindow((state) => state.other);
  const show = useShopWindow((state) => state.show);
  const own = nameOf({ storefront, draft });
  const live = nameOf(liveOf(storefront));
  return (
    <span className="flex items-center">
      <ToggleGroup.Root
        type="single"
        aria-label="Which setup the window shows"
        className="flex"
        value={other ?? own}
        onValueChange={(value) => value && show(value === own ? null : value)}
      >
        <ToggleGroup.Item value={own} className={pressed}>
          Draft
        </ToggleGroup.Item>
        <ToggleGroup.Item value={live} className={pressed}>
          Live
        </ToggleGroup.Item>
      </ToggleGroup.Root>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label="Another draft or release in the window"
          title="Another draft or release"
          className={`flex min-h-6 items-center gap-0.5 rounded-[7px] px-1 py-1 hover:text-ink ${other !== null && other !== live ? 'bg-surface pl-2 font-semibold text-ink' : ''}`}
        >
          {other !== null && other !== live && <OtherName name={other} />}
          <ChevronDown size={14} aria-hidden />
        </DropdownMenu.Trigger>
        <Menu align="end" className="max-h-[60vh] w-[240px] overflow-y-auto">
          <Others show={show} />
        </Menu>
      </DropdownMenu.Root>
    </span>
  );
}

function OtherName({ name }: { readonly name: string }) {
  const { storefront } = usePlace();
  const { data } = useDrafts();
  const ref = readName(storefront, name);
  if (!ref) return null;
  const text =
    'draft' in ref ? (data?.drafts.find(({ id }) => id === ref.draft)?.name ?? ref.draft) : `R${ref.release}`;
  return <span className="max-w-[90px] truncate">{text}</span>;
}

function Others({ show }: { show(other: string): void }) {
  const { storefront, draft } = usePlace();
  const { release } = useDeskState();
  const { data } = useDrafts();
  const drafts = data?.drafts.filter(({ id, removedAt }) => id !== draft && removedAt === null) ?? [];
  const newest = (release?.number ?? 1) - 1;
  const releases = Array.from({ length: Math.min(releasesOffered, newest) }, (_, at) => newest - at);
  return (
    <>
      {drafts.map(({ id, name }) => (
        <MenuItem key={id} onSelect={() => show(nameOf({ storefront, draft: id }))}>
          <span className="truncate">{name}</span>
        </MenuItem>
      ))}
      {drafts.length > 0 && releases.length > 0 && <MenuLine />}
      {releases.map((number) => (
        <MenuItem key={number} onSelect={() => show(nameOf({ storefront, release: number }))}>
          Release {number}
        </MenuItem>
      ))}
      {drafts.length === 0 && releases.length === 0 && (
        <p className="px-2.5 py-1.5 text-[13px] text-soft">There is no other draft, and no earlier release.</p>
      )}
    </>
  );
}
