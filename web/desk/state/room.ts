import { useEffect } from 'react';
import { useShopWindow } from './shopWindow.ts';

/** Gives a screen that is mostly table, or has no shop to show, the room of the shop window, until the person wants the window back. */
export function useRoom(): void {
  useEffect(() => {
    useShopWindow.getState().yieldRoom(true);
    return () => useShopWindow.getState().yieldRoom(false);
  }, []);
}
