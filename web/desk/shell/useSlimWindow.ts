import { type RefObject, useEffect, useRef, useState } from 'react';
import { type GroupImperativeHandle, useGroupRef } from 'react-resizable-panels';
import { useShopWindow } from '../state/shopWindow.ts';

/** Least width of the shop window beside the editor, in pixels. */
export const smallestWindow = 280;
/** Width of the browser's window from which there is enough for both: the shop window then stays as it is. */
const wideEnough = 1500;
/** Screens with a table that wants as much width as the shop window can spare. */
const wide = /^\/catalog\/products\/?$/;
/** What an address has before its screen: the storefront and the draft. */
const place = /^\/[^/]+\/[^/]+/;

/** Says whether the screen beside the shop window is mostly table. */
export function useBesideTable(screen: string): void {
  const isTable = wide.test(screen);
  useEffect(() => useShopWindow.getState().standBesideTable(isTable), [isTable]);
}

interface SlimWindow {
  readonly panels: RefObject<GroupImperativeHandle | null>;
  /** Sizes to begin with, so that nothing jumps when the desk opens. */
  readonly editorSize: string | undefined;
  readonly windowSize: string | undefined;
}

/** Makes the shop window slim beside a screen that is mostly table, and as wide as it was after that. */
export function useSlimWindow(): SlimWindow {
  const panels = useGroupRef();
  const [isFirstTable] = useState(() => wide.test(location.pathname.replace(place, '')));
  const isBesideTable = useShopWindow((state) => state.isBesideTable) ?? isFirstTable;
  const isSlim = isBesideTable && innerWidth < wideEnough;
  const [isFirstSlim] = useState(isSlim);
  const before = useRef<Record<string, number> | null>(null);
  useEffect(() => {
    const group = panels.current;
    const layout = group?.getLayout();
    if (!group || layout?.window === undefined) return;
    if (isSlim) {
      before.current ??= isFirstSlim ? { editor: 46, window: 54 } : layout;
      // The least there is, whatever its share comes to.
      group.setLayout({ editor: 99, window: 1 });
    } else if (before.current) {
      group.setLayout(before.current);
      before.current = null;
    }
  }, [isSlim, isFirstSlim, panels]);
  return {
    panels,
    editorSize: isFirstSlim ? undefined : '46%',
    windowSize: isFirstSlim ? `${smallestWindow}px` : undefined,
  };
}
