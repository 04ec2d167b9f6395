import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { Failure, onOff, openWithCatalog, table, UsageError } from './usage.ts';

test('a table’s columns are as wide as their widest cell, with nothing trailing', () => {
  expect(
    table([
      ['a', 'long cell', 'x'],
      ['wider', 'b', ''],
    ]),
  ).toBe('a      long cell  x\nwider  b');
  expect(table([])).toBe('');
});

test('on and off are on and off; anything else is not understood', () => {
  expect([onOff('card', 'on'), onOff('card', 'off'), onOff('card', undefined)]).toEqual([true, false, undefined]);
  expect(() => onOff('card', 'yes')).toThrow(UsageError);
});

test('a folder without a catalog is said, with the way on', () => {
  const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-usage-'));
  expect(() => openWithCatalog(folder, {})).toThrow(Failure);
  expect(() => openWithCatalog(folder, {})).toThrow('import FILE');
  rmSync(folder, { recursive: true, force: true });
});
