import { useEffect } from 'react';
import { useStore } from 'zustand';
import type { WornLook } from '../../core/look/wornLook.ts';
import { day } from '../look/dates.ts';
import { wearOwnStyle } from '../look/styleSheets.ts';
import { useTexts } from '../look/texts.tsx';
import { isDarkNow, onThemeChange } from '../look/theme.ts';
import { wearLook } from '../look/wearLook.ts';
import { ShopHeader } from './ShopHeader.tsx';
import { ShopPage } from './ShopPage.tsx';
import { useShopper, useView, useVisit } from './shopperHere.tsx';
import { useScrollPlace } from './useScrollPlace.ts';
import { directionOf } from './useShopTexts.ts';

/** The shop: the page a shopper uses, and the very same page in the desk's window. */
export function Shop() {
  const shopper = useShopper();
  const { data: results, isStale } = useStore(shopper.results);
  const { search, place } = useVisit();
  const look = useStore(shopper.said, (said) => JSON.stringify(said?.look ?? null));
  const seenIn = useView((view) => view?.theme ?? null);
  useEffect(() => {
    const worn = JSON.parse(look) as WornLook | null;
    if (!worn) return;
    const wear = (): void =>
      wearLook(document.documentElement, worn, seenIn === null ? isDarkNow() : seenIn === 'dark');
    wear();
    wearOwnStyle(document, worn.style);
    return onThemeChange(wear);
  }, [look, seenIn]);
  // Where results go on below each other, more of them are the same screen.
  const screen = results?.layout.way === 'pages' ? search.page : 0;
  useScrollPlace(JSON.stringify([place, search.query, screen, search.collection]), results !== undefined && !isStale);
  const name = results?.shop.name;
  const language = results?.language;
  useEffect(() => {
    if (name) document.title = name;
    if (!language) return;
    document.documentElement.lang = language;
    document.documentElement.dir = directionOf(language);
  }, [name, language]);
  const preview = (results as { preview?: { name: string; endsAt: string } } | undefined)?.preview;
  return (
    <div className="flex min-h-full flex-col bg-surface text-ink">
      {preview && (
        <p className="bg-changed-soft px-4 py-1.5 text-center text-[13px] text-on-changed">
          A preview of “{preview.name}”, until {day(preview.endsAt)}. Nothing here is live, and nothing is noted.
        </p>
      )}
      <ShopHeader />
      <ShopPage />
      {results?.shop.tax && <Tax {...results.shop.tax} />}
    </div>
  );
}

function Tax({ included, rate }: { readonly included: boolean; readonly rate: number }) {
  const { say } = useTexts();
  return (
    <footer className="border-line border-t px-5 py-3 text-[13px] text-soft">
      {say(included ? 'price.taxIn' : 'price.taxOut', { rate })}
    </footer>
  );
}
