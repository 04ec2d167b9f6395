import { Ask } from '../parts/Ask.tsx';
import { useAskedAboutOthers } from '../state/edits.ts';

/** Asked where undo or redo would go over what somebody else changed since. */
export function ChangedSince() {
  const { asked } = useAskedAboutOthers();
  if (!asked) return null;
  const { who, sentences, answer } = asked;
  return (
    <Ask
      title={`${who.join(' and ') || 'Somebody'} changed this since`}
      description="Nothing is done yet. As it is now, against what it would be:"
      close={() => useAskedAboutOthers.setState({ asked: null })}
      answers={[
        { label: 'Do it all the same', answer: () => answer('take') },
        { label: 'Leave it', answer: () => answer('keep') },
      ]}
    >
      <ul className="mt-2 max-h-[40vh] space-y-1 overflow-y-auto">
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}.</li>
        ))}
      </ul>
    </Ask>
  );
}
