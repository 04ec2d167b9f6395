import { useRouteError } from 'react-router';

/** Shown where a screen breaks: the rest of the desk stays usable, and nothing of the draft is lost. */
export function ScreenProblem() {
  const error = useRouteError();
  return (
    <div role="alert" className="m-6 max-w-xl rounded-lg bg-changed-soft p-5 text-on-changed">
      <h1 className="font-display font-semibold text-lg">This screen broke</h1>
      <p className="mt-1">Your draft is saved up to your last change. {error instanceof Error ? error.message : ''}</p>
      <button type="button" className="mt-3 font-semibold underline" onClick={() => location.reload()}>
        Load it again
      </button>
    </div>
  );
}
