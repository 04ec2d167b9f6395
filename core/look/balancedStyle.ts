import { tokenize, tokenTypes } from 'css-tree';

/** What closes each token that opens something. */
const closers: ReadonlyMap<number, readonly [number, string]> = new Map([
  [tokenTypes.Function, [tokenTypes.RightParenthesis, ')']],
  [tokenTypes.LeftParenthesis, [tokenTypes.RightParenthesis, ')']],
  [tokenTypes.LeftSquareBracket, [tokenTypes.RightSquareBracket, ']']],
  [tokenTypes.LeftCurlyBracket, [tokenTypes.RightCurlyBracket, '}']],
]);
const closing = new Set([...closers.values()].map(([type]) => type));

/** What is still open at the end, from within; or where something closes that was never opened. */
function bracketsIn(css: string): { readonly open: string } | { readonly wrongAt: number } {
  const open: (readonly [number, string])[] = [];
  let wrongAt = -1;
  tokenize(css, (type, from) => {
    const closer = closers.get(type);
    if (closer) open.push(closer);
    else if (closing.has(type) && open.pop()?.[0] !== type && wrongAt < 0) wrongAt = from;
  });
  return wrongAt < 0
    ? {
        open: open
          .reverse()
          .map(([, text]) => text)
          .join(''),
      }
    : { wrongAt };
}

/**
 * The text with what is open at its end closed, as browsers do; null with the place of what is not matched. The parser may
 * go on for ever over brackets without a match (3.2.1; seed 425 of the test), so it never gets any. Cost: two passes over the text.
 */
export function balanced(css: string): { readonly css: string } | { readonly wrongAt: number } {
  const brackets = bracketsIn(css);
  if ('wrongAt' in brackets) return brackets;
  const closed = css + brackets.open;
  const again = bracketsIn(closed);
  // What stands in a text or a comment that never ends closes nothing.
  return 'open' in again && again.open === '' ? { css: closed } : { wrongAt: css.length };
}
