import { Star } from 'lucide-react';
import { useTexts } from '../look/texts.tsx';

/** What a product cost before. */
export function FormerPrice({ amount, currency }: { readonly amount: number; readonly currency: string }) {
  const { say, money } = useTexts();
  const shown = money(amount, currency);
  return (
    <>
      <span className="sr-only">{say('card.formerly', { amount: shown })}</span>
      <s part="former-price" aria-hidden className="text-[12.5px] text-soft">
        {shown}
      </s>
    </>
  );
}

/** How a product is rated, with one decimal. */
export function Rating({ rating }: { readonly rating: number }) {
  const { say, decimal } = useTexts();
  return (
    <span className="flex items-center gap-1 text-[12.5px] text-soft">
      <Star size={11} fill="currentColor" aria-hidden />
      <span className="sr-only">{say('card.rated', { rating: decimal(rating) })}</span>
      <span aria-hidden>{decimal(rating)}</span>
    </span>
  );
}

/** The same as five stars, filled as far as it goes. */
export function Stars({ rating }: { readonly rating: number }) {
  const { say, decimal } = useTexts();
  const five = (isFilled: boolean) =>
    [1, 2, 3, 4, 5].map((star) => <Star key={star} size={12} fill={isFilled ? 'currentColor' : 'none'} aria-hidden />);
  return (
    <span className="relative inline-flex align-middle text-soft">
      <span className="sr-only">{say('card.rated', { rating: decimal(rating) })}</span>
      {five(false)}
      <span
        aria-hidden
        className="absolute inset-0 flex overflow-hidden [&>*]:shrink-0"
        // How far it goes is the product's own: no class can say it.
        style={{ width: `${Math.min(100, Math.max(0, rating * 20))}%` }}
      >
        {five(true)}
      </span>
    </span>
  );
}

/** How many ratings a product's own is the mean of. */
export function HowManyRatings({ count }: { readonly count: number }) {
  const texts = useTexts();
  return (
    <span part="ratings" className="text-[12.5px] text-soft">
      <span className="sr-only">{texts.say('card.ratings', { count })}</span>
      <span aria-hidden>({texts.count(count)})</span>
    </span>
  );
}
