import { Menu } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { Navigation } from './Navigation.tsx';
import { ShopName } from './ShopName.tsx';

/** The screens behind a button, where there is no room for them beside the editor. It closes when one is chosen. */
export function NavigationDrawer() {
  const [isOpen, setOpen] = useState(false);
  const { pathname } = useLocation();
  // biome-ignore lint/correctness/useExhaustiveDependencies: another screen is what it closes for
  useEffect(() => setOpen(false), [pathname]);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger
        aria-label="Screens"
        className="grid size-9 shrink-0 place-items-center rounded-md text-soft hover:bg-paper hover:text-ink"
      >
        <Menu size={19} aria-hidden />
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 left-0 z-50 flex w-[232px] flex-col bg-paper shadow-xl outline-none"
        >
          <Dialog.Title className="sr-only">Screens</Dialog.Title>
          <div className="px-3.5 pt-3.5">
            <ShopName />
          </div>
          <Navigation />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
