import { shippedMessages } from '../../../../core/messages/messages.ts';
import type { BoxShape as Shape } from '../../../../core/setup/parts/searchBox.ts';
import {
  boxWidths,
  freeWidth,
  linePieces,
  longestButton,
  longestHeading,
  mostLetters,
  pieceNames,
  widthNames,
} from '../../../../core/setup/terms/boxTerms.ts';
import { type Language, languageNames } from '../../../../core/text/languages.ts';
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
            Width of what hangs under it:{' '}
            <Choice
              label="Width of what hangs under the box"
              value={shape.wide}
              options={boxWidths.map(
                (width) => [width, width === 'free' ? widthNames.free : `that of ${widthNames[width]}`] as const,
              )}
              change={(wide) => save({ wide })}
            />
            {shape.wide === 'free' && (
              <>
                {' '}
                <NumberField
                  label="Pixels that it is wide"
                  value={shape.pixels ?? freeWidth.usual}
                  least={freeWidth.least}
                  most={freeWidth.most}
                  className="w-[72px]"
                  change={(pixels) => save({ pixels: Math.round(pixels) })}
                />
              </>
            )}
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
              <span key={language} className="inline-flex flex-wrap items-center gap-x-5 gap-y-2">
                <OwnText
                  shown={`The empty box says${inIt}`}
                  label={`What the empty box says${inIt}`}
                  usual={shippedMessages[language]['box.says']}
                  longest={longestHeading}
                  texts={shape.placeholder}
                  change={(placeholder) => save({ placeholder })}
                  {...{ language }}
                />
                <OwnText
                  shown={`Its button says${inIt}`}
                  label={`What the button says${inIt}`}
                  usual="nothing: a glass"
                  longest={longestButton}
                  texts={shape.button}
                  change={(button) => save({ button })}
                  {...{ language }}
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

type Texts = NonNullable<Shape['placeholder']>;

/** A text in one of the shop's languages; empty, the usual one is shown. */
function OwnText({
  shown,
  label,
  usual,
  longest,
  texts,
  language,
  change,
}: {
  readonly shown: string;
  readonly label: string;
  readonly usual: string;
  readonly longest: number;
  readonly texts: Texts | undefined;
  readonly language: Language;
  change(texts: Texts): void;
}) {
  return (
    <span className="inline-flex items-center gap-1.5">
      {shown}
      <TextField
        label={label}
        value={texts?.[language] ?? ''}
        placeholder={usual}
        mayBeEmpty
        maxLength={longest}
        change={(text) => {
          const { [language]: _, ...others } = texts ?? {};
          change(text === '' ? others : { ...others, [language]: text });
        }}
      />
    </span>
  );
}
