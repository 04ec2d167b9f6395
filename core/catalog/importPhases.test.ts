import { expect, test } from '@jest/globals';
import { type ImportEvent, type ImportPhase, importPhases, isWorkingPhase, nextPhase } from './importPhases.ts';

const path = (...events: ImportEvent[]): ImportPhase | null =>
  events.reduce<ImportPhase | null>((phase, event) => nextPhase(phase, event) ?? phase, null);

test('a file is received, looked at, read and put in force', () => {
  expect(path('receive', 'received', 'examined', 'read', 'sorting', 'comparing', 'profiling', 'indexing')).toBe(
    'indexing',
  );
  expect(path('receive', 'received', 'examined', 'read', 'sorting', 'imported', 'commit', 'committed')).toBe('done');
});

test('a second file is refused from the first byte of the first one on, until that waits for a person', () => {
  const refused = importPhases.filter((phase) => nextPhase(phase, 'receive') === null);
  expect(refused).toEqual(importPhases.filter(isWorkingPhase));
  expect(refused).toContain('receiving');
  expect(refused).toContain('committing');
  expect(refused).toContain('stopping');
});

test('what is being stopped is over only when it has stopped', () => {
  expect(path('receive', 'received', 'cancel')).toBe('stopping');
  expect(path('receive', 'received', 'cancel', 'imported')).toBe('stopping');
  expect(path('receive', 'received', 'cancel', 'stopped')).toBe('cancelled');
  expect(nextPhase('stopping', 'cancel')).toBeNull();
});

test('what is being put in force cannot be cancelled; refused, it is ready as before', () => {
  expect(nextPhase('committing', 'cancel')).toBeNull();
  expect(path('receive', 'received', 'examined', 'read', 'imported', 'commit', 'notCommitted')).toBe('ready');
});

test('no phase is a dead end', () => {
  const events: ImportEvent[] = [
    'receive',
    'received',
    'examined',
    'imported',
    'committed',
    'stopped',
    'fail',
    'cancel',
  ];
  for (const phase of importPhases) expect(events.some((event) => nextPhase(phase, event) !== null)).toBe(true);
});
