import { type RefObject, useEffect, useRef } from 'react';
import { type GroupImperativeHandle, useGroupRef } from 'react-resizable-panels';
import { useShopWindow } from '../state/shopWindow.ts';

/** Least width of the shop window beside the editor, in pixels. */
export const smallestWindow = 280;
/** Width of the two together from which there is enough for both: the window then stays as it is. */
const wideEnough = 1500;

/** Makes the shop window slim while a screen asks for it, and as wide as it was after that. */
export function useSlimWindow(): RefObject<GroupImperativeHandle | null> {
  const panels = useGroupRef();
  const isSlim = useShopWindow((state) => state.isSlim);
  const before = useRef<Record<string, number> | null>(null);
  useEffect(() => {
    const group = panels.current;
    const layout = group?.getLayout();
    if (!group || layout?.window === undefined) return;
    if (isSlim && innerWidth < wideEnough) {
      before.current = layout;
      // The least there is, whatever its share comes to.
      group.setLayout({ editor: 99, window: 1 });
    } else if (!isSlim && before.current) {
      group.setLayout(before.current);
      before.current = null;
    }
  }, [isSlim, panels]);
  return panels;
}
