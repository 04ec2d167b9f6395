import { useEffect } from 'react';
import { useParams } from 'react-router';
import { longestContent, mostContent } from '../../../../core/setup/terms/contentTerms.ts';
import { counted } from '../../../look/price.ts';
import { AddressField } from '../../parts/AddressField.tsx';
import { Button } from '../../parts/Button.tsx';
import { comesLater } from '../../parts/ComesLater.tsx';
import { PictureField } from '../../parts/PictureField.tsx';
import { Loading, LoadProblem, Section } from '../../parts/Screen.tsx';
import { TextChips } from '../../parts/TextChips.tsx';
import { useShopWindow } from '../../state/shopWindow.ts';
import { useTrial } from '../../state/trial.ts';
import { ItemHead } from './ItemHead.tsx';
import { type ArticleAnswer, isBeingMade, madeNowOf, saveMade, useArticle } from './made.ts';

/** What one writes with is large: it comes when an article is opened. */
const RichText = comesLater(async () => (await import('./RichText.tsx')).RichText, <Loading what="Opening the text" />);

/** One article: what it says, where it leads, and what it is found by. */
export function ArticleScreen() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useArticle(id);
  if (error && !data && !isBeingMade('article', id)) return <LoadProblem error={error} again={() => void refetch()} />;
  if (!data) return <Loading what="Reading the article" />;
  return <Editor key={id} article={data} />;
}

/** A text without markup, as paragraphs. */
const asMarkup = (text: string): string =>
  text
    .split(/\n{2,}/)
    .map((paragraph) => `<p>${paragraph.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('\n', '<br>')}</p>`)
    .join('');

function Editor({ article }: { readonly article: ArticleAnswer }) {
  const { id, title, text, markup, words } = article;
  const made = madeNowOf('article', id);
  const save = (change: Parameters<typeof saveMade<'article'>>[2]): void => saveMade('article', id, change);
  const tags = made.tags ?? article.tags;
  const { visit } = useShopWindow.getState();
  useEffect(() => {
    visit({ kind: 'article', id });
    return () => visit(null);
  }, [visit, id]);
  return (
    <>
      <ItemHead kind="article" item={article}>
        <Button onClick={() => visit({ kind: 'article', id })}>Show its page</Button>
        <Button onClick={() => useTrial.getState().search(title)}>Search for its title</Button>
      </ItemHead>
      <Section
        title="Text"
        note={`${counted(words, 'word')}. Search reads them all; shoppers read it on the article’s own page.`}
      >
        <RichText
          label={`Text of “${title}”`}
          markup={markup ?? asMarkup(text)}
          longest={longestContent.articleText}
          change={(to) => save({ text: to })}
        />
      </Section>
      <Section title="Where it leads" note="Without an address, a search leads to the article’s own page in the shop.">
        <div className="grid grid-cols-[auto_1fr] items-center gap-x-2 gap-y-1.5 text-[13px]">
          Address
          <AddressField
            label="Address of the article"
            placeholder="its own page here"
            maxLength={longestContent.link}
            value={made.link ?? article.link}
            change={(link) => save({ link })}
          />
          Picture
          <PictureField
            label="Picture of the article"
            placeholder="the address of a picture, or none"
            maxLength={longestContent.link}
            value={made.picture ?? article.picture}
            change={(picture) => save({ picture })}
          />
        </div>
      </Section>
      <Section title="Tags" note="Words it is found by besides its title and text.">
        <div className="flex flex-wrap items-center gap-1.5">
          <TextChips
            texts={tags}
            add="Add a tag"
            takeOff={(tag) => `Take the tag ${tag} off`}
            most={mostContent.tags}
            longest={longestContent.tag}
            change={(to) => save({ tags: to })}
          />
        </div>
      </Section>
    </>
  );
}
