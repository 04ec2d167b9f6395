/** Longest name of a host that is taken, in characters. */
const longestOrigin = 200;

/**
 * The origin of a site as browsers write it: scheme, name and port, in small letters and without a port that goes without
 * saying. Null for what is none: another scheme, a name with a password, a wildcard, something that cannot be read.
 */
export function originOf(text: string): string | null {
  const said = text.trim();
  if (said.length > longestOrigin || said.includes('*')) return null;
  const parts = /^(https?):\/\/([a-z0-9.-]+|\[[0-9a-f:.]+\])(?::(\d{1,5}))?(?:\/.*)?$/i.exec(said);
  if (!parts) return null;
  const [, scheme, host, port] = parts;
  const usual = scheme!.toLowerCase() === 'https' ? '443' : '80';
  if (/^[.-]|[.-]$|\.\./.test(host!) || Number(port ?? 0) > 65_535) return null;
  const behind = port === undefined || port === usual ? '' : `:${Number(port)}`;
  return `${scheme!.toLowerCase()}://${host!.toLowerCase()}${behind}`;
}
