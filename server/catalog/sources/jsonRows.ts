import { type Readable, Transform } from 'node:stream';
import streamJson from 'stream-json';
import Pick from 'stream-json/filters/Pick.js';
import StreamArray from 'stream-json/streamers/StreamArray.js';
import { flattenItem, mostCells } from '../../../core/catalog/flattenItem.ts';
import { isJsonLdProduct, rowsOfJsonLd } from '../../../core/catalog/jsonLd.ts';
import { FileProblem, type SourceRow } from './source.ts';
import { textLines } from './textLines.ts';

/** Longest item taken, in characters: what a file says is never trusted for size. */
const longestItem = 8_000_000;

/** A string of JSON, or a whole number that is too long to be kept exactly as a number. */
const stringOrLongNumber = /"(?:[^"\\]+|\\.)*"|(?<![\d.eE+-])-?\d{16,}(?![\d.eE])/g;

/** Reads an item; long whole numbers, such as part numbers and bar codes, stay the texts they are written as. */
const parseItem = (text: string): unknown =>
  JSON.parse(text.replace(stringOrLongNumber, (found) => (found.startsWith('"') ? found : `"${found}"`)));

/** The same for an item that comes in pieces. What puts them together would take `__proto__` for something else than a name. */
const keepExactly = (): Transform =>
  new Transform({
    objectMode: true,
    transform(token: { name: string; value?: string }, _, done) {
      if (token.name === 'keyValue' && token.value === '__proto__') {
        done(null, { name: 'keyValue', value: '__proto__ ' });
        return;
      }
      const isLong = token.name === 'numberValue' && /^-?\d{16,}$/.test(token.value ?? '');
      done(null, isLong ? { name: 'stringValue', value: token.value } : token);
    },
  });

function* rowsOf(item: unknown, line: number): Generator<SourceRow> {
  const rows = isJsonLdProduct(item) ? rowsOfJsonLd(item) : flattenItem(item);
  if (rows === null) {
    yield { line, column: '', reason: `The item has more than ${mostCells} named values.` };
    return;
  }
  if (rows.length === 0) yield { line, column: '', reason: 'This is no object with named values.' };
  for (const cells of rows) yield { line, cells };
}

/** A list entry may wrap what it lists, as schema.org's `ListItem` does. */
const unwrapped = (item: unknown): unknown => (item as { item?: unknown } | null)?.item ?? item;

/** Lets text through while items keep coming out on the other side. */
function guard(): { stream: Transform; cameOut(): void } {
  let since = 0;
  return {
    stream: new Transform({
      transform(chunk: Buffer, _, done) {
        since += chunk.length;
        if (since > longestItem)
          done(new FileProblem('item-too-long', `An item is longer than ${longestItem} characters.`));
        else done(null, chunk);
      },
    }),
    cameOut: () => {
      since = 0;
    },
  };
}

/** Reads the items of a JSON list, streaming; `list` is the key of the list in an outer object. Lines are items, from 1. */
export async function* jsonRows(input: Readable, list: string): AsyncGenerator<SourceRow> {
  const guarded = guard();
  const parser = streamJson.parser();
  const tokens = parser.pipe(keepExactly());
  const items = list
    ? tokens.pipe(Pick.pick({ filter: list })).pipe(StreamArray.streamArray())
    : tokens.pipe(StreamArray.streamArray());
  const fail = (error: Error): void => {
    items.destroy(error);
  };
  input.on('error', fail);
  guarded.stream.on('error', fail);
  parser.on('error', fail);
  input.pipe(guarded.stream).pipe(parser);
  let item = 0;
  try {
    for await (const { value } of items as AsyncIterable<{ value: unknown }>) {
      guarded.cameOut();
      yield* rowsOf(unwrapped(value), ++item);
    }
  } catch (error) {
    if (error instanceof FileProblem) throw error;
    throw new FileProblem('bad-json', `The file is no JSON list: behind item ${item}, ${(error as Error).message}.`);
  }
}

/** Reads a file that is one JSON object: a single product. */
export async function* jsonObject(input: Readable): AsyncGenerator<SourceRow> {
  let text = '';
  for await (const chunk of input as AsyncIterable<Buffer | string>) {
    text += chunk.toString();
    if (text.length > longestItem)
      throw new FileProblem('item-too-long', `An item is longer than ${longestItem} characters.`);
  }
  let item: unknown;
  try {
    item = parseItem(text);
  } catch (error) {
    throw new FileProblem('bad-json', `The file is no JSON: ${(error as Error).message}.`);
  }
  yield* rowsOf(item, 1);
}

/** Reads JSON Lines: one item a line; a line that is none is refused and the rest comes in. */
export async function* jsonLines(input: Readable): AsyncGenerator<SourceRow> {
  for await (const { line, text } of textLines(input, longestItem)) {
    if (text === null) {
      yield { line, column: '', reason: `The line is longer than ${longestItem} characters.` };
      continue;
    }
    if (text.trim() === '') continue;
    let item: unknown;
    try {
      item = parseItem(text);
    } catch {
      yield { line, column: '', reason: 'The line is no JSON.' };
      continue;
    }
    yield* rowsOf(item, line);
  }
}
