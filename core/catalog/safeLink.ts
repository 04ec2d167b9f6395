const schemes = new Set(['http:', 'https:', 'mailto:', 'tel:']);
/** Browsers pass over these inside an address, so `java\nscript:` would be a scheme of its own. */
const passedOver = /[\p{Cc}\s]/gu;

/**
 * A link as it may be kept: one of the web, of mail or telephone, or a path within the shop. Empty where it is none of
 * these, since `javascript:` and `data:` run or show whatever somebody wrote into a file.
 */
export function safeLink(text: string): string {
  const link = text.trim();
  const scheme = /^([^/?#]*?:)/.exec(link.replace(passedOver, ''))?.[1]?.toLowerCase();
  return scheme === undefined || schemes.has(scheme) ? link : '';
}
