import { ArrowRight } from 'lucide-react';
import type { ReactNode } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { isElsewhere } from '../shopper/shopAddress.ts';
import { PlaceLink } from './PlaceLink.tsx';

/** Collections that the search names: a way into them, above the products. */
export function Collections({
  collections,
  open,
  children,
}: {
  readonly collections: SearchAnswer['collections'];
  open(id: string): void;
  /** The way to all of them. */
  readonly children?: ReactNode;
}) {
  const { say } = useTexts();
  if (collections.length === 0) return null;
  return (
    <nav aria-label={say('collections')} className="mt-2 flex flex-wrap items-center gap-2">
      <span className="text-[13px] text-soft">{say('collections')}</span>
      {collections.map(({ id, title }) => (
        <button
          key={id}
          type="button"
          className="inline-flex items-center gap-1 rounded-full border px-3 py-1 font-semibold text-[13px] hover:border-edge"
          onClick={() => open(id)}
        >
          {title} <ArrowRight size={13} aria-hidden className="rtl:-scale-x-100" />
        </button>
      ))}
      {children}
    </nav>
  );
}

/** An article's title that leads to its page, here or elsewhere. */
export function ArticleLink({
  id,
  title,
  link,
  className,
}: {
  readonly id: string;
  readonly title: string;
  readonly link: string;
  readonly className: string;
}) {
  return isElsewhere(link) ? (
    <a href={link} target="_blank" rel="noreferrer" className={className}>
      {title}
    </a>
  ) : (
    <PlaceLink to={{ kind: 'article', id }} className={className}>
      {title}
    </PlaceLink>
  );
}

/** Articles that answer the search. */
export function Articles({
  articles,
  isBelow,
  children,
}: {
  readonly articles: SearchAnswer['articles'];
  /** Whether a line parts them from what stands above. */
  readonly isBelow: boolean;
  /** The way to all of them. */
  readonly children?: ReactNode;
}) {
  const { say } = useTexts();
  if (articles.length === 0) return null;
  return (
    <section aria-label={say('articles.read')} className={isBelow ? 'mt-7 border-t pt-4' : 'mt-4'}>
      <h2 className="font-shop text-[17px]">{say('articles.read')}</h2>
      <ul className="mt-2 grid gap-x-6 gap-y-3 min-[600px]:grid-cols-2">
        {articles.map(({ id, title, link, extract }) => (
          <li key={id}>
            <h3 className="font-semibold font-shop">
              <ArticleLink {...{ id, title, link }} className="hover:underline" />
            </h3>
            <p className="text-[13px] text-soft">{extract}</p>
          </li>
        ))}
      </ul>
      {children && <p className="mt-2">{children}</p>}
    </section>
  );
}
