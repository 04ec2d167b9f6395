import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { comesLater } from '../parts/ComesLater.tsx';
import { useDeskState } from '../state/deskState.ts';

/** Every currency and time zone has a name in it: read when it is opened, not as the desk opens. */
const ShopSettings = comesLater(
  async () => (await import('./ShopSettings.tsx')).ShopSettings,
  <p className="text-soft">Opening …</p>,
);
/** Asked for a little before it is opened; what does not come then is told of where it is shown. */
const askFor = (): void => void ShopSettings.load().catch(() => {});

/** What the shop is called, with what is said of it a press away. */
export function ShopName() {
  const { storefront, setup } = useDeskState();
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`The shop: ${setup.storefront.shop.name}`}
        className="flex max-w-[190px] shrink-0 items-center gap-1 rounded-md px-1.5 py-1 text-soft hover:bg-paper hover:text-ink max-[1239px]:max-w-[120px] max-[939px]:max-w-full"
        onPointerEnter={askFor}
        onFocus={askFor}
      >
        <span className="truncate">{storefront.name}</span>
        <ChevronDown size={14} className="shrink-0" aria-hidden />
      </Popover.Trigger>
      <PopoverPanel label="The shop" className="max-h-[80vh] w-[360px] p-4">
        <ShopSettings />
      </PopoverPanel>
    </Popover.Root>
  );
}
