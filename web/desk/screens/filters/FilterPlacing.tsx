import type { FilterLayout } from '../../../../core/setup/parts/storefront.ts';
import type { FilterPosition } from '../../../../core/setup/terms/filterTerms.ts';
import { type Language, languageNames, languages } from '../../../../core/text/languages.ts';
import { Choice, Switch } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useCatalog } from '../../state/catalog.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { withLanguage } from './shopLanguages.ts';

const positions: readonly (readonly [FilterPosition, string])[] = [
  ['left', 'on the left'],
  ['right', 'on the right'],
  ['above', 'above the results'],
  ['drawer', 'in a drawer'],
];
const narrower = positions.slice(2) as readonly (readonly ['above' | 'drawer', string])[];

/** Where filters stand by the width of the window, what a new search does with them, and the languages they are named in. */
export function FilterPlacing() {
  const { setup } = useDeskState();
  const { filters: layout, languages: chosen } = setup.storefront;
  const change = (to: Partial<FilterLayout>): void =>
    void edit({ part: 'storefront', key: 'filters', value: { ...layout, ...to } });
  const { data: catalog } = useCatalog();
  const own = catalog?.language ?? 'en';
  const toggle = (language: Language): void =>
    void edit({ part: 'storefront', key: 'languages', value: { list: withLanguage(chosen.list, own, language) } });
  return (
    <Section
      title="Where they stand"
      note="By the width of the shopper’s window; try the widths above the shop window."
    >
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 text-[13px]">
        <span>
          Wide{' '}
          <Choice
            label="Filters in a wide window"
            value={layout.wide}
            options={positions}
            change={(wide) => change({ wide })}
          />
        </span>
        <span>
          Medium{' '}
          <Choice
            label="Filters in a middling window"
            value={layout.middle}
            options={narrower}
            change={(middle) => change({ middle })}
          />
        </span>
        <span>
          Phone{' '}
          <Choice
            label="Filters on a phone"
            value={layout.narrow}
            options={narrower}
            change={(narrow) => change({ narrow })}
          />
        </span>
        <Switch
          label="A new search keeps the filters that were chosen"
          shown="A new search keeps what was chosen"
          isOn={layout.keep}
          change={(keep) => change({ keep })}
        />
      </div>
      <fieldset className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
        <legend className="float-left mr-4">Languages shoppers may choose from</legend>
        {languages.map((language) => (
          <label key={language} className="inline-flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-press"
              checked={language === own || chosen.list.includes(language)}
              disabled={language === own}
              onChange={() => toggle(language)}
            />
            {languageNames[language]}
          </label>
        ))}
        <span className="basis-full text-[12.5px] text-soft">
          {chosen.list.length > 1
            ? `${languageNames[own]} is the catalog’s own language. Each filter’s page has its names in the others.`
            : `${languageNames[own]} is the catalog’s own language. With another one, shoppers get a menu, and filters can be named in each.`}
        </span>
      </fieldset>
    </Section>
  );
}
