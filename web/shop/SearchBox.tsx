import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import { longestQuery } from '../../core/query/understand.ts';

export function SearchBox({ query, search }: { readonly query: string; search(query: string): void }) {
  const [text, setText] = useState(query);
  useEffect(() => setText(query), [query]);
  return (
    <search className="min-w-0 flex-1">
      <form
        className="flex items-center gap-2 rounded-full border border-line bg-paper px-3.5 py-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          search(text);
        }}
      >
        <input
          type="search"
          aria-label="Search the shop"
          placeholder="Search the shop"
          className="min-w-0 flex-1 bg-transparent outline-offset-4 placeholder:text-soft"
          maxLength={longestQuery}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <button type="submit" aria-label="Search" className="text-soft hover:text-ink">
          <Search size={17} aria-hidden />
        </button>
      </form>
    </search>
  );
}
