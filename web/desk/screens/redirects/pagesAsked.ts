import { useState } from 'react';
import type { PageFound } from '../../../../api/pageFound.ts';
import { call } from '../../../client/call.ts';

/** As many as one request takes. */
const atOnce = 12;

/** Asks whether pages are there, a few at a time; what is known is kept until they are asked for again. */
export function usePagesAsked() {
  const [found, setFound] = useState<ReadonlyMap<string, PageFound>>(new Map());
  const [problem, setProblem] = useState('');
  const [isAsking, setAsking] = useState(false);
  const ask = async (links: readonly string[]): Promise<void> => {
    setAsking(true);
    setProblem('');
    setFound(new Map());
    try {
      for (let from = 0; from < links.length; from += atOnce) {
        const { pages } = await call('askPages', { body: { links: links.slice(from, from + atOnce) } });
        setFound((before) => new Map([...before, ...pages.map(({ link, found: is }) => [link, is] as const)]));
      }
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setAsking(false);
    }
  };
  return { found, problem, isAsking, ask };
}
