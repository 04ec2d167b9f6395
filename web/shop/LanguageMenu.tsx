import { languageNames } from '../../core/text/languages.ts';

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
  const named: Readonly<Record<string, string>> = languageNames;
  return (
    <select
      aria-label="Language"
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
