import type { BoxShape as Shape } from '../../../../core/setup/parts/searchBox.ts';
import {
  boxWidths,
  linePieces,
  longestHeading,
  mostLetters,
  pieceNames,
  widthNames,
} from '../../../../core/setup/terms/boxTerms.ts';
import { languageNames } from '../../../../core/text/languages.ts';
import { Choice, NumberField, Switch, TextField } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useShopLanguages } from '../../state/shopLanguages.ts';

/** What holds for the box at every moment. */
export function BoxShape() {
  const { setup } = useDeskState();
  const { shape } = setup.searchBox;
  const isChanged = useChanged('searchBox')('shape');
  const languages = useShopLanguages();
  const save = (change: Partial<Shape>): void =>
    void edit({ part: 'searchBox', key: 'shape', value: { ...shape, ...change } });
  return (
    <Section title="The box itself">
      <div className={`${shelfRow(isChanged)} space-y-2.5 px-3 py-2 text-[13px]`}>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <span>
            What hangs under it is as wide as{' '}
            <Choice
              label="Width of what hangs under the box"
              value={shape.wide}
              options={boxWidths.map((width) => [width, widthNames[width]] as const)}
              change={(wide) => save({ wide })}
            />
          </span>
          <span>
            Suggests from letter{' '}
            <NumberField
              label="Letters typed before anything is suggested"
              value={shape.letters}
              least={1}
              most={mostLetters}
              className="w-[52px]"
              change={(letters) => save({ letters: Math.round(letters) })}
            />
          </span>
          {languages.map((language) => {
            const inIt = languages.length > 1 ? ` in ${languageNames[language]}` : '';
            return (
              <span key={language} className="inline-flex items-center gap-1.5">
                The empty box says{inIt}
                <TextField
                  label={`What the empty box says${inIt}`}
                  value={shape.placeholder?.[language] ?? ''}
                  placeholder="Search the shop"
                  mayBeEmpty
                  maxLength={longestHeading}
                  change={(text) => {
                    const { [language]: _, ...others } = shape.placeholder ?? {};
                    save({ placeholder: text === '' ? others : { ...others, [language]: text } });
                  }}
                />
              </span>
            );
          })}
        </div>
        <fieldset className="flex flex-wrap items-center gap-1.5">
          <legend className="float-left mr-2">A product’s line shows its title and</legend>
          {linePieces.map((piece) => {
            const isOn = shape.line.includes(piece);
            return (
              <button
                key={piece}
                type="button"
                aria-pressed={isOn}
                className={`min-h-6 rounded-full border px-3 py-0.5 ${
                  isOn ? 'border-edge bg-edge font-semibold text-surface' : 'border-line hover:border-edge'
                }`}
                onClick={() =>
                  save({
                    line: linePieces.filter((each) => (each === piece ? !isOn : shape.line.includes(each))),
                  })
                }
              >
                {pieceNames[piece]}
              </button>
            );
          })}
        </fieldset>
        <div className="flex flex-wrap gap-x-6 gap-y-2">
          <Switch
            label="Tell what was typed apart from how it may go on"
            shown="Tell what was typed apart from how it may go on"
            isOn={shape.marks}
            change={(marks) => save({ marks })}
          />
          <Switch
            label="The last line leads to all results"
            shown="The last line leads to all results"
            isOn={shape.allResults}
            change={(allResults) => save({ allResults })}
          />
          <Switch
            label="Searches can be spoken, where the browser takes dictation"
            shown="Searches can be spoken, where the browser takes dictation"
            isOn={shape.dictation ?? false}
            change={(dictation) => save({ dictation })}
          />
        </div>
      </div>
    </Section>
  );
}
