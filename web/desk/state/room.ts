import { useEffect } from 'react';
import { useShopWindow } from './shopWindow.ts';

/** Gives a screen that is mostly table the room of the shop window, until the person wants the window back. */
export function useRoom(): void {
  useEffect(() => {
    useShopWindow.getState().giveRoom(true);
    return () => useShopWindow.getState().giveRoom(false);
  }, []);
}

/** Gives a screen with a table as much width as the shop window can spare beside it. */
export function useWidth(): void {
  useEffect(() => {
    useShopWindow.getState().beSlim(true);
    return () => useShopWindow.getState().beSlim(false);
  }, []);
}
