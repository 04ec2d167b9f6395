import type { CardArrangement } from '../../../../core/setup/parts/resultsPage/card.ts';
import { Section } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { CardPieces } from './CardPieces.tsx';
import { OwnCards } from './OwnCards.tsx';
import { useExampleCards } from './useExampleCards.ts';

/** The card that products usually have, and those of their own. */
export function CardFields() {
  const { card } = useDeskState().setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'card');
  const exampleOf = useExampleCards();
  return (
    <>
      <Section
        title="The card"
        note="Drag a piece to its place, or take it up with the space bar. The product is one that the trial search finds; what one lacks leaves no gap. Which attributes are shown is said under Attributes; badges have a page of their own."
      >
        <CardPieces
          card={card}
          example={exampleOf(undefined)}
          isChanged={(of) => isChanged((entry) => of((entry as CardArrangement | null) ?? undefined))}
          save={(change) => void edit({ part: 'resultsPage', key: 'card', value: { ...card, ...change } })}
        />
      </Section>
      <OwnCards exampleOf={exampleOf} />
    </>
  );
}
