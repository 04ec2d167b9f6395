import type { Card } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';

/** The variants of a product on its card, by what tells them apart: as dots of their colour, or by name. */
export function VariantChoices({
  choices: { label, of, more },
  shown,
  choose,
}: {
  readonly choices: NonNullable<Card['choices']>;
  readonly shown: string;
  choose(variant: string): void;
}) {
  const { say, count } = useTexts();
  return (
    // Above what covers the card.
    <ul part="variants" aria-label={label} className="relative z-10 mt-1 flex w-full flex-wrap items-center gap-1">
      {of.map((choice) => (
        <li key={choice.id} className="flex">
          <button
            type="button"
            aria-label={choice.available ? choice.label : `${choice.label}: ${say('card.variantSoldOut')}`}
            title={choice.label}
            aria-pressed={choice.id === shown}
            className={
              choice.colour
                ? 'grid size-6 place-items-center rounded-full border border-transparent aria-pressed:border-ink'
                : 'min-h-6 min-w-6 rounded border border-line px-1.5 text-[12px] aria-pressed:border-ink aria-pressed:font-semibold'
            }
            onClick={() => choose(choice.id)}
          >
            {choice.colour ? (
              <span
                aria-hidden
                className={`size-4 rounded-full border border-line ${choice.available ? '' : 'opacity-40'}`}
                // Its colour is the merchandiser's own: no class can say it.
                style={{ background: choice.colour }}
              />
            ) : (
              <span className={choice.available ? '' : 'text-soft line-through'}>{choice.label}</span>
            )}
          </button>
        </li>
      ))}
      {more > 0 && (
        <li className="text-[12px] text-soft">
          <span aria-hidden>+{count(more)}</span>
          <span className="sr-only">{say('card.moreVariants', { count: more })}</span>
        </li>
      )}
    </ul>
  );
}
