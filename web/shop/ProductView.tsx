import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Result } from '../../core/answer.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { counted, price } from '../look/price.ts';
import { noteOutcome } from './shopperLog.ts';

/** One product looked at more closely. The basket is a stand-in: it notes that the product was wanted. */
export function ProductView({ result, close }: { readonly result: Result | null; close(): void }) {
  return (
    <Dialog.Root open={result !== null} onOpenChange={(isOpen) => !isOpen && close()}>
      {result && <Content key={result.id} result={result} />}
    </Dialog.Root>
  );
}

function Content({ result }: { readonly result: Result }) {
  const [isInBasket, setInBasket] = useState(false);
  const line = [result.brand, ...result.details.map(({ value }) => value)].filter(Boolean).join(', ');
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
      <Dialog.Content
        aria-describedby={undefined}
        className="fixed top-1/2 left-1/2 z-50 w-[min(92vw,480px)] -translate-x-1/2 -translate-y-1/2 rounded-xl bg-surface p-5 text-ink shadow-2xl"
      >
        <div className="flex gap-5">
          <div className="grid h-[150px] w-[150px] shrink-0 place-items-center rounded-md bg-art">
            <ProductPicture src={result.picture} className="h-[130px]" />
          </div>
          <div className="min-w-0">
            <Dialog.Title className="pr-6 font-semibold font-shop text-lg leading-tight">{result.title}</Dialog.Title>
            {line && <p className="mt-1 text-[13px] text-soft">{line}</p>}
            <p className="mt-1 text-[13px] text-soft">
              {result.variants > 1 ? `In ${counted(result.variants, 'version')}` : result.sku}
            </p>
            {result.price !== null && <p className="mt-2 font-bold text-lg">{price(result.price, result.currency)}</p>}
            <button
              type="button"
              disabled={isInBasket || !result.available}
              className="mt-3 rounded-lg bg-press px-4 py-2 font-semibold text-on-press hover:bg-press-over disabled:opacity-55"
              onClick={() => {
                setInBasket(true);
                void noteOutcome('basket', result.familyId);
              }}
            >
              {isInBasket ? 'In your basket' : result.available ? 'Put in basket' : 'Sold out'}
            </button>
          </div>
        </div>
        <Dialog.Close aria-label="Close" className="absolute top-3 right-3 rounded p-1.5 text-soft hover:text-ink">
          <X size={18} aria-hidden />
        </Dialog.Close>
      </Dialog.Content>
    </Dialog.Portal>
  );
}
