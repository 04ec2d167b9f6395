import { useEffect, useLayoutEffect, useRef } from 'react';
import { useVisit } from './shopperHere.tsx';

const stored = (key: string): string => `scrolled:${key}`;

/**
 * A new screen begins at its top; one that is gone back to, where it was left. `screen` names what is shown: choosing a
 * filter beside the same results leaves the page where it is. `isThere` says whether the screen has its content.
 */
export function useScrollPlace(screen: string, isThere: boolean): void {
  const { key, isBack } = useVisit();
  const restored = useRef('');
  const last = useRef(screen);
  // Before the browser tells that a shorter page has moved: that is no place where the longer one was left.
  useLayoutEffect(() => {
    history.scrollRestoration = 'manual';
    const note = (): void => {
      try {
        sessionStorage.setItem(stored(key), String(window.scrollY));
      } catch {
        // Where nothing can be kept, a screen that is gone back to begins at its top.
      }
    };
    window.addEventListener('scroll', note, { passive: true });
    return () => window.removeEventListener('scroll', note);
  }, [key]);
  useEffect(() => {
    if (!isThere || restored.current === key) return;
    restored.current = key;
    const isNew = last.current !== screen;
    last.current = screen;
    if (isBack) window.scrollTo(0, Number(sessionStorage.getItem(stored(key)) ?? 0));
    else if (isNew) window.scrollTo(0, 0);
  }, [isThere, key, isBack, screen]);
}
