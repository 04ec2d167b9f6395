import { type CSSProperties, useDeferredValue, useEffect } from 'react';
import { Outlet, useLocation } from 'react-router';
import { Toaster } from 'sonner';
import { CallProblem } from '../../client/request.ts';
import { isGone, useDeskStateQuery } from '../state/deskState.ts';
import { askBeforeLeaving, step } from '../state/edits.ts';
import { usePlace } from '../state/place.ts';
import { useRoom } from '../state/room.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { useTogether } from '../state/together.ts';
import { useFirstTrial } from '../state/useFirstTrial.ts';
import { useIsNarrow } from '../state/useIsNarrow.ts';
import { AskToOwn } from './AskToOwn.tsx';
import { BehindNotice } from './BehindNotice.tsx';
import { ChangedSince } from './ChangedSince.tsx';
import { EffectStrip } from './effect/EffectStrip.tsx';
import { FollowedNotice } from './FollowedNotice.tsx';
import { Navigation } from './Navigation.tsx';
import { NoCatalogNotice } from './NoCatalogNotice.tsx';
import { TypingHere } from './PeopleHere.tsx';
import { SetAsideNotice } from './SetAsideNotice.tsx';
import { ShopWindow } from './ShopWindow.tsx';
import { TopBar } from './TopBar.tsx';
import { useBesideTable } from './useSlimWindow.ts';
import { At } from './Workspace.tsx';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Undo and redo from anywhere but a text field, which has its own. */
function useShortcuts(): void {
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (isTyping(event.target) || !(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void step(key === 'y' || event.shiftKey ? 'redo' : 'undo');
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
}

/** Messages wear the desk's own colours, light or dark. */
const toastStyle = {
  // As wide as the navigation, over which they stand: nothing that they are about is ever there.
  '--width': '160px',
  '--normal-bg': 'var(--surface)',
  '--normal-border': 'var(--line)',
  '--normal-text': 'var(--ink)',
} as CSSProperties;

function Messages() {
  return (
    <Toaster
      // Where it is not said it is asked of the page's styles, which makes the browser work them out once more.
      dir="ltr"
      position="bottom-left"
      style={toastStyle}
      offset={{ left: 8, bottom: 8 }}
      mobileOffset={{ left: 8, right: 8, bottom: 8 }}
      toastOptions={{
        className: 'font-sans flex-wrap! gap-2! p-3!',
        classNames: { description: 'text-soft!' },
        duration: 6000,
      }}
      closeButton
    />
  );
}

function SkipLink() {
  return (
    <a href="#screen" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-surface focus:p-3">
      Skip to the screen
    </a>
  );
}

function Editor() {
  return (
    <main
      id="screen"
      tabIndex={-1}
      className="group/editor relative h-full scroll-pb-40 overflow-y-auto px-[22px] pt-5 pb-10 outline-none max-[939px]:px-3.5"
    >
      <SetAsideNotice />
      <BehindNotice />
      <NoCatalogNotice />
      <FollowedNotice />
      <TypingHere />
      <Outlet />
      <EffectStrip />
    </main>
  );
}

function Opening() {
  return (
    <p role="status" className="grid h-full place-items-center text-soft">
      Opening the desk …
    </p>
  );
}

function CannotOpen({ problem, again }: { readonly problem: Error; again(): void }) {
  const { storefront } = usePlace();
  // The shop beside it could only say the same.
  useRoom();
  const elsewhere = problem instanceof CallProblem && problem.code === 'unknown-draft' ? `/${storefront}` : '/';
  return (
    <div role="alert" className="grid h-full place-items-center p-8 text-center">
      <div>
        <h1 className="font-display font-semibold text-xl">The desk cannot be opened</h1>
        <p className="mt-1 text-soft">{problem.message}</p>
        {isGone(problem) ? (
          <a href={elsewhere} className="mt-3 inline-block font-semibold text-press underline">
            {elsewhere === '/' ? 'Go to the first storefront' : 'Go to another draft'}
          </a>
        ) : (
          <button type="button" className="mt-3 font-semibold text-press underline" onClick={again}>
            Try again
          </button>
        )}
      </div>
    </div>
  );
}

/** The desk: top bar, the screens in order of work, and beside each of them the shop window. */
export function Desk() {
  const { data, error, refetch } = useDeskStateQuery();
  const isNarrow = useIsNarrow();
  const { pathname } = useLocation();
  useShortcuts();
  useEffect(askBeforeLeaving, []);
  const hasTrial = useFirstTrial();
  useBesideTable(pathname);
  // biome-ignore lint/correctness/useExhaustiveDependencies: who goes to another screen wants to see it
  useEffect(() => useShopWindow.getState().showEditor(), [pathname]);
  // In small steps, between which the shop's frame, which shares the browser's time with the desk, gets on.
  const isOpen = useDeferredValue(data !== undefined && hasTrial, false);
  useTogether(pathname, isOpen);
  if (error && (!data || isGone(error)))
    return (
      <At place="editor">
        <CannotOpen problem={error} again={() => void refetch()} />
      </At>
    );
  return (
    <>
      <SkipLink />
      {isOpen ? (
        <>
          <TopBar isNarrow={isNarrow} />
          {!isNarrow && <Navigation />}
        </>
      ) : (
        <div className={`border-edge border-b-[3px] bg-surface ${isNarrow ? '' : 'col-span-2'}`} />
      )}
      <At place="editor">{isOpen ? <Editor /> : <Opening />}</At>
      {/* The shop loads while the desk's state is on its way. */}
      <ShopWindow isReady={isOpen} />
      {isOpen && (
        <>
          <Messages />
          <ChangedSince />
          <AskToOwn />
        </>
      )}
    </>
  );
}
