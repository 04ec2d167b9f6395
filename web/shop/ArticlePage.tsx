import { useQuery } from '@tanstack/react-query';
import { call } from '../client/call.ts';
import { isPreview } from '../client/place.ts';
import { markedUp } from '../look/markedUp.ts';
import { useTexts } from '../look/texts.tsx';
import { Fetched } from './Fetched.tsx';
import type { PageOf } from './ProductPage.tsx';

const read = (id: string, from: string | undefined, signal: AbortSignal) =>
  from === undefined
    ? call(isPreview() ? 'previewArticle' : 'shopArticle', { query: { id }, signal })
    : call('deskShopArticle', { query: { id, from }, signal });
type Read = Awaited<ReturnType<typeof read>>;

/** An article's own page. */
export function ArticlePage({ id, desk, isReady }: PageOf) {
  const { say } = useTexts();
  const query = useQuery({
    queryKey: ['article', id, desk?.from ?? 'shop', desk?.turn ?? 0],
    enabled: isReady,
    // While it is written, what was there stays until what is there now has come.
    placeholderData: (before: Read | undefined, asked) => (asked?.queryKey[1] === id ? before : undefined),
    queryFn: ({ signal }) => read(id, desk?.from, signal),
  });
  return (
    <Fetched what="article" query={query}>
      {({ title, text, markup, picture }) => (
        <article className="mt-3 max-w-[68ch]">
          <h1 className="font-semibold font-shop text-[26px] leading-tight">{title}</h1>
          {picture && <img src={picture} alt="" className="mt-4 max-h-[360px] w-full rounded-lg object-cover" />}
          {markup ? (
            // Only what the server made safe comes here.
            // biome-ignore lint/security/noDangerouslySetInnerHtml: the markup is made safe in core
            <div className={`mt-4 leading-relaxed ${markedUp}`} dangerouslySetInnerHTML={{ __html: markup }} />
          ) : (
            <p className="mt-4 whitespace-pre-line leading-relaxed">{text || say('article.empty')}</p>
          )}
        </article>
      )}
    </Fetched>
  );
}
