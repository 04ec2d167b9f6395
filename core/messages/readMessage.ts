import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser';

/** What a message names: its values, and the marks that stand around words, as `<b>`. */
export interface MessageNames {
  readonly values: readonly string[];
  readonly marks: readonly string[];
}

/** Reads a message as ICU has it; or says where it cannot be read: at which character, counted from 0. */
export function readMessage(text: string): MessageNames | { readonly problem: string; readonly at: number } {
  const [values, marks] = [new Set<string>(), new Set<string>()];
  const visit = (elements: readonly MessageFormatElement[]): void => {
    for (const element of elements) {
      if (element.type === TYPE.literal || element.type === TYPE.pound) continue;
      if (element.type === TYPE.tag) {
        marks.add(element.value);
        visit(element.children);
        continue;
      }
      values.add(element.value);
      if (element.type === TYPE.plural || element.type === TYPE.select)
        for (const { value } of Object.values(element.options)) visit(value);
    }
  };
  try {
    visit(parse(text));
  } catch (error) {
    const { message, location } = error as Error & {
      readonly location?: { readonly start: { readonly offset: number } };
    };
    return { problem: message, at: location?.start.offset ?? 0 };
  }
  return { values: [...values], marks: [...marks] };
}
