import type { z } from 'zod';

/**
 * What a query may be described by. Schemas are asked for by the core of what they are: to hold each against all the methods
 * that a schema has takes the compiler a second for some of them.
 */
export type QuerySchema = z.core.$ZodObject | z.core.$ZodPipe;
export type Schema = z.core.$ZodType;

/** One endpoint, described once: the server validates by it, the client is typed by it, the OpenAPI document is made of it. */
export interface Endpoint<Query extends QuerySchema, Body extends Schema, Answer extends Schema> {
  readonly method: 'get' | 'post';
  readonly path: string;
  readonly summary: string;
  readonly query: Query;
  readonly body: Body;
  readonly answer: Answer;
  /** Largest body it takes, in bytes; absent: 256 kB. */
  readonly mostBytes?: number;
}

export function endpoint<Query extends QuerySchema, Body extends Schema, Answer extends Schema>(
  description: Endpoint<Query, Body, Answer>,
): Endpoint<Query, Body, Answer> {
  return description;
}

/**
 * What the client passes in and gets back; what it sends is the schema's input, so defaults may be left out. Each is read
 * off its own schema alone: held against all that an endpoint may be, the interface has the compiler make nearly half as many
 * types again.
 */
export type QueryOf<E> = E extends { readonly query: infer Query } ? z.input<Query> : never;
export type BodyOf<E> = E extends { readonly body: infer Body } ? z.input<Body> : never;
export type AnswerOf<E> = E extends { readonly answer: infer Answer } ? z.output<Answer> : never;
