import { useMemo } from 'react';
import { readOwnStyle } from '../../../../core/look/ownStyle.ts';
import { stylePieces } from '../../../../core/look/stylePieces.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Button } from '../../parts/Button.tsx';
import { GrowingText } from '../../parts/GrowingText.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

/** A style sheet of the shop's own, what of it is left out and why, and what it may take hold of. */
export function StyleFields() {
  const { css } = useDeskState().setup.look.style;
  const isChanged = useItemChanged('look', 'style');
  const save = (text: string): void => void edit({ part: 'look', key: 'style', value: { css: text } });
  const { problems } = useMemo(() => readOwnStyle(css), [css]);
  return (
    <>
      <Section
        title="A style sheet of your own"
        note="For whoever writes CSS: it goes before everything else, in the shop and within your own pages, and reaches nothing outside. Nothing can be fetched by it."
        aside={
          <span className="text-[13px] text-soft tabular-nums">
            {css.length.toLocaleString('en')} of {longest.ownStyle.toLocaleString('en')} characters
          </span>
        }
      >
        <GrowingText
          label="Style sheet"
          value={css}
          rows={10}
          longest={longest.ownStyle}
          isCode
          isChanged={isChanged((entry) => entry)}
          change={save}
        />
        <div role="status" className="mt-2 text-[13px]">
          {css.trim() !== '' && problems.length === 0 && <p className="text-soft">All of it is taken.</p>}
          {problems.length > 0 && (
            <>
              <p className="font-semibold">Left out, the rest holds:</p>
              <ul aria-label="Left out" className="mt-1 space-y-0.5">
                {problems.map(({ line, column, says }) => (
                  <li key={`${line}:${column}:${says}`} className="flex gap-2.5">
                    <span className="w-14 shrink-0 text-soft tabular-nums">Line {line}</span>
                    {says}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      </Section>
      <Section title="What it may take hold of" note="These names stay. Click one to begin a rule for it.">
        <ul className="grid grid-cols-1 gap-x-4 gap-y-1 min-[520px]:grid-cols-2">
          {stylePieces.map(([name, says]) => (
            <li key={name} className="flex items-baseline gap-2 text-[13px]">
              <Button
                className="py-0.5 font-mono text-[12.5px]"
                aria-label={`Begin a rule for ${name}: ${says}`}
                disabled={css.length + name.length + 24 > longest.ownStyle}
                onClick={() => save(`${css.trim() && `${css.trimEnd()}\n\n`}[part~="${name}"] {\n  \n}\n`)}
              >
                {name}
              </Button>
              <span className="text-soft">{says}</span>
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}
