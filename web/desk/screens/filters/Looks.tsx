import type { AttributeRow } from '../../../../api/endpoints.ts';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { choosesOne, choosesRange, usualFilter } from '../../../../core/setup/terms/filterTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Choice, NumberField, Switch, TextField } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { kindNames, kindsFor } from './filterWords.ts';
import { changeFilter, type FilterChange, useAttributeValues } from './useFilterData.ts';

export interface OfFilter {
  readonly filterKey: string;
  readonly filter: FilterSetting;
}

/** A line of a form: what is decided, and the means to. */
export function Line({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex items-center gap-3 py-1">
      <span className="w-32 shrink-0 text-[13px] text-soft">{name}</span>
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-4 gap-y-1.5 text-[13.5px]">{children}</div>
    </div>
  );
}

/** How a filter looks and behaves. */
export function Looks({ filterKey, filter, attribute }: OfFilter & { readonly attribute: AttributeRow | undefined }) {
  const change = (to: FilterChange): void => changeFilter(filterKey, to);
  const { kind } = filter;
  const isList = !choosesRange(kind) && kind !== 'yesNo';
  const mayChooseSeveral = isList && !choosesOne({ kind }) && kind !== 'bands';
  const kinds = kindsFor(attribute);
  return (
    <Section title="Looks and behaviour">
      <Line name="Label">
        <TextField
          label="Label"
          className="w-56 font-semibold"
          maxLength={longest.label}
          value={filter.label}
          change={(label) => change({ label })}
        />
      </Line>
      <Line name="Help">
        <TextField
          label="Help text"
          className="w-full"
          maxLength={longest.help}
          mayBeEmpty
          placeholder="A sentence shoppers read under the label"
          value={filter.help ?? ''}
          change={(help) => change({ help: help || undefined })}
        />
      </Line>
      <Line name="Kind">
        <Choice
          label="Kind"
          value={kind}
          options={(kinds.includes(kind) ? kinds : [kind, ...kinds]).map((each) => [each, kindNames[each]] as const)}
          change={(next) => change({ kind: next })}
        />
        {kind === 'yesNo' && <YesValue filterKey={filterKey} filter={filter} />}
        {mayChooseSeveral && (
          <Choice
            label="Several chosen values"
            value={filter.match ?? usualFilter.match}
            options={[
              ['any', 'products with any of several'],
              ['all', 'products with all of several'],
              ['one', 'only one can be chosen'],
            ]}
            change={(match) => change({ match: match === 'any' ? undefined : match })}
          />
        )}
      </Line>
      <Line name="Shows">
        <Switch label="Show counts" shown="counts" isOn={filter.counts} change={(counts) => change({ counts })} />
        {isList && (
          <Switch
            label="Show an entry for any value"
            shown="an “any” entry"
            isOn={filter.anyEntry ?? false}
            change={(anyEntry) => change({ anyEntry: anyEntry || undefined })}
          />
        )}
        {mayChooseSeveral && (
          <Switch
            label="Show an entry that chooses all"
            shown="“all of these”"
            isOn={filter.selectAll ?? false}
            change={(selectAll) => change({ selectAll: selectAll || undefined })}
          />
        )}
        <Switch
          label="Collapsed at first"
          shown="collapsed at first"
          isOn={filter.closed ?? false}
          change={(closed) => change({ closed: closed || undefined })}
        />
        {isList && (
          <Switch
            label="Show values that find nothing in grey"
            shown="empty values in grey"
            isOn={filter.greyEmpty ?? false}
            change={(greyEmpty) => change({ greyEmpty: greyEmpty || undefined })}
          />
        )}
        <Switch
          label="Hide where it would not divide the results"
          shown="only where it divides the results"
          isOn={filter.hideUndividing ?? false}
          change={(hideUndividing) => change({ hideUndividing: hideUndividing || undefined })}
        />
      </Line>
      {isList && (
        <Line name="Long lists">
          <span className="inline-flex items-center gap-1.5">
            first
            <NumberField
              label="Values before show more"
              className="w-14"
              value={filter.showFirst ?? usualFilter.showFirst}
              least={1}
              most={100}
              change={(showFirst) => change({ showFirst })}
            />
            values
          </span>
          <span className="inline-flex items-center gap-1.5">
            of at least
            <NumberField
              label="Products a value must have"
              className="w-16"
              value={filter.minimum ?? usualFilter.minimum}
              least={1}
              most={100_000}
              change={(minimum) => change({ minimum: minimum === 1 ? undefined : minimum })}
            />
            products
          </span>
          <Choice
            label="A field that looks through the values"
            value={filter.search === undefined ? 'long' : filter.search ? 'always' : 'never'}
            options={[
              ['long', `search box shown from ${usualFilter.searchFrom} values`],
              ['always', 'search box always shown'],
              ['never', 'no search box'],
            ]}
            change={(when) => change({ search: when === 'long' ? undefined : when === 'always' })}
          />
        </Line>
      )}
    </Section>
  );
}

/** Which value a yes/no switch stands for. */
function YesValue({ filterKey, filter }: OfFilter) {
  const { data } = useAttributeValues(filter.attribute);
  const values = data?.values.slice(0, 100).map(({ value }) => value) ?? [];
  const all = filter.yes && !values.includes(filter.yes) ? [filter.yes, ...values] : values;
  return (
    <Choice
      label="The value that is yes"
      value={filter.yes ?? ''}
      options={[
        ...(filter.yes ? [] : [['', 'choose what is yes'] as const]),
        ...all.map((value) => [value, `yes is “${value}”`] as const),
      ]}
      change={(yes) => changeFilter(filterKey, { yes: yes || undefined })}
    />
  );
}
