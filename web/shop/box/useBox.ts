import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { useShopper } from '../shopperHere.tsx';

/** A pause in typing after which the box is asked for, in milliseconds; nothing typed is asked for at once. */
const pause = 90;

/** The text once the hand has paused. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    if (text.trim() === '') setSettled(text);
    else {
      const timer = setTimeout(() => setSettled(text), pause);
      return () => clearTimeout(timer);
    }
  }, [text]);
  return settled;
}

/**
 * What hangs under the box for a text. Every text is a question of its own, asked for once and cancelled when another is
 * typed, so that an answer to an older text never takes a newer one's place; until an answer comes the last one stays.
 */
export function useBox(text: string, { isOpen, language }: { readonly isOpen: boolean; readonly language: string }) {
  const shopper = useShopper();
  const box = useMemo(() => shopper.createBox(), [shopper]);
  const settled = useSettled(text);
  useEffect(() => {
    if (!isOpen) return;
    const ask = (): void => box.ask(settled, language);
    ask();
    // Another view of the desk is another question.
    return shopper.view.subscribe(ask);
  }, [box, shopper, isOpen, settled, language]);
  useEffect(() => box.stop, [box]);
  return useStore(box.state);
}
