import { useState } from 'react';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';

/** A product's pictures: one large, the others small below it to choose from. */
export function ProductPictures({ first, all }: { readonly first: string | null; readonly all: readonly string[] }) {
  const { say } = useTexts();
  const [chosen, choose] = useState(first);
  const pictures = [...new Set(all)];
  return (
    <div className="min-w-0 self-start">
      <div className="grid min-h-[240px] place-items-center rounded-md bg-art p-4">
        <ProductPicture src={chosen} className="h-[220px]" width={640} />
      </div>
      {pictures.length > 1 && (
        <ul aria-label={say('product.pictures')} className="mt-2 flex flex-wrap gap-1.5">
          {pictures.map((picture, at) => (
            <li key={picture}>
              <button
                type="button"
                aria-label={say('product.picture', { place: at + 1, of: pictures.length })}
                aria-pressed={picture === chosen}
                className="grid size-14 place-items-center rounded-md border border-line bg-art p-1 aria-pressed:border-ink"
                onClick={() => choose(picture)}
              >
                <ProductPicture src={picture} className="h-11" isSmall />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
