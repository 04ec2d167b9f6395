import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { largestPicture } from '../../api/limits.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openOwnPictures } from './ownPictures.ts';

/** The smallest picture there is, and the same with other bytes behind it. */
const gif = Buffer.from('R0lGODlhAQABAAAAACwAAAAAAQABAAA7', 'base64');
const other = Buffer.concat([gif, Buffer.from('more')]);
let root: string;
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'clever-shelf-own-'));
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

test('the same picture is kept once, under a name that never means another, also after a restart', async () => {
  const folder = join(root, 'pictures');
  const first = await openOwnPictures(folder).keep(gif);
  expect(first).toMatchObject({ name: expect.stringMatching(/^[0-9a-f]{32}\.gif$/) });
  expect(await openOwnPictures(folder).keep(gif)).toEqual(first);
  const second = await openOwnPictures(folder).keep(other);
  expect(second).not.toEqual(first);
  expect(readdirSync(folder).length).toBe(2);
  expect(await openOwnPictures(folder).find((second as { name: string }).name)).toEqual({
    bytes: other,
    type: 'image/gif',
  });
});

test('what is no picture is not kept, nor what there is no room for; nothing but pictures is found', async () => {
  const pictures = openOwnPictures(root, gif.length + 4);
  expect(await pictures.keep(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).toEqual({
    problem: 'no-picture',
  });
  expect(await pictures.keep(gif)).toHaveProperty('name');
  expect(await pictures.keep(other)).toEqual({ problem: 'no-room' });
  for (const name of ['..', '../shelf.sqlite', '0.gif', `${'0'.repeat(32)}.gif`])
    expect(await pictures.find(name)).toBeNull();
});

test('a file becomes an address that a banner can name, and shoppers are given what was brought in', async () => {
  const shelf = openTestShelf();
  try {
    await shelf.bringIn(smallCatalog);
    const bring = async (body: Buffer) => {
      const answer = await shelf.request('/desk/main/main/pictures', {
        method: 'POST',
        body: new Uint8Array(body),
        headers: { host: 'desk.test' },
      });
      return { status: answer.status, body: (await answer.json()) as { address: string; error: { code: string } } };
    };
    const { status, body } = await bring(gif);
    expect([status, body.address]).toEqual([200, expect.stringMatching(/^\/pictures\/own\/[0-9a-f]{32}\.gif$/)]);
    const shown = await shelf.request(body.address);
    expect([shown.status, shown.headers.get('content-type')]).toEqual([200, 'image/gif']);
    expect(Buffer.from(await shown.arrayBuffer())).toEqual(gif);
    expect((await shelf.request('/pictures/own/..%2Fshelf.sqlite')).status).toBe(404);
    const codes = [];
    for (const wrong of [Buffer.from('hello'), Buffer.alloc(0), Buffer.concat([gif, Buffer.alloc(largestPicture)])]) {
      const answer = await bring(wrong);
      codes.push([answer.status, answer.body.error.code]);
    }
    expect(codes).toEqual([
      [400, 'no-picture'],
      [400, 'no-file'],
      [413, 'file-too-large'],
    ]);
  } finally {
    shelf.remove();
  }
});
