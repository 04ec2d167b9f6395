import type { IncomingMessage } from 'node:http';

/** The bytes of an answer; null where they are more than so many. */
export async function bytesOf(response: IncomingMessage, most: number): Promise<Buffer | null> {
  if (Number(response.headers['content-length'] ?? 0) > most) return null;
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of response as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > most) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}
