'use client';
/** Parts of the screen that are fetched when they are first wanted, and whose failing takes nothing else with it. */
import { lazy, Suspense, useEffect, useState, type ComponentType, type LazyExoticComponent } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useNotify } from '@/ui/notices';

type Load<P> = () => Promise<ComponentType<P>>;

/**
 * A component that `load` fetches. If it cannot be fetched, or fails while it is shown, that is told; what has an `onClose`
 * is closed, the rest can be tried again. `name` is what the person knows it by.
 */
export function fetched<P extends object>(name: string, load: Load<P>): ComponentType<P> {
  const fetching = () => lazy(async () => ({ default: await load() }));
  // Kept once it is there: what was opened before comes at once.
  let known: LazyExoticComponent<ComponentType<P>> | undefined;
  const forget = () => {
    known = undefined;
  };
  return function Fetched(props: P) {
    const [Part, setPart] = useState(() => (known ??= fetching()));
    const again = () => {
      forget();
      setPart(() => (known ??= fetching()));
    };
    const onClose = (props as { onClose?: () => void }).onClose;
    return (
      <ErrorBoundary
        onError={forget}
        onReset={again}
        fallbackRender={(fell) => <Fallen {...fell} name={name} onClose={onClose} />}
      >
        <Suspense fallback={null}>
          <Part {...props} />
        </Suspense>
      </ErrorBoundary>
    );
  };
}

/** Shows nothing in its place: it may stand in a drawing as well as in a panel. */
function Fallen({
  name,
  error,
  onClose,
  resetErrorBoundary,
}: FallbackProps & { name: string; onClose?: () => void }) {
  const notify = useNotify();
  useEffect(() => {
    notify({
      text: `${name} ${isUnfetched(error) ? 'could not be fetched: the program cannot be reached just now' : 'had a fault and was closed'}. Everything else goes on, and what you did is kept.`,
      tone: 'error',
      ...(onClose ? {} : { action: { label: 'Try again', run: () => resetErrorBoundary() } }),
    });
    onClose?.();
    // Told once, whatever is drawn anew around it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return null;
}

/** Whether code was not to be had, as bundlers and browsers say it. */
export const isUnfetched = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'ChunkLoadError' ||
    /load(ing)? chunk|dynamically imported module|import(ing)? a module/i.test(error.message));
