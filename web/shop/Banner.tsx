import type { SearchAnswer } from '../../core/answer/answer.ts';
import { safeLink } from '../../core/catalog/safeLink.ts';
import { useShopper, useVisit } from './shopperHere.tsx';

export type ShownBanner = SearchAnswer['banners'][number];

/** What a shelf plan says to shoppers, with its link where it has one. */
export function Banner({ banner, isCard = false }: { readonly banner: ShownBanner; readonly isCard?: boolean }) {
  const { notes } = useShopper();
  const { search } = useVisit();
  const link = banner.link === null ? '' : safeLink(banner.link);
  const look = `block rounded-lg bg-press-soft font-shop text-[16px] text-ink ${isCard ? 'm-[7px] flex-1 p-4' : 'my-2 px-4 py-3'}`;
  const said = (
    <>
      {banner.picture && (
        <img
          src={banner.picture}
          alt=""
          className={`rounded object-cover ${isCard ? 'mb-3 max-h-[118px] w-full' : 'me-4 inline-block h-[72px] align-middle'}`}
        />
      )}
      {banner.text}
    </>
  );
  return link === '' ? (
    <p className={look}>{said}</p>
  ) : (
    <a
      href={link}
      target="_top"
      rel="noopener"
      onClick={() => notes.click({ inBox: false, search: search.query, kind: 'banner', target: link })}
      className={`${look} underline decoration-press underline-offset-4`}
    >
      {said}
    </a>
  );
}

/** Those over, or under, the results. */
export function Banners({
  banners,
  where,
}: {
  readonly banners: readonly ShownBanner[];
  readonly where: 'above' | 'below';
}) {
  return banners
    .filter((banner) => banner.where === where)
    .map((banner) => <Banner key={banner.text} banner={banner} />);
}
