import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { languageNames, languages } from '../../../../core/text/languages.ts';
import { Choice } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';

/** The language whose word forms the search knows. */
export function LanguageChoice({ mapping, change }: { readonly mapping: Mapping; change(mapping: Mapping): void }) {
  return (
    <div className={`${shelfRow(false)} flex items-center gap-3 px-3 py-2`}>
      <span className="flex-1">
        The texts are in{' '}
        <span className="text-soft">and words are found in the other forms that language makes of them.</span>
      </span>
      <Choice
        label="Language of the texts"
        value={mapping.language ?? 'en'}
        options={languages.map((language) => [language, languageNames[language]] as const)}
        change={(language) => change({ ...mapping, language })}
      />
    </div>
  );
}
