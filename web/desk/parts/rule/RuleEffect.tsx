import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { SetupPart } from '../../../../core/setup/registry.ts';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';
import { movedInWords } from './movedInWords.ts';

/** How long a rule rests before its effect is worked out, in milliseconds. */
const rest = 250;

/** What a rule would move in the searches made most, or a plan in its own, as it is while it is edited. */
export function RuleEffect({
  part,
  id,
  value,
}: {
  readonly part: SetupPart;
  readonly id: string;
  readonly value: unknown;
}) {
  const { revision } = useDeskState();
  const given = JSON.stringify(value);
  const [rested, setRested] = useState(given);
  useEffect(() => {
    const timer = setTimeout(() => setRested(given), rest);
    return () => clearTimeout(timer);
  }, [given]);
  const { data, error } = useQuery({
    queryKey: ['desk', 'ruleEffect', revision, part, id, rested],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      call('ruleEffect', { body: { part, key: id, value: JSON.parse(rested) as unknown }, signal }),
  });
  const isOld = rested !== given;
  return (
    <p role="status" aria-live="polite" className={`mt-1.5 text-[13px] ${isOld ? 'text-soft' : ''}`}>
      {error ? error.message : data ? movedInWords(data, part === 'plans') : 'Looking what it moves …'}
    </p>
  );
}
