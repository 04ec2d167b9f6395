import { useEffect } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { safeLink } from '../../core/catalog/safeLink.ts';
import { useTexts } from '../look/texts.tsx';

/** Whether an address is of this shop: a path, and not the page that is open already. */
export const isWithinShop = (link: string, here: string): boolean =>
  /^\/(?![/\\])/.test(link) && new URL(link, here).href !== here;

/** A link that is safe to follow, or empty; where shoppers are sent on and it is a page of the shop, they are. */
export function useSentOn(given: string, isSent: boolean): string {
  const link = safeLink(given);
  const isFollowed = isSent && isWithinShop(link, location.href);
  useEffect(() => {
    if (isFollowed) location.replace(link);
  }, [isFollowed, link]);
  return link;
}

export const OfferedLink = ({ link }: { readonly link: string }) => (
  <a className="break-all text-press underline" href={link} rel="noopener">
    {link}
  </a>
);
/** A page that a shopper may mean. */
export function Offered({ link }: { readonly link: string }) {
  const { rich } = useTexts();
  return rich('elsewhere.offer', { link }, { a: () => <OfferedLink link={link} /> });
}

/**
 * Where shoppers are sent instead of these results. A page of the shop opens at once, in the place of the results, so that
 * the way back does not lead here again; any other address is only offered. In the desk it is told, and nobody is sent.
 */
export function Elsewhere({
  redirect,
  isInDesk,
  isPlain,
}: {
  readonly redirect: NonNullable<SearchAnswer['redirect']>;
  readonly isInDesk: boolean;
  /** Whether these are the first results of a search, and not of one before. */
  readonly isPlain: boolean;
}) {
  const link = useSentOn(redirect.link, !isInDesk && isPlain);
  if (link === '') return null;
  return (
    <p className="mt-2 rounded-md bg-press-soft px-3 py-2 text-[13.5px]">
      {isInDesk ? (
        <>
          Shoppers are sent to <b className="break-all font-semibold">{link}</b> by the shelf plan “{redirect.name}”.
          These are the results they do not see.
        </>
      ) : (
        <Offered link={link} />
      )}
    </p>
  );
}
