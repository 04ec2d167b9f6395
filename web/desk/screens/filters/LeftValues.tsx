import type { ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { usualRestLabel } from '../../../../core/setup/terms/filterTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { count, counted } from '../../../look/price.ts';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, Nothing, Section } from '../../parts/Screen.tsx';
import type { CountedValue } from './groupMembers.ts';

/** The values in no group, what shoppers see of them, and a group for each; `left` is null while they are read. */
export function LeftValues({
  own,
  left,
  set,
  put,
}: {
  readonly own: ValueGroups;
  readonly left: readonly CountedValue[] | null;
  set(to: Partial<ValueGroups>): void;
  put(value: string, to: string): void;
}) {
  return (
    <Section
      title={`In no group: ${counted(left?.length ?? 0, 'value')}`}
      aside={
        <Choice
          label="Values in no group"
          value={own.rest}
          options={[
            ['own', 'shown as they are'],
            ['together', `shown together as “${own.restLabel ?? usualRestLabel}”`],
            ['hidden', 'not shown'],
          ]}
          change={(rest) => set({ rest })}
        />
      }
    >
      {!left ? (
        <Loading what="Reading the values" />
      ) : left.length === 0 ? (
        <Nothing>Every value of the catalog is in a group.</Nothing>
      ) : (
        <RowList label="Values in no group" items={left} rowHeight={36} mostHeight={300}>
          {({ value, products }) => (
            <>
              <span className="min-w-0 flex-1 truncate">{value}</span>
              <span className="text-[12.5px] text-soft">{count(products)} products</span>
              <Choice
                label={`Group for ${value}`}
                value=""
                options={[['', 'put into …'], ...own.groups.map((group) => [group.label, group.label] as const)]}
                change={(to) => to && put(value, to)}
              />
            </>
          )}
        </RowList>
      )}
      {own.rest === 'together' && (
        <p className="mt-2 text-[13px]">
          Shown as{' '}
          <TextField
            label="What values in no group are shown as"
            className="w-36"
            maxLength={longest.label}
            value={own.restLabel ?? usualRestLabel}
            change={(restLabel) => set({ restLabel })}
          />
        </p>
      )}
    </Section>
  );
}
