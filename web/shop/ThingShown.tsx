import type { Beside } from '../../core/answer/beside.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';
import { PlaceLink } from './PlaceLink.tsx';

export type Thing = Beside['things'][number];

/** A variant that a shopper keeps: its picture and what it is called, with the way to its page. */
export function ThingShown({
  thing: { product, title, variant, picture, available },
  isFaint = false,
}: {
  readonly thing: Thing;
  readonly isFaint?: boolean;
}) {
  const { say } = useTexts();
  return (
    <>
      <span className={`grid size-16 shrink-0 place-items-center rounded bg-art p-1 ${isFaint ? 'opacity-45' : ''}`}>
        <ProductPicture src={picture} className="h-[52px]" />
      </span>
      <span className="min-w-0 flex-1 basis-40">
        <PlaceLink to={{ kind: 'product', id: product }} className="font-semibold hover:underline">
          {title}
        </PlaceLink>
        {variant !== '' && <span className="block text-[13px] text-soft">{variant}</span>}
        {!available && <b className="block text-[13px]">{say('card.soldOut')}</b>}
      </span>
    </>
  );
}
