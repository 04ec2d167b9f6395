import { useQuery } from '@tanstack/react-query';
import { TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { languageNames } from '../../../../core/text/languages.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { saveWords } from './WordChips.tsx';

/** The usual list for the shop's language, and what is worth a look about the words passed over now. */
export function UsualStopWords({ words }: { readonly words: readonly string[] }) {
  const { revision } = useDeskState();
  const { data } = useQuery({
    queryKey: ['desk', 'stop-words', revision],
    queryFn: ({ signal }) => call('usualStopWords', { signal }),
  });
  if (!data) return null;
  return (
    <div className="mt-1.5 space-y-1 text-[13px]">
      {data.meaningful.map(({ word, products }) => (
        <p key={word} className="flex items-start gap-1.5">
          <TriangleAlert size={13} aria-hidden className="mt-[3px] shrink-0 text-soft" />
          <span>
            “{word}” stands in what tells products apart: it matters for {counted(products, 'product')}.
          </span>
        </p>
      ))}
      {data.idle.length > 0 && (
        <p className="flex items-start gap-1.5">
          <TriangleAlert size={13} aria-hidden className="mt-[3px] shrink-0 text-soft" />
          <span>
            {data.idle.map((word) => `“${word}”`).join(', ')}{' '}
            {data.idle.length === 1 ? 'does nothing: it is' : 'do nothing: they are'} no single word. Amounts and
            several words are never passed over.
          </span>
        </p>
      )}
      <p className="text-soft">
        The shop’s language is {languageNames[data.language]}{' '}
        <Link to="/catalog/reading" className="text-press underline">
          (change it)
        </Link>
        .{' '}
        {data.usual.length > 0 && (
          <Button
            tone="quiet"
            className="px-1.5 py-0 text-[13px]"
            onClick={() => saveWords('stopWords', [...words, ...data.usual])}
          >
            Add the {count(data.usual.length)} usual {languageNames[data.language]} ones no title has
          </Button>
        )}
      </p>
    </div>
  );
}
