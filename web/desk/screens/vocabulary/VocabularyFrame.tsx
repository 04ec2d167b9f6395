import { Link, Outlet } from 'react-router';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { ScreenHead } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { changedVocabularyPages, vocabularyPages } from './vocabularyPages.ts';

/** Tune, second screen: the shopper's words and the shop's words brought together. */
export function VocabularyFrame() {
  const { changes } = useDeskState();
  const changed = changedVocabularyPages(changes);
  return (
    <>
      <ScreenHead title="Vocabulary">
        What shoppers’ words mean in your shop. The shop window shows a change at once.{' '}
        <Link to="/proposals" className="text-press underline">
          See proposals
        </Link>
      </ScreenHead>
      <PageTabs
        label="Vocabulary pages"
        pages={vocabularyPages.map(({ to, label }) => ({ to, label, isChanged: changed.has(to) }))}
      />
      <Outlet />
    </>
  );
}
