import { languageNames } from '../../core/text/languages.ts';
import { useTexts } from '../look/texts.tsx';

/** The languages the shop's filters are named in. */
export function LanguageMenu({
  languages,
  chosen,
  choose,
}: {
  readonly languages: readonly string[];
  readonly chosen: string;
  choose(language: string): void;
}) {
  const { say } = useTexts();
  const named: Readonly<Record<string, string>> = languageNames;
  return (
    <select
      aria-label={say('language')}
      className="order-last rounded-md border bg-surface px-2 py-1 text-[13px]"
      value={chosen}
      onChange={(event) => choose(event.target.value)}
    >
      {languages.map((language) => (
        <option key={language} value={language}>
          {named[language] ?? language}
        </option>
      ))}
    </select>
  );
}
