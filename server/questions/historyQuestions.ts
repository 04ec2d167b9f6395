import { isChange } from '../../core/setup/entries.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { Workbench } from '../searching/workbench.ts';
import { type HistoryFilter, openHistoryReader } from '../store/historyReader.ts';
import { describeChanges } from './describeChanges.ts';

/** Sentences of one step that are told. */
const sentencesTold = 12;

/** What anybody did, in words. */
export function historyQuestions({ db, storefront, setups, names: namesUnder }: Workbench) {
  const reader = openHistoryReader(db, storefront);
  return {
    /** Steps of the storefront, newest first, at most so many. */
    history(ref: SetupRef, filter: HistoryFilter, limit: number) {
      const names = namesUnder('draft' in ref ? setups.draft(ref).draft() : null);
      return reader.steps(filter, limit).map(({ changes, at, ...step }) => {
        const told = describeChanges(changes.filter(isChange), names);
        const sentences = told.flatMap((change) => change.sentences);
        return {
          ...step,
          at: new Date(at).toISOString(),
          parts: [...new Set(told.map(({ part }) => part))],
          sentences: sentences.slice(0, sentencesTold),
          more: Math.max(0, sentences.length - sentencesTold),
        };
      });
    },
    historyPeople: (_: SetupRef): string[] => reader.people(),
  };
}
