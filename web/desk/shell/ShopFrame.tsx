import { useCallback, useEffect, useRef, useState } from 'react';
import { nameOf } from '../../../core/setup/setupRef.ts';
import { type DeskView, firstShow, listen, post, type ToDesk } from '../../bridge/messages.ts';
import { beforeGoing, usePlace } from '../state/place.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { useTrial } from '../state/trial.ts';

/** Width below which no shop is used, in pixels. */
const narrowest = 340;

/** A frame's size: as wide as the device, made smaller to fit where the room is narrower. */
function useFrameSize(device: number | null) {
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 600, height: 600 });
  useEffect(() => {
    const element = room.current!;
    const watcher = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  // Narrower than any phone, it is shown smaller instead.
  const wanted = device ?? (size.width < narrowest ? narrowest : null);
  const scale = wanted === null ? 1 : Math.min(1, size.width / wanted);
  return { room, width: wanted ?? size.width, height: size.height / scale, scale };
}

/** What the desk's window wants seen now. */
function useWanted(): DeskView {
  const { turn, other, at, page, box, theme } = useShopWindow();
  const { storefront, draft } = usePlace();
  const { query, collection } = useTrial();
  return { query, collection, draft, from: other ?? nameOf({ storefront, draft }), turn, at, page, box, theme };
}

/**
 * The shop in a frame of one width, null for as wide as there is room; `isTold` says whether what to show is known, `hear`
 * hears what is done in it.
 */
export function ShopFrame({
  title,
  device,
  share,
  isTold,
  hear,
}: {
  readonly title: string;
  readonly device: number | null;
  /** How much of the room it has beside other frames. */
  readonly share: number;
  readonly isTold: boolean;
  hear(message: Exclude<ToDesk, { readonly kind: 'ready' }>): void;
}) {
  const frame = useRef<HTMLIFrameElement>(null);
  const { storefront } = usePlace();
  const wanted = useWanted();
  /** How often the frame has said that it is ready: it may load again. */
  const [readied, setReady] = useState(0);
  const { room, width, height, scale } = useFrameSize(device);
  // Said once: a frame of another address would load anew.
  const [first] = useState(() =>
    isTold
      ? {
          src: `/shop/${storefront}?${new URLSearchParams({ desk: '', q: wanted.query, collection: wanted.collection })}`,
          name: firstShow({ kind: 'show', ...wanted }),
        }
      : { src: `/shop/${storefront}?desk` },
  );
  /** Called when the frame has found what it was told to show. */
  const found = useRef(() => {});
  useEffect(
    () =>
      listen<ToDesk>(
        () => frame.current?.contentWindow ?? null,
        (message) => {
          if (message.kind === 'ready') setReady((count) => count + 1);
          else hear(message);
          if (message.kind === 'shown') found.current();
        },
      ),
    [hear],
  );
  const said = JSON.stringify(wanted);
  /** What the frame was told last since it loaded: told the same again, it would draw everything for nothing. */
  const told = useRef({ readied: 0, said: '' });
  const tell = useCallback(
    (view: string): boolean => {
      const shop = frame.current?.contentWindow;
      const isSame = told.current.readied === readied && told.current.said === view;
      if (!isTold || readied === 0 || !shop || isSame) return false;
      told.current = { readied, said: view };
      post(shop, { kind: 'show', ...(JSON.parse(view) as DeskView) });
      return true;
    },
    [isTold, readied],
  );
  useEffect(() => void tell(said), [tell, said]);
  useEffect(
    () =>
      beforeGoing((place) => {
        const next: DeskView = { ...(JSON.parse(said) as DeskView), draft: place.draft, from: nameOf(place) };
        if (!tell(JSON.stringify(next))) return null;
        return new Promise((resolve) => {
          // Drawn is what was found with the browser's next picture.
          found.current = () => requestAnimationFrame(() => setTimeout(resolve));
        });
      }),
    [tell, said],
  );
  return (
    // Its share of the room is said by no class.
    <div ref={room} className="relative h-full min-w-0 overflow-hidden" style={{ flex: `${share} 1 0` }}>
      <iframe
        ref={frame}
        {...first}
        title={title}
        className="absolute top-0 rounded-[10px] border-0 bg-surface shadow-lg"
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          transformOrigin: 'top left',
          left: Math.max(0, (room.current ? room.current.clientWidth - width * scale : 0) / 2),
        }}
      />
    </div>
  );
}
