import { Mic } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useTexts } from '../../look/texts.tsx';

/** What browsers that take dictation have, under either name. */
interface Recognition {
  lang: string;
  onresult: ((event: { readonly results: ArrayLike<ArrayLike<{ readonly transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  start(): void;
  abort(): void;
}
type Recognizes = new () => Recognition;
const recognition = (): Recognizes | undefined => {
  const browser = window as unknown as { SpeechRecognition?: Recognizes; webkitSpeechRecognition?: Recognizes };
  return browser.SpeechRecognition ?? browser.webkitSpeechRecognition;
};

/** A button that writes down what is spoken; nothing where the browser takes no dictation. */
export function Dictation({ language, spoken }: { readonly language: string; spoken(text: string): void }) {
  const [isListening, setListening] = useState(false);
  const running = useRef<Recognition | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const Recognizer = recognition();
  const { say } = useTexts();
  if (!Recognizer) return null;
  const listen = (): void => {
    if (running.current) {
      running.current.abort();
      return;
    }
    const recognizer = new Recognizer();
    running.current = recognizer;
    if (language) recognizer.lang = language;
    recognizer.onresult = ({ results }) => spoken(results[0]?.[0]?.transcript ?? '');
    recognizer.onend = () => {
      running.current = null;
      setListening(false);
    };
    setListening(true);
    recognizer.start();
  };
  return (
    <button
      type="button"
      aria-label={say(isListening ? 'box.stopListening' : 'box.dictate')}
      aria-pressed={isListening}
      className={`grid size-6 place-items-center ${isListening ? 'text-press' : 'text-soft hover:text-ink'}`}
      onMouseDown={(event) => event.preventDefault()}
      onClick={listen}
    >
      <Mic size={16} aria-hidden />
    </button>
  );
}
