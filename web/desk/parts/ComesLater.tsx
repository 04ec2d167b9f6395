import { type ComponentType, type ReactNode, useLayoutEffect, useRef } from 'react';
import { type Later, later, useLater } from '../../look/later.ts';

/** Said where a part of the desk has not come; everything around it stays as it is. */
function HasNotCome({ again }: { again(): void }) {
  const said = useRef<HTMLDivElement>(null);
  // Who asked again from the keyboard goes on at the screen that comes, not at the page's beginning.
  useLayoutEffect(() => {
    const { current } = said;
    return () => {
      if (current?.contains(document.activeElement)) document.getElementById('screen')?.focus();
    };
  }, []);
  return (
    <div ref={said} role="alert" className="m-1 rounded-lg bg-changed-soft p-4 text-on-changed">
      <p className="font-semibold">This part of the desk has not come</p>
      <p className="mt-1">
        The server does not answer, or is newer than this page. It is tried again by itself; what you changed stays
        while this page is open.
      </p>
      <button type="button" className="mt-2 me-4 font-semibold underline" onClick={again}>
        Try again
      </button>
      <button type="button" className="mt-2 font-semibold underline" onClick={() => location.reload()}>
        Load the desk again
      </button>
    </div>
  );
}

/** A part of the desk whose code comes when it is first shown; `meanwhile` stands until then. */
export function comesLater<Props extends object>(
  fetch: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null,
): ComponentType<Props> & Pick<Later<unknown>, 'load'> {
  const part = later(fetch);
  function ComesLater(props: Props) {
    const { value: Part, hasFailed, again } = useLater(part);
    if (Part) return <Part {...props} />;
    return hasFailed ? <HasNotCome again={again} /> : meanwhile;
  }
  return Object.assign(ComesLater, { load: part.load });
}
