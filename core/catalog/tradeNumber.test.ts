import { expect, test } from '@jest/globals';
import { isTradeNumber } from './tradeNumber.ts';

test.each([
  '4006381333931',
  '036000291452',
  '96385074',
  '10614141000415',
  '978-0-306-40615-7',
  '0-306-40615-2',
  '080442957X',
])('%s has a right check digit', (text) => expect(isTradeNumber(text)).toBe(true));

test.each(['4006381333932', '0000000000000', '12345678', '1234567', '0306406153', 'WU-2041', '', '40063813339311111'])(
  '%j is none',
  (text) => expect(isTradeNumber(text)).toBe(false),
);
