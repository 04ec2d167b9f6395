import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Button } from './Button.tsx';
import { Loading, LoadProblem, ScreenHead } from './Screen.tsx';

/** A screen that lists things and makes new ones in a form above them; the address says whether that is open. */
export function ListScreen<Answer>({
  title,
  intro,
  query: { data, error, refetch },
  loading,
  make,
  list,
  tabs,
  children,
}: {
  readonly title: string;
  readonly intro: ReactNode;
  readonly query: Pick<UseQueryResult<Answer>, 'data' | 'error' | 'refetch'>;
  /** Said while the list is read. */
  readonly loading: string;
  /** The button that opens the form, the address's parameter for it, and the form. */
  readonly make: {
    readonly label: string;
    readonly parameter: string;
    form(answer: Answer, close: () => void): ReactNode;
  };
  list(answer: Answer): ReactNode;
  /** The pages of which this is one. */
  readonly tabs?: ReactNode;
  /** What stands below the list. */
  readonly children?: ReactNode;
}) {
  const [parameters, setParameters] = useSearchParams();
  const isMaking = parameters.has(make.parameter);
  return (
    <>
      <ScreenHead
        title={title}
        aside={
          !isMaking && (
            <Button tone="strong" onClick={() => setParameters({ [make.parameter]: '' })}>
              {make.label}
            </Button>
          )
        }
      >
        {intro}
      </ScreenHead>
      {tabs}
      {isMaking && data && make.form(data, () => setParameters({}))}
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what={loading} />
      ) : (
        <ul aria-label={title} className="space-y-[5px]">
          {list(data)}
        </ul>
      )}
      {children}
    </>
  );
}
