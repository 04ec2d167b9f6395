import type { Context } from 'hono';
import type { z } from 'zod';
import { type Problem, unknownName } from '../../api/problem.ts';
import type { RefusalStatus } from '../refused.ts';

type Status = RefusalStatus | 500;

export function problem(context: Context, status: Status, error: Problem['error']): Response {
  return context.json({ error } satisfies Problem, status);
}

/** What is wrong with a request, naming the parameter; a misspelt name is answered with the one probably meant. */
export function invalidRequest(error: Pick<z.ZodError, 'issues'>): Problem['error'] {
  const issue = error.issues[0]!;
  const field = issue.path.join('.');
  if (issue.code === 'unrecognized_keys')
    return { code: 'unknown-parameter', message: unknownName('field', issue.keys[0]!, []), field: issue.keys[0]! };
  if (issue.code === 'custom' && issue.message.startsWith('There is no'))
    return { code: 'unknown-parameter', message: issue.message, field };
  return { code: 'invalid-parameter', message: `${field || 'The request'}: ${issue.message}`, field };
}
