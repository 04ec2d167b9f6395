import { Fragment } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';

/** What a collection's page says of it: where it belongs, its picture and text, and the collections below it. */
export function CollectionHead({
  collection: { title, text, picture, above, below },
  isSearched,
  open,
  leave,
}: {
  readonly collection: NonNullable<SearchAnswer['collection']>;
  /** Whether a search within it is shown, and not its page. */
  readonly isSearched: boolean;
  open(id: string): void;
  leave(): void;
}) {
  const { say } = useTexts();
  const link = (label: string, act: () => void) => (
    <button type="button" className="text-press underline" onClick={act}>
      {label}
    </button>
  );
  return (
    <>
      {above.length > 0 && (
        <nav aria-label={say('collection.where')} className="text-[13px] text-soft">
          {above.map((each) => (
            <Fragment key={each.id}>
              {link(each.title, () => open(each.id))}
              {' › '}
            </Fragment>
          ))}
          {title}
        </nav>
      )}
      {picture && !isSearched && (
        <img src={picture} alt="" className="mt-2 max-h-[180px] w-full rounded-lg object-cover" />
      )}
      <p className="text-[13px] text-soft">
        {isSearched ? say('collection.within', { title }) : text} {link(say('collection.leave'), leave)}
      </p>
      {below.length > 0 && !isSearched && (
        <nav aria-label={say('collection.below', { title })} className="mt-1.5 flex flex-wrap gap-2">
          {below.map((each) => (
            <button
              key={each.id}
              type="button"
              className="rounded-full border px-3 py-1 font-semibold text-[13px] hover:border-edge"
              onClick={() => open(each.id)}
            >
              {each.title}
            </button>
          ))}
        </nav>
      )}
    </>
  );
}
