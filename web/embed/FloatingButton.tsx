import { Search } from 'lucide-react';
import { type ComponentType, type ReactNode, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { useStore } from 'zustand';
import { type Device, deviceOf } from '../../core/setup/terms/planTerms.ts';
import { useTexts } from '../look/texts.tsx';
import { useShopper } from '../shop/shopperHere.tsx';
import type { Overlay } from './Overlay.tsx';

const onResize = (changed: () => void): (() => void) => {
  addEventListener('resize', changed);
  return () => removeEventListener('resize', changed);
};

/** A button that follows the page, on the devices it is for, and opens the whole search over it. */
export function FloatingButton({
  box,
  devices,
  dress,
}: {
  /** The search box, which comes before everything else does. */
  readonly box: ReactNode;
  readonly devices: ReadonlySet<Device>;
  /** Puts on the styles that come with results. */
  dress(styles: string): void;
}) {
  const shopper = useShopper();
  const { say } = useTexts();
  const button = useRef<HTMLButtonElement>(null);
  const device = useSyncExternalStore(onResize, () => deviceOf(window.innerWidth));
  const isSilent = useStore(shopper.said, (said) => said === null);
  /** Whoever was sent the address of a search sees it. */
  const [isOpen, setOpen] = useState(() => shopper.visit.getState().place !== null || shopper.hasSearch());
  const [isPressed, setPressed] = useState(false);
  const [Over, setOver] = useState<ComponentType<Parameters<typeof Overlay>[0]> | null>(null);
  // Before it is opened nothing is asked but how the shop looks and speaks.
  useEffect(() => {
    if (!isSilent || !shopper.isWaiting()) return;
    const box = shopper.createBox();
    box.ask('', shopper.visit.getState().search.language);
    return box.stop;
  }, [shopper, isSilent]);
  useEffect(() => {
    if (!isOpen || Over) return;
    let isHere = true;
    void import('./EmbeddedPage.tsx').then((page) => {
      if (!isHere) return;
      dress(page.styles);
      setOver(() => page.Overlay);
    });
    return () => {
      isHere = false;
    };
  }, [isOpen, Over, dress]);
  return (
    <>
      {devices.has(device) && (
        <button
          ref={button}
          type="button"
          aria-label={say('box.says')}
          aria-haspopup="dialog"
          className="fixed end-5 bottom-5 z-30 grid size-14 place-items-center rounded-full bg-press text-on-press shadow-xl hover:bg-press-over"
          onClick={() => {
            setPressed(true);
            setOpen(true);
          }}
        >
          <Search size={24} aria-hidden />
        </button>
      )}
      {isOpen && Over && (
        <Over box={box} isToType={isPressed} close={() => setOpen(false)} goBack={() => button.current?.focus()} />
      )}
    </>
  );
}
