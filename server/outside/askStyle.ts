import { Parser } from 'htmlparser2';
import { mostSheets, type StyleFound } from '../../api/styleFound.ts';
import { mostPageStyle } from '../../core/setup/terms/lookTerms.ts';
import { type AskProblem, askAddress } from './askAddress.ts';
import { bytesOf } from './bytesOf.ts';

/** Bytes of a page or of one of its style sheets; redirects on the way; milliseconds for each that is asked. */
const styleLimits = { bytes: 1024 * 1024, redirects: 4, milliseconds: 5000 } as const;

interface AskStyleOptions {
  readonly isAllowed?: (address: string) => boolean;
  readonly limits?: { readonly [Name in keyof typeof styleLimits]: number };
}

/** A style that stands in a page, or is named there. */
type Sheet = { readonly style: string } | { readonly address: string };

/** The styles of a page for screens, in the order in which they hold. Nothing of it is run, and no import within a style is followed. */
export function sheetsIn(html: string, page: URL): Sheet[] {
  const sheets: Sheet[] = [];
  let base = page;
  let style: string | null = null;
  const addressOf = (text: string | undefined): URL | null =>
    text !== undefined && URL.canParse(text, base.href) ? new URL(text, base.href) : null;
  const parser = new Parser({
    onopentag(name, { href, rel = '', media = '' }) {
      if (name === 'base') base = addressOf(href) ?? base;
      const isForScreens = !/\bprint\b/i.test(media) || /\bscreen\b/i.test(media);
      if (!isForScreens) return;
      if (name === 'style') style = '';
      const address = name === 'link' && /(?:^|\s)stylesheet(?:\s|$)/i.test(rel) ? addressOf(href) : null;
      if (address) sheets.push({ address: address.href });
    },
    ontext(text) {
      if (style !== null) style += text;
    },
    onclosetag(name) {
      if (name !== 'style' || style === null) return;
      sheets.push({ style });
      style = null;
    },
  });
  parser.end(html);
  return sheets;
}

/**
 * The style of a page of another host, or a style sheet by its own address, as `askAddress` asks: so many sheets at most,
 * each within a limit of size and time; what does not come of them is left out.
 */
export async function askStyle(address: string, options: AskStyleOptions = {}): Promise<StyleFound> {
  const { isAllowed, limits = styleLimits } = options;
  const ask = <Answer>(from: string, read: Parameters<typeof askAddress<Answer>>[2]) =>
    askAddress(
      from,
      { accept: 'text/html,text/css', as: 'Clever Shelf, colours of a shop', isAllowed, ...limits },
      read,
    );
  const found = await ask(address, async (response, from): Promise<readonly Sheet[] | { problem: StyleProblem }> => {
    if (response.statusCode !== 200) return { problem: 'not-found' };
    const text = (await bytesOf(response, limits.bytes))?.toString('utf8');
    if (text === undefined) return { problem: 'too-large' };
    return /\bcss\b/i.test(response.headers['content-type'] ?? '') ? [{ style: text }] : sheetsIn(text, from);
  });
  if ('problem' in found) return { problem: found.problem, styles: [] };
  const styles = await Promise.all(
    found.slice(0, mostSheets).map(async (sheet) => {
      if ('style' in sheet) return sheet.style;
      const text = await ask(sheet.address, async (response) =>
        response.statusCode === 200 ? ((await bytesOf(response, limits.bytes))?.toString('utf8') ?? '') : '',
      );
      return typeof text === 'string' ? text : '';
    }),
  );
  // No more is sent than is looked at.
  let room = mostPageStyle;
  const some = styles.filter((style) => {
    if (style.trim() === '' || style.length > room) return false;
    room -= style.length;
    return true;
  });
  return some.length > 0 ? { styles: some } : { problem: 'no-style', styles: [] };
}
type StyleProblem = AskProblem | 'too-large';
