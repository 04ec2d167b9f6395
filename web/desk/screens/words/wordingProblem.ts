import type { MessageKey } from '../../../../core/messages/en.ts';
import { shippedMessages } from '../../../../core/messages/messages.ts';
import { readMessage } from '../../../../core/messages/readMessage.ts';

/** What is wrong with an own text for a key, in a sentence; null where shoppers can read it. */
export function wordingProblem(key: MessageKey, text: string): string | null {
  const read = readMessage(text);
  const shipped = readMessage(shippedMessages.en[key]);
  if ('problem' in read) return 'It cannot be read: a brace or a mark is not closed.';
  if ('problem' in shipped) return null;
  const unknown = read.values.filter((name) => !shipped.values.includes(name));
  if (unknown.length > 0) {
    const there = shipped.values.map((name) => `{${name}}`).join(', ');
    return `There is no {${unknown[0]}} here${there ? `; there is ${there}` : ''}.`;
  }
  const marks = read.marks.filter((name) => !shipped.marks.includes(name));
  return marks.length > 0 ? `There is no mark <${marks[0]}> here.` : null;
}
