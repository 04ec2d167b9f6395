import { useStore } from 'zustand';
import { markedUp } from '../look/markedUp.ts';
import { useTexts } from '../look/texts.tsx';
import { Fetched } from './Fetched.tsx';
import { PageHeading } from './PageMain.tsx';
import { useShopper } from './shopperHere.tsx';

/** An article's own page. */
export function ArticlePage() {
  const { say } = useTexts();
  const { article, again } = useShopper();
  const asked = useStore(article);
  return (
    <Fetched waiting="article.waiting" asked={asked} again={again}>
      {({ title, text, markup, picture }) => (
        <article className="mt-3 max-w-[68ch]">
          <PageHeading className="font-semibold font-shop text-[26px] leading-tight">{title}</PageHeading>
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
