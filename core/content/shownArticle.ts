import { z } from 'zod';
import { ownedPicture } from '../catalog/picture.ts';
import { safeMarkup } from '../text/safeMarkup.ts';
import type { Article } from './decidedContent.ts';

/** An article as its own page shows it. */
export const shownArticleSchema = z.object({
  id: z.string(),
  title: z.string(),
  text: z.string().describe('As people read it, without markup.'),
  markup: z.string().nullable().describe('The same marked up, safe to show; null where it has no markup.'),
  link: z.string(),
  picture: z.string(),
  tags: z.array(z.string()),
});
export type ShownArticle = z.infer<typeof shownArticleSchema>;

/** What an article shows: whatever was written or imported, only safe markup leaves. */
export const showArticle = ({ id, title, text, plain, link, picture, tags }: Article): ShownArticle => ({
  picture: ownedPicture(`article:${id}`, picture) ?? '',
  ...{ id, title, text: plain, markup: safeMarkup(text), link, tags: [...tags] },
});
