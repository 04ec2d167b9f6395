/** Levels of lists and objects in a request; nothing of ours has more than eight. */
export const deepestJson = 32;

const [quote, backslash, openList, closeList, openObject, closeObject] = [...'"\\[]{}'].map((sign) =>
  sign.charCodeAt(0),
);

/** Whether a text of JSON has more levels than may be read: what is nested without end breaks whatever walks through it. */
export function isTooDeep(text: string): boolean {
  let depth = 0;
  let isInside = false;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (isInside) {
      if (code === backslash) at++;
      else if (code === quote) isInside = false;
    } else if (code === quote) isInside = true;
    else if (code === openList || code === openObject) {
      if (++depth > deepestJson) return true;
    } else if (code === closeList || code === closeObject) depth--;
  }
  return false;
}
