import { useQuery } from '@tanstack/react-query';
import { BookOpenText } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ExplainedWord } from '../../../../api/wordSchema.ts';
import { call } from '../../../client/call.ts';
import { DialogFrame } from '../../parts/DialogFrame.tsx';
import { TeachLink } from '../../parts/TeachLink.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { setupInWords } from '../../state/setupInWords.ts';
import { meansInWords, noteInWords, wordInWords } from './wordInWords.ts';

/** How the trial search was read, word by word, and why not otherwise. */
export function HowItIsRead({ query, from }: { readonly query: string; readonly from: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger className="inline-flex min-h-6 items-center gap-1 text-[12.5px] text-press underline">
        <BookOpenText size={13} aria-hidden />
        How “{query}” is read
      </Dialog.Trigger>
      {isOpen && (
        <DialogFrame title={`How “${query}” is read`} description={`Word by word, by ${setupInWords(from)}.`} wide>
          <Words query={query} from={from} close={() => setOpen(false)} />
        </DialogFrame>
      )}
    </Dialog.Root>
  );
}

function Words({ query, from, close }: { readonly query: string; readonly from: string; close(): void }) {
  const { revision } = useDeskState();
  const { data, error } = useQuery({
    queryKey: ['desk', 'words', query, from, revision],
    queryFn: ({ signal }) => call('words', { query: { q: query, from }, signal }),
  });
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p role="status">Reading …</p>;
  return (
    <>
      <ul className="divide-y divide-line">
        {data.words.map((word, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a word may stand in a search twice
          <Word key={at} word={word} close={close} />
        ))}
      </ul>
      {data.hidden.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Hidden, though the search would find it</h3>
          <ul>
            {data.hidden.map(({ product, title, rules }) => (
              <li key={product}>
                <Link
                  to={`/catalog/products/${encodeURIComponent(product)}`}
                  onClick={close}
                  className="text-press underline"
                >
                  {title}
                </Link>
                : {rules.join(' ')}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Word({ word, close }: { readonly word: ExplainedWord; close(): void }) {
  const means = meansInWords(word);
  return (
    <li className="py-2">
      <p>
        <b className="font-semibold">{word.text}</b> <span>{wordInWords(word)}</span>
      </p>
      {means && <p className="text-[13px] text-soft">{means}</p>}
      {word.as === 'givenUp' && <TeachLink says={word.text} done={close} />}
      {word.notes.map((note) => {
        const { text, mend } = noteInWords(note);
        return (
          <p key={text} className="text-[13px] text-soft">
            {text}{' '}
            {mend && (
              <Link to={mend.to} onClick={close} className="text-press underline">
                {mend.label}
              </Link>
            )}
          </p>
        );
      })}
    </li>
  );
}
