import { useState } from 'react';
import { own } from '../../../../core/base/named.ts';
import type { MessageKey } from '../../../../core/messages/en.ts';
import { shippedMessages } from '../../../../core/messages/messages.ts';
import { longestWording, wordingGroups, wordingKey } from '../../../../core/setup/terms/wordingTerms.ts';
import { type Language, languageNames } from '../../../../core/text/languages.ts';
import { Choice, Switch, TextField } from '../../parts/Controls.tsx';
import { Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useShopLanguages } from '../../state/shopLanguages.ts';
import { wordingProblem } from './wordingProblem.ts';

/** Shopfront: every text that shoppers read, by language, with one's own in place of what comes with the shop. */
export function Words() {
  const { setup } = useDeskState();
  const languages = useShopLanguages();
  const [chosen, setChosen] = useState<Language | null>(null);
  const [sought, setSought] = useState('');
  const [onlyOwn, setOnlyOwn] = useState(false);
  const language = chosen !== null && languages.includes(chosen) ? chosen : languages[0]!;
  const ownText = (key: MessageKey, of: Language): string | undefined => own(setup.wording, wordingKey(of, key))?.text;
  const isWorded = (key: MessageKey): boolean => languages.some((each) => ownText(key, each) !== undefined);
  const wanted = sought.trim().toLowerCase();
  const isShown = (key: MessageKey): boolean =>
    (!onlyOwn || isWorded(key)) &&
    [shippedMessages[language][key], ownText(key, language) ?? ''].some((text) => text.toLowerCase().includes(wanted));
  const groups = wordingGroups
    .map(({ name, keys }) => ({ name, keys: keys.filter(isShown) }))
    .filter(({ keys }) => keys.length > 0);
  return (
    <>
      <ScreenHead title="Words and languages">
        Every text that shoppers read, as it comes with the shop and as you word it. Headings of the search box and
        messages of the empty shelf are worded on their own screens.
      </ScreenHead>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2 text-[13.5px]">
        {languages.length > 1 && (
          <Choice<Language>
            label="Language of the texts"
            value={language}
            options={languages.map((each) => [each, languageNames[each]] as const)}
            change={setChosen}
          />
        )}
        <input
          type="search"
          aria-label="Look for a text"
          placeholder="Look for a text"
          className="w-[190px] rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge"
          value={sought}
          onChange={({ target }) => setSought(target.value)}
        />
        <Switch label="Only those of your own" shown="Only those of your own" isOn={onlyOwn} change={setOnlyOwn} />
      </div>
      {groups.length === 0 && <Nothing>{onlyOwn ? 'No text of your own.' : `No text has “${sought.trim()}”.`}</Nothing>}
      {groups.map(({ name, keys }) => (
        <Section key={name} title={name}>
          <ul aria-label={name} className="space-y-[5px]">
            {keys.map((key) => (
              <li key={key}>
                <Row
                  key={`${language} ${key}`}
                  {...{ message: key, language }}
                  text={ownText(key, language) ?? ''}
                  missing={
                    isWorded(key) && ownText(key, language) === undefined
                      ? languages.filter((each) => ownText(key, each) !== undefined)
                      : []
                  }
                />
              </li>
            ))}
          </ul>
        </Section>
      ))}
    </>
  );
}

function Row({
  message,
  language,
  text,
  missing,
}: {
  readonly message: MessageKey;
  readonly language: Language;
  /** One's own; empty for none. */
  readonly text: string;
  /** Languages in which it is worded, where it is not in this one. */
  readonly missing: readonly Language[];
}) {
  const key = wordingKey(language, message);
  const isChanged = useChanged('wording')(key);
  const [refused, setRefused] = useState<string | null>(null);
  const shipped = shippedMessages[language][message];
  return (
    <div className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-3 text-[13px]`}>
      <p className="break-words text-soft">{shipped}</p>
      <TextField
        label={`Your own words for: ${shipped}`}
        placeholder="as it comes with the shop"
        className="mt-1 w-full"
        mayBeEmpty
        maxLength={longestWording}
        value={text}
        change={(next) => {
          const problem = next === '' ? null : wordingProblem(message, next);
          setRefused(problem);
          if (problem === null) void edit({ part: 'wording', key, value: next === '' ? null : { text: next } });
        }}
      />
      <p role="status" className="mt-1 text-wrong empty:hidden">
        {refused && `Not saved. ${refused}`}
      </p>
      {missing.length > 0 && (
        <p className="mt-0.5 text-soft">Worded in {missing.map((each) => languageNames[each]).join(', ')}, not here.</p>
      )}
    </div>
  );
}
