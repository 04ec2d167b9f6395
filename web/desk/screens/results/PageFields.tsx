import { Link } from 'react-router';
import type { PageArrangement } from '../../../../core/setup/parts/resultsPage/page.ts';
import { type PagePiece, pagePieceNames, pagePieces } from '../../../../core/setup/terms/pageTerms.ts';
import { withAllOf } from '../../../../core/setup/terms/pieces.ts';
import { Section } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { PieceList } from './PieceList.tsx';

const always: Partial<Record<PagePiece, string>> = {
  collection: 'on its own page, with the way out',
  notices: 'always: what was corrected, or left out',
  results: 'always',
  more: 'always: pages, or what shows more',
};

/** What the page of results is made of, in order. */
export function PageFields() {
  const { page } = useDeskState().setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'page');
  const ofPiece = (entry: unknown, piece: PagePiece): unknown => {
    const arrangement = entry as PageArrangement | null;
    const place = arrangement?.pieces.findIndex((each) => each.piece === piece) ?? -1;
    return [place, arrangement?.pieces[place]?.on];
  };
  return (
    <Section
      title="The page"
      note={
        <>
          Drag a piece to its place, or take it up with the space bar. Filters at the side stand beside all that comes
          after them; at which side, above or in a drawer is said under{' '}
          <Link className="text-press underline" to="/filters">
            Filters
          </Link>
          .
        </>
      }
    >
      <PieceList
        label="Pieces of the results page, in order"
        pieces={withAllOf(pagePieces, page.pieces)}
        names={pagePieceNames}
        where="on the results page"
        always={always}
        isChanged={(piece) => isChanged((entry) => ofPiece(entry, piece))}
        save={(pieces) => void edit({ part: 'resultsPage', key: 'page', value: { pieces } })}
      />
    </Section>
  );
}
