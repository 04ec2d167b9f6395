import { useParams } from 'react-router';
import { Button } from '../../parts/Button.tsx';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { ScreenHead } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useTrial } from '../../state/trial.ts';
import { LadderSteps } from './LadderSteps.tsx';
import { ShelfContentFields } from './ShelfContentFields.tsx';
import { SpecialShelves } from './SpecialShelves.tsx';

/** A search that no shop of this kind answers, for trying the empty shelf out. */
const hopeless = 'zebra xylophone';

/** Shopfront: what is tried before a search finds nothing, and what a shopper then sees. */
export function EmptyShelfScreen() {
  const { page } = useParams();
  const { setup, changes } = useDeskState();
  const isChanged = useChanged('emptyShelf');
  const search = useTrial((state) => state.search);
  const { content } = setup.emptyShelf;
  return (
    <>
      <ScreenHead
        title="Empty shelf"
        aside={<Button onClick={() => search(hopeless)}>Try a search that finds nothing</Button>}
      >
        What is tried before a search finds nothing, and what a shopper sees then. A way on is better than an apology.
      </ScreenHead>
      <PageTabs
        label="Pages of the empty shelf"
        pages={[
          { to: '/empty-shelf', label: 'What shoppers see', isChanged: isChanged('content') },
          { to: '/empty-shelf/steps', label: 'Steps before it', isChanged: isChanged('ladder') },
          {
            to: '/empty-shelf/special',
            label: 'Special pages',
            isChanged: changes.some(({ part }) => part === 'specialShelves'),
          },
        ]}
      />
      {page === 'steps' ? (
        <LadderSteps />
      ) : page === 'special' ? (
        <SpecialShelves />
      ) : (
        <ShelfContentFields
          of="the empty shelf"
          content={content}
          isChanged={isChanged('content')}
          save={(change) => void edit({ part: 'emptyShelf', key: 'content', value: { ...content, ...change } })}
        />
      )}
    </>
  );
}
