import { longest } from '../../../../core/setup/terms/limits.ts';
import { day } from '../../../look/dates.ts';
import { TextField } from '../Controls.tsx';
import { DayField } from '../DayField.tsx';

interface About {
  readonly note?: string | undefined;
  readonly since?: string | undefined;
  readonly owner?: string | undefined;
  readonly lookAgain?: string | undefined;
}

const unset = (text: string): string | undefined => (text === '' ? undefined : text);

/** What a rule says for whoever comes upon it later: why it is there, whom to ask, when to look at it again. */
export function AboutRule({ value, change }: { readonly value: About; change(about: About): void }) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px]">
      <TextField
        label="Why it is there"
        placeholder="Why is it there?"
        className="min-w-[240px] flex-1"
        mayBeEmpty
        maxLength={longest.note}
        value={value.note ?? ''}
        change={(note) => change({ ...value, note: unset(note) })}
      />
      <span className="inline-flex items-center gap-1">
        ask
        <TextField
          label="Whom to ask about it"
          placeholder="nobody named"
          className="w-[120px]"
          mayBeEmpty
          maxLength={longest.entryName}
          value={value.owner ?? ''}
          change={(owner) => change({ ...value, owner: unset(owner) })}
        />
      </span>
      <span className="inline-flex items-center gap-1">
        look again on
        <DayField
          label="Day to look at it again"
          value={value.lookAgain ?? ''}
          change={(lookAgain) => change({ ...value, lookAgain: unset(lookAgain) })}
        />
      </span>
      {value.since && <span className="text-soft">since {day(value.since)}</span>}
    </div>
  );
}
