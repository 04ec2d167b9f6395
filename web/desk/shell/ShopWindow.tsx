import { Maximize2, Monitor, PanelRightClose, Smartphone, Tablet } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { liveOf, nameOf } from '../../../core/setup/setupRef.ts';
import { firstShow, listen, post, type ToDesk } from '../../bridge/messages.ts';
import { IconButton } from '../parts/Button.tsx';
import { HideDialog } from '../parts/rule/HideDialog.tsx';
import { TeachLink } from '../parts/TeachLink.tsx';
import { usePlace } from '../state/place.ts';
import { actOn, hideProduct } from '../state/planActs.ts';
import { setupInWords } from '../state/setupInWords.ts';
import { type Device, devices, useShopWindow } from '../state/shopWindow.ts';
import { useTrial } from '../state/trial.ts';
import { AsOf, AsOfNotice } from './AsOf.tsx';
import { ShownSetup } from './ShownSetup.tsx';
import { type AskedWhy, WhyHere } from './WhyHere.tsx';
import { HowItIsRead } from './words/HowItIsRead.tsx';

const deviceIcons = { fit: Maximize2, phone: Smartphone, tablet: Tablet, desktop: Monitor } as const;
/** It comes once the desk stands: nobody waits for results because of it. */
const AddToResults = lazy(async () => ({ default: (await import('./AddToResults.tsx')).AddToResults }));
const pressed =
  'rounded-[7px] px-2.5 py-1 data-[state=on]:bg-surface data-[state=on]:font-semibold data-[state=on]:text-ink hover:text-ink';

/** Width below which no shop is used, in pixels. */
const narrowest = 340;

/** The frame's size: as wide as the device, made smaller to fit where the panel is narrower. */
function useFrameSize(device: Device) {
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 600, height: 600 });
  useEffect(() => {
    const element = room.current!;
    const watcher = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  // Narrower than any phone, it is shown smaller instead.
  const wanted = devices[device].width ?? (size.width < narrowest ? narrowest : null);
  const scale = wanted === null ? 1 : Math.min(1, size.width / wanted);
  return { room, width: wanted ?? size.width, height: size.height / scale, scale };
}

/**
 * The shop itself beside the editor, by the draft or by what is published; `isTold` says whether what to show is known,
 * `isReady` whether the desk around it is open.
 */
export function ShopWindow({ isTold, isReady }: { readonly isTold: boolean; readonly isReady: boolean }) {
  const frame = useRef<HTMLIFrameElement>(null);
  const { turn, other, at, page, box, device, total, setDevice, setTotal, fold } = useShopWindow();
  const { storefront, draft } = usePlace();
  const from = other ?? nameOf({ storefront, draft });
  const live = nameOf(liveOf(storefront));
  const { query, collection, search } = useTrial();
  /** How often the frame has said that it is ready: it may load again. */
  const [readied, setReady] = useState(0);
  const [asked, setAsked] = useState<AskedWhy | null>(null);
  const [hiding, setHiding] = useState<{ readonly id: string; readonly title: string } | null>(null);
  const go = useNavigate();
  const { room, width, height, scale } = useFrameSize(device);
  // Said once: a frame of another address would load anew.
  const [first] = useState(() =>
    isTold
      ? {
          src: `/shop/${storefront}?${new URLSearchParams({ desk: '', q: query, collection })}`,
          name: firstShow({ kind: 'show', query, collection, draft, from, turn, at, page, box }),
        }
      : { src: `/shop/${storefront}?desk` },
  );

  useEffect(
    () =>
      listen<ToDesk>(
        () => frame.current?.contentWindow ?? null,
        (message) => {
          if (message.kind === 'ready') setReady((count) => count + 1);
          else if (message.kind === 'shown') setTotal(message.total);
          else if (message.kind === 'searched') search(message.query, message.collection);
          else if (message.what.act === 'why')
            setAsked({
              ...message.product,
              query: message.query,
              filters: message.filters,
              sort: message.sort,
              collection: message.collection,
              asWords: message.asWords,
              exactly: message.exactly,
              from,
              at,
            });
          else if (message.what.act === 'hideSome') setHiding(message.product);
          else actOn(message, message.product, message.what, (to) => void go(to));
        },
      ),
    [search, setTotal, from, at, go],
  );
  useEffect(() => {
    if (isTold && readied > 0 && frame.current?.contentWindow)
      post(frame.current.contentWindow, { kind: 'show', query, collection, draft, from, turn, at, page, box });
  }, [isTold, readied, query, collection, draft, from, turn, at, page, box]);

  return (
    <aside aria-label="Shop window" className="flex h-full flex-col bg-paper-deep px-4 pt-3 pb-4">
      <div className="mb-2.5 flex flex-wrap items-center gap-x-1.5 gap-y-1 text-[13px] text-soft">
        <h2 className="mr-auto whitespace-nowrap font-semibold text-ink">Shop window</h2>
        <ShownSetup />
        <AsOf />
        <ToggleGroup.Root
          type="single"
          aria-label="Width of the shop"
          className="flex max-[619px]:hidden"
          value={device}
          onValueChange={(value) => value && setDevice(value as Device)}
        >
          {(Object.keys(devices) as Device[]).map((each) => {
            const Icon = deviceIcons[each];
            const { label, width: pixels } = devices[each];
            return (
              <ToggleGroup.Item
                key={each}
                value={each}
                aria-label={pixels ? `${label}, ${pixels} pixels wide` : label}
                title={label}
                className={pressed}
              >
                <Icon size={15} aria-hidden />
              </ToggleGroup.Item>
            );
          })}
        </ToggleGroup.Root>
        <IconButton label="Fold the shop window away" onClick={() => fold(true)}>
          <PanelRightClose size={16} aria-hidden />
        </IconButton>
      </div>
      <AsOfNotice />
      <div ref={room} className="relative min-h-0 flex-1 overflow-hidden">
        <iframe
          ref={frame}
          {...first}
          title="The shop as shoppers see it"
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
      {isReady && query.trim() !== '' && (
        <p className="mt-1.5 text-[12.5px] text-soft">
          {total === 0 && 'A dead end: shoppers find nothing here. '}
          <span className="inline-flex flex-wrap gap-x-4">
            <HowItIsRead query={query.trim()} from={from} />
            <TeachLink says={query.trim()} />
            {collection === '' && (
              <Suspense>
                <AddToResults query={query.trim()} />
              </Suspense>
            )}
          </span>
        </p>
      )}
      {other !== null && (
        <p className="mt-2 text-[12.5px] text-soft">
          {from === live ? 'This is what shoppers get now.' : `This is ${setupInWords(from)}.`} Your changes show under
          Draft.
        </p>
      )}
      <HideDialog
        what={hiding && `“${hiding.title}”`}
        close={() => setHiding(null)}
        hide={(limits) => hiding && hideProduct(hiding, limits)}
      />
      <WhyHere asked={asked} close={() => setAsked(null)} />
    </aside>
  );
}
