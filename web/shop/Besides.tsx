import type { ReactNode } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { type BesideKind, type BesidePlace, besideKinds } from '../../core/setup/terms/besidesTerms.ts';
import { useTexts } from '../look/texts.tsx';
import type { ShopperSearch } from '../shopper/shopperSearch.ts';
import { CompanionShelf } from './CompanionShelf.tsx';
import { SpotLink } from './PlaceLink.tsx';
import { Articles, Collections } from './Reading.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** A link to another view of what was searched for. */
function SearchLink({
  change,
  ...link
}: {
  readonly change: Partial<ShopperSearch>;
  readonly className: string;
  readonly isHere?: boolean;
  readonly children: ReactNode;
}) {
  const { search } = useVisit();
  return <SpotLink to={{ search: { ...search, page: 1, ...change }, place: null }} {...link} />;
}

const kindTexts = { collections: 'collections', articles: 'articles' } as const;

/** Products, articles and collections as tabs with how many there are, where one of these kinds has a tab, or is shown whole. */
export function BesideTabs({ data: { besides, total } }: { readonly data: SearchAnswer }) {
  const { say, count } = useTexts();
  const kinds = besideKinds.filter(
    (kind) => besides[kind].total > 0 && (besides[kind].where === 'tab' || besides.show === kind),
  );
  if (kinds.length === 0 && besides.show === null) return null;
  const tab = (show: BesideKind | '', name: string, many: number) => {
    const isHere = (besides.show ?? '') === show;
    return (
      <SearchLink
        key={name}
        change={{ show }}
        isHere={isHere}
        className={`border-b-[3px] px-2 py-1.5 text-[14px] ${isHere ? 'border-edge font-bold' : 'border-transparent text-press hover:underline'}`}
      >
        {name} <span className="font-normal text-soft tabular-nums">{count(many)}</span>
      </SearchLink>
    );
  };
  return (
    <nav aria-label={say('tabs')} className="mt-2 flex flex-wrap gap-x-2 border-line border-b">
      {tab('', say('tabs.products'), total)}
      {kinds.map((kind) => tab(kind, say(kindTexts[kind]), besides[kind].total))}
    </nav>
  );
}

/** Articles and collections that stand at a place among the results, each with the way to all of its kind. */
export function BesidesAt({ data, where }: { readonly data: SearchAnswer; readonly where: BesidePlace }) {
  const { openCollection } = useShopper();
  const { besides, collections, articles } = data;
  const isHere = (kind: BesideKind): boolean => besides.show === null && besides[kind].where === where;
  return (
    <>
      {isHere('collections') && (
        <Collections collections={collections} open={openCollection}>
          <All kind="collections" shown={collections.length} total={besides.collections.total} />
        </Collections>
      )}
      {isHere('articles') && (
        <Articles articles={articles} isBelow={where === 'below'}>
          <All kind="articles" shown={articles.length} total={besides.articles.total} />
        </Articles>
      )}
    </>
  );
}

function All({ kind, shown, total }: { readonly kind: BesideKind; readonly shown: number; readonly total: number }) {
  const { say } = useTexts();
  if (total <= shown) return null;
  return (
    <SearchLink change={{ show: kind }} className="text-[13px] text-press underline">
      {say('besides.all', { count: total })}
    </SearchLink>
  );
}

/** All articles, or all collections, in place of the products. */
export function OneKind({ data }: { readonly data: SearchAnswer }) {
  const { openCollection } = useShopper();
  return data.besides.show === 'collections' ? (
    <Collections collections={data.collections} open={openCollection} />
  ) : (
    <Articles articles={data.articles} isBelow={false} />
  );
}

/** What the search finds within some collections, with the way on that keeps its words. */
export function Blocks({ data, where }: { readonly data: SearchAnswer; readonly where: 'above' | 'below' }) {
  const { say } = useTexts();
  return data.blocks
    .filter((block) => block.where === where)
    .map(({ collection, heading, cards, total }) => (
      <div key={collection.id}>
        <CompanionShelf title={heading} cards={cards} className="mt-5" heading="text-[17px]" />
        {total > cards.length && (
          <p className="mt-2 text-end">
            <SearchLink
              change={{ collection: collection.id, filters: {}, show: '' }}
              className="text-[13px] text-press underline"
            >
              {say('blocks.more', { count: total, collection: collection.title })}
            </SearchLink>
          </p>
        )}
      </div>
    ));
}
