import { useHref } from 'react-router';
import { useTexts } from '../look/texts.tsx';
import { BasketCount } from './BasketCount.tsx';
import { SearchBox } from './box/SearchBox.tsx';
import { LanguageMenu } from './LanguageMenu.tsx';
import type { Shopper } from './useShopper.ts';

/** Above every page of the shop: its name, the languages it speaks, and the search box. */
export function ShopHeader({ shopper }: { readonly shopper: Shopper }) {
  const { desk, search, results, searchEverywhere, chooseLanguage } = shopper;
  const { data, error } = results;
  const home = useHref('/');
  const { say } = useTexts();
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-line border-b px-4 py-3 sm:px-5">
      <a
        href={home}
        className="min-w-[7.5rem] font-shop text-xl tracking-tight"
        onClick={(event) => {
          event.preventDefault();
          searchEverywhere('');
        }}
      >
        {data?.shop.name ?? (error ? say('shop.unnamed') : '…')}
      </a>
      {data && data.languages.length > 1 && (
        <LanguageMenu
          languages={data.languages}
          chosen={search.language || data.languages[0]!}
          choose={(language) => chooseLanguage(language === data.languages[0] ? '' : language)}
        />
      )}
      <SearchBox
        query={search.query}
        says={data?.boxSays ?? ''}
        button={data?.boxButton ?? ''}
        language={search.language}
        ways={{
          search: searchEverywhere,
          searchTyped: shopper.searchHere,
          searchWithin: shopper.searchWithin,
          open: ({ familyId }) => shopper.open(familyId),
          openCollection: shopper.openCollection,
          openArticle: shopper.openArticle,
        }}
        desk={desk.view}
        isInDesk={desk.isInDesk}
      />
      {!desk.isInDesk && <BasketCount />}
    </header>
  );
}
