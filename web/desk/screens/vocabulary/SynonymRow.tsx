import { ArrowRight, Trash2, TriangleAlert } from 'lucide-react';
import type { EntryNote } from '../../../../api/vocabularyEndpoints.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { type SynonymEntry, sayingsIn } from '../../../../core/setup/vocabularyCsv.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Switch, TextField } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { edit } from '../../state/edits.ts';
import { synonymText } from './listSynonyms.ts';
import { noteInWords } from './noteInWords.ts';

/** One entry: its words, what it does, on or off. */
export function SynonymRow({
  id,
  entry,
  note,
  isChanged,
}: {
  readonly id: string;
  readonly entry: SynonymEntry;
  readonly note: EntryNote | undefined;
  readonly isChanged: boolean;
}) {
  const sentence = synonymText(entry);
  const save = (next: SynonymEntry | null): void => void edit({ part: 'vocabulary', key: id, value: next });
  const words = (text: string): string[] => sayingsIn(text).slice(0, most.sayings);
  return (
    <li className={`${shelfRow(isChanged)} px-3 py-1.5`}>
      <div className="flex items-center gap-2">
        {entry.what === 'synonyms' ? (
          <TextField
            label={`Synonyms: ${sentence}`}
            value={entry.words.join(', ')}
            maxLength={most.sayings * longest.saying}
            className="min-w-0 flex-1"
            change={(text) => words(text).length >= 2 && save({ ...entry, words: words(text) })}
          />
        ) : (
          <>
            <TextField
              label={`What shoppers say: ${sentence}`}
              value={entry.from.join(', ')}
              maxLength={most.sayings * longest.saying}
              className="min-w-0 flex-1"
              change={(text) => save({ ...entry, from: words(text) })}
            />
            <ArrowRight size={14} aria-label="finds" className="shrink-0 text-soft" />
            <TextField
              label={`What it finds: ${sentence}`}
              value={entry.to.join(', ')}
              maxLength={most.sayings * longest.saying}
              className="min-w-0 flex-1"
              change={(text) => save({ ...entry, to: words(text) })}
            />
          </>
        )}
        <Switch label={`${sentence}, on`} shown="On" isOn={entry.on} change={(on) => save({ ...entry, on })} />
        <IconButton label={`Remove ${sentence}`} onClick={() => save(null)}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      <div className="mt-1 flex items-start gap-2 text-[12.5px] text-soft">
        <TextField
          label={`Name of ${sentence}`}
          placeholder="Name"
          value={entry.name ?? ''}
          maxLength={longest.entryName}
          mayBeEmpty
          className="w-28 shrink-0 py-0.5 text-[12.5px]"
          change={(name) => {
            const { name: _, ...nameless } = entry;
            save(name === '' ? nameless : { ...nameless, name });
          }}
        />
        <p className="min-w-0 flex-1 pt-0.5">
          {entry.on ? (note ? noteInWords(note) : 'Comparing searches …') : 'Switched off.'}
        </p>
      </div>
      {entry.on &&
        note?.problems.map((problem) => (
          <p key={problem.text} className="flex items-start gap-1.5 text-[12.5px]">
            <TriangleAlert size={13} aria-hidden className="mt-[3px] shrink-0 text-soft" />
            {problem.text}
          </p>
        ))}
    </li>
  );
}
