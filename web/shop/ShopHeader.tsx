import { useStore } from 'zustand';
import { useTexts } from '../look/texts.tsx';
import { freshSearch } from '../shopper/shopperSearch.ts';
import { SearchBox } from './box/SearchBox.tsx';
import { KeptCounts } from './KeptCounts.tsx';
import { LanguageMenu } from './LanguageMenu.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** Above every page of the shop: its name, the languages it speaks, and the search box. */
export function ShopHeader() {
  const { desk, results, said, hrefOf, searchEverywhere, chooseLanguage } = useShopper();
  const { search } = useVisit();
  const failed = useStore(results, ({ error }) => error !== undefined);
  const shop = useStore(said);
  const { say } = useTexts();
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-line border-b px-4 py-3 sm:px-5">
      <a
        href={hrefOf({ search: freshSearch, place: null })}
        className="min-w-[7.5rem] font-shop text-xl tracking-tight"
        onClick={(event) => {
          event.preventDefault();
          searchEverywhere('');
        }}
      >
        {shop?.shop.name ?? (failed ? say('shop.unnamed') : '…')}
      </a>
      {shop && shop.languages.length > 1 && (
        <LanguageMenu
          languages={shop.languages}
          chosen={search.language || shop.languages[0]!}
          choose={(language) => chooseLanguage(language === shop.languages[0] ? '' : language)}
        />
      )}
      <SearchBox />
      {!desk && <KeptCounts />}
    </header>
  );
}
