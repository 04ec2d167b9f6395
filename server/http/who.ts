import type { Context } from 'hono';
import { getCookie } from 'hono/cookie';
import { personCookie } from '../../api/person.ts';

/** What somebody is called who says no name. */
const nobody = 'Merchandiser';

function decoded(said: string): string {
  try {
    return decodeURIComponent(said);
  } catch {
    return said;
  }
}

/** Who asks: the name that the browser keeps, or that a program says with its request. */
export function who(context: Context): string {
  const said = context.req.header('x-person') ?? getCookie(context, personCookie) ?? '';
  return decoded(said).trim().slice(0, 80) || nobody;
}
