import { createContext, type ReactNode, useCallback, useContext, useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { Group, Panel, Separator } from 'react-resizable-panels';
import type { ToDesk } from '../../bridge/messages.ts';
import { usePlace } from '../state/place.ts';
import { type Device, devices, useShopWindow } from '../state/shopWindow.ts';
import { useIsToldTrial, useTrial } from '../state/trial.ts';
import { useIsNarrow } from '../state/useIsNarrow.ts';
import { ShopFrame } from './ShopFrame.tsx';
import { smallestWindow, useSlimWindow } from './useSlimWindow.ts';

/** What is done to products in the shop's frames. */
export type ProductsActed = Extract<ToDesk, { readonly kind: 'act' }>;

/** Where the desk of a draft draws its parts; null as long as such a place is not there. */
interface Places {
  readonly editor: HTMLElement | null;
  readonly aboveShop: HTMLElement | null;
  readonly belowShop: HTMLElement | null;
  /** Has what is done in the shop's frames heard; answers the function that ends it. */
  hearActs(hear: (acted: ProductsActed) => void): () => void;
}

const PlacesHere = createContext<Places | null>(null);

export function usePlaces(): Places {
  const places = useContext(PlacesHere);
  if (!places) throw new Error('A part of the desk is drawn outside its workspace.');
  return places;
}

/** Draws at a place of the workspace, once it is there. */
export function At({
  place,
  children,
}: {
  readonly place: Exclude<keyof Places, 'hearActs'>;
  readonly children: ReactNode;
}) {
  const element = usePlaces()[place];
  return element && createPortal(children, element);
}

/** The frames of a width: both devices side by side share the room, the wider one has more of it. */
const framesOf = (
  device: Device,
): readonly { readonly title: string; readonly width: number | null; readonly share: number }[] =>
  device === 'both'
    ? [
        { title: 'The shop as shoppers see it', width: devices.desktop.width, share: 5 },
        { title: 'The shop on a phone', width: devices.phone.width, share: 3 },
      ]
    : [{ title: 'The shop as shoppers see it', width: devices[device].width, share: 1 }];

/**
 * The page as it stays from one draft to another: the places that the desk of a draft draws in, and the shop's frames. A
 * frame made anew loads its code anew; one that stays asks for the other draft's results at once.
 */
export function Workspace({ children }: { readonly children: ReactNode }) {
  const [editor, setEditor] = useState<HTMLElement | null>(null);
  const [aboveShop, setAboveShop] = useState<HTMLElement | null>(null);
  const [belowShop, setBelowShop] = useState<HTMLElement | null>(null);
  const hearing = useRef<((acted: ProductsActed) => void) | null>(null);
  const places = useMemo<Places>(
    () => ({
      ...{ editor, aboveShop, belowShop },
      hearActs(hear) {
        hearing.current = hear;
        return () => {
          if (hearing.current === hear) hearing.current = null;
        };
      },
    }),
    [editor, aboveShop, belowShop],
  );
  const isFolded = useShopWindow((state) => state.isFolded || state.yieldsRoom);
  const isInstead = useShopWindow((state) => state.isInstead);
  const isNarrow = useIsNarrow();
  const { panels, editorSize, windowSize } = useSlimWindow();
  const shop = (
    <aside aria-label="Shop window" className="flex h-full flex-col bg-paper-deep px-4 pt-3 pb-4">
      <div ref={setAboveShop} />
      <Frames acted={useCallback((acted: ProductsActed) => hearing.current?.(acted), [])} />
      <div ref={setBelowShop} />
    </aside>
  );
  return (
    <PlacesHere value={places}>
      <div
        className={`grid h-full ${isNarrow ? 'grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]' : 'grid-cols-[176px_minmax(0,1fr)] grid-rows-[59px_minmax(0,1fr)]'}`}
      >
        {children}
        {isNarrow ? (
          <div className="row-start-2 min-h-0">
            {/* Out of sight, the screen stays as it is: what is half typed in it is not lost. */}
            <div ref={setEditor} hidden={isInstead} className="h-full" />
            {isInstead && shop}
          </div>
        ) : (
          <Group orientation="horizontal" groupRef={panels} className="col-start-2 row-start-2 min-h-0">
            <Panel id="editor" {...(editorSize && { defaultSize: editorSize })} minSize="380px">
              <div ref={setEditor} className="h-full" />
            </Panel>
            {!isFolded && (
              <>
                <Separator
                  aria-label="Width of the shop window"
                  className="w-1.5 bg-line outline-offset-0 transition-colors hover:bg-edge data-[separator=active]:bg-edge"
                />
                <Panel id="window" {...(windowSize && { defaultSize: windowSize })} minSize={`${smallestWindow}px`}>
                  {shop}
                </Panel>
              </>
            )}
          </Group>
        )}
      </div>
    </PlacesHere>
  );
}

/** The shop itself, by the draft or by what is published. */
function Frames({ acted }: { acted(acted: ProductsActed): void }) {
  const { device, setTotal } = useShopWindow();
  const { storefront } = usePlace();
  const search = useTrial((state) => state.search);
  const isTold = useIsToldTrial();
  const hear = useCallback<Parameters<typeof ShopFrame>[0]['hear']>(
    (message) => {
      if (message.kind === 'shown') setTotal(message.total);
      else if (message.kind === 'searched') search(message.query, message.collection);
      else acted(message);
    },
    [search, setTotal, acted],
  );
  // Beside another frame, what the main one found is told.
  const hearBeside = useCallback<typeof hear>((message) => message.kind !== 'shown' && hear(message), [hear]);
  return (
    <div className="flex min-h-0 flex-1 gap-3">
      {framesOf(device).map(({ title, width, share }, place) => (
        // Another storefront is another shop; another draft is the same shop, seen otherwise.
        <ShopFrame
          key={`${storefront} ${title}`}
          device={width}
          hear={place === 0 ? hear : hearBeside}
          {...{ title, share, isTold }}
        />
      ))}
    </div>
  );
}
