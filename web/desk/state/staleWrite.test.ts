import { expect, test } from '@jest/globals';
import { CallProblem } from '../../client/request.ts';
import { describeStaleWrite } from './staleWrite.ts';

const stale = (details: unknown) =>
  new CallProblem({ code: 'stale-write', message: 'Somebody did.', details } as never);

test('says who changed what, and that nothing of one’s own was saved', () => {
  const changes = [{ sentences: ['Brand counts 10 instead of 5'] }];
  expect(describeStaleWrite(stale({ who: ['Ann', 'Ben'], changes }))).toEqual({
    title: 'Ann and Ben changed this at the same time',
    text: 'Brand counts 10 instead of 5. Your change was not saved.',
  });
});

test('many changes are not all reported; without any it is somebody; another error is none of this', () => {
  const changes = ['a', 'b', 'c', 'd', 'e'].map((sentence) => ({ sentences: [sentence] }));
  expect(describeStaleWrite(stale({ who: ['Ann'], changes }))?.text).toBe(
    'a. b. c. And 2 more. Your change was not saved.',
  );
  expect(describeStaleWrite(stale(undefined))?.title).toBe('Somebody changed this at the same time');
  expect(describeStaleWrite(new Error('other'))).toBeNull();
});
