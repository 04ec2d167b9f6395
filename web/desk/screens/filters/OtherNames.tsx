import { useState } from 'react';
import { own } from '../../../../core/base/named.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { type Language, languageNames } from '../../../../core/text/languages.ts';
import { valueInWords } from '../../../look/filterWords.ts';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { Line, type OfFilter } from './Looks.tsx';
import { changeFilter, useTrialFilters } from './useFilterData.ts';

/** What a filter and its values are called in the storefront's other languages. */
export function OtherNames({ filterKey, filter }: OfFilter) {
  const { setup } = useDeskState();
  const [, ...others] = setup.storefront.languages.list;
  const [picked, setPicked] = useState<Language | null>(null);
  const { answer } = useTrialFilters();
  const language = picked && others.includes(picked) ? picked : others[0];
  if (!language) return null;
  const names = filter.names?.[language] ?? { values: {} };
  const shown = answer?.filters.find(({ key }) => key === filterKey);
  const set = (to: Partial<typeof names>): void =>
    changeFilter(filterKey, { names: { ...filter.names, [language]: { ...names, ...to } } });
  const setValue = (value: string, text: string): void => {
    const { [value]: _, ...rest } = names.values;
    set({ values: text ? { ...rest, [value]: text } : rest });
  };
  const inList = shown?.values.map((value) => ({ value: value.value, name: valueInWords(shown, value) })) ?? [];
  const elsewhere = Object.keys(names.values).filter((value) => !inList.some((each) => each.value === value));
  return (
    <Section
      title="Other languages"
      note="What is left empty shows as it is."
      aside={
        <Choice
          label="Language of the names"
          value={language}
          options={others.map((each): [Language, string] => [each, languageNames[each]])}
          change={(next: Language) => setPicked(next)}
        />
      }
    >
      <Line name="Label">
        <TextField
          label={`Label in ${languageNames[language]}`}
          mayBeEmpty
          maxLength={longest.label}
          className="w-56"
          placeholder={filter.label}
          value={names.label ?? ''}
          change={(label) => set({ label: label || undefined })}
        />
      </Line>
      <Line name="Help">
        <TextField
          label={`Help in ${languageNames[language]}`}
          mayBeEmpty
          maxLength={longest.help}
          className="w-full"
          placeholder={filter.help ?? ''}
          value={names.help ?? ''}
          change={(help) => set({ help: help || undefined })}
        />
      </Line>
      <RowList
        label={`Values in ${languageNames[language]}`}
        items={[...inList, ...elsewhere.map((value) => ({ value, name: value }))]}
        rowHeight={38}
        mostHeight={260}
        keyOf={({ value }) => `${language} ${value}`}
      >
        {({ value, name }) => (
          <>
            <span className="w-40 shrink-0 truncate">{name}</span>
            <TextField
              label={`${name} in ${languageNames[language]}`}
              mayBeEmpty
              maxLength={longest.label}
              className="min-w-0 flex-1"
              placeholder={name}
              value={own(names.values, value) ?? ''}
              change={(text) => setValue(value, text)}
            />
          </>
        )}
      </RowList>
    </Section>
  );
}
