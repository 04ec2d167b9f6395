import { Chip } from './Chip.tsx';
import { TextField } from './Controls.tsx';

/** Short texts as chips, each with a way to take it off, and a field for one more. */
export function TextChips({
  texts,
  add,
  placeholder = add,
  takeOff,
  most,
  longest,
  change,
}: {
  readonly texts: readonly string[];
  /** What the field is called. */
  readonly add: string;
  readonly placeholder?: string;
  takeOff(text: string): string;
  readonly most: number;
  readonly longest: number;
  change(texts: string[]): void;
}) {
  return (
    <>
      {texts.map((text) => (
        <Chip key={text} takeOff={takeOff(text)} remove={() => change(texts.filter((each) => each !== text))}>
          {text}
        </Chip>
      ))}
      {texts.length < most && (
        <TextField
          key={texts.length}
          label={add}
          placeholder={placeholder}
          className="w-[190px]"
          mayBeEmpty
          maxLength={longest}
          value=""
          change={(text) => !texts.includes(text) && change([...texts, text])}
        />
      )}
    </>
  );
}
