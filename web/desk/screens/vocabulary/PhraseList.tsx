import { most } from '../../../../core/setup/terms/limits.ts';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { WordChips } from './WordChips.tsx';

const key = 'phrases';

/** Words that belong together: found side by side before apart. */
export function PhraseList() {
  const { vocabulary } = useDeskState().setup;
  const isChanged = useChanged('vocabulary')(key);
  const entry = vocabulary[key];
  const phrases = entry?.what === 'phrases' ? entry.phrases : [];
  const save = (all: readonly string[]): void =>
    void edit({
      part: 'vocabulary',
      key,
      value: all.length > 0 ? { what: 'phrases', phrases: all.slice(0, most.words) } : null,
    });
  return (
    <Section
      title="Phrases"
      note="Where a search has them side by side, products that have them so are shown, and only where there are none those that have them apart. Written as one word they are found as well."
    >
      <div className={`${shelfRow(isChanged)} px-3 py-2`}>
        <WordChips label="Phrases" placeholder="palette knife, cold press" words={phrases} change={save} phrases />
      </div>
    </Section>
  );
}
