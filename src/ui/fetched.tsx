'use client';
/** Parts of the screen that are fetched when they are first wanted, and whose failing takes nothing else with it. */
import { useEffect, useState, type ComponentType } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useNotify } from '@/ui/notices';

type Load<P> = () => Promise<ComponentType<P>>;

/**
 * A component that `load` fetches. If it cannot be fetched, or fails while it is shown, that is told; what has an `onClose`
 * is closed, the rest can be tried again. `name` is what the person knows it by; `Before` stands in its place until it
 * is there, and where it cannot be.
 */
export function fetched<P extends object>(
  name: string,
  load: Load<P>,
  Before?: ComponentType,
): ComponentType<P> {
  // Kept once it is there: what was opened before comes at once. Not React's lazy, which never asks again for what failed,
  // and holds back what arrives soon after something else.
  let known: ComponentType<P> | undefined;
  function Part(props: P) {
    const [part, setPart] = useState<{ Shown?: ComponentType<P>; error?: unknown }>({ Shown: known });
    useEffect(() => {
      let gone = false;
      if (!known)
        load().then(
          (Shown) => {
            known = Shown;
            if (!gone) setPart({ Shown });
          },
          (error: unknown) => !gone && setPart({ error }),
        );
      return () => {
        gone = true;
      };
    }, []);
    if (part.error) throw part.error;
    if (part.Shown) return <part.Shown {...props} />;
    return Before ? <Before /> : null;
  }
  return function Fetched(props: P) {
    const { onClose } = props as { onClose?: () => void };
    return (
      <ErrorBoundary
        fallbackRender={(fell) => <Fallen {...fell} name={name} onClose={onClose} Before={Before} />}
      >
        <Part {...props} />
      </ErrorBoundary>
    );
  };
}

/** Shows nothing of its own in its place: it may stand in a drawing as well as in a panel. */
function Fallen({
  name,
  error,
  onClose,
  resetErrorBoundary,
  Before,
}: FallbackProps & { name: string; onClose?: () => void; Before?: ComponentType }) {
  const notify = useNotify();
  useEffect(() => {
    notify({
      text: `${name} ${isUnfetched(error) ? 'could not be fetched: the program cannot be reached just now' : 'had a fault and was closed'}. Everything else goes on, and what you did is kept.`,
      tone: 'error',
      ...(onClose ? {} : { action: { label: 'Try again', run: () => resetErrorBoundary() } }),
    });
    onClose?.();
    // oxlint-disable-next-line react/exhaustive-deps -- told once, whatever is drawn anew around it
  }, []);
  return Before ? <Before /> : null;
}

/** Whether code was not to be had, as bundlers and browsers say it. */
export const isUnfetched = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'ChunkLoadError' ||
    /load(ing)? chunk|dynamically imported module|import(ing)? a module/i.test(error.message));

/** What is asked for where there is no browser. */
export const never = new Promise<never>(() => {});

/**
 * A room that is drawn in the browser alone, as what it shows is kept there: a server that could draw it, too, would be half of a
 * build. It is fetched at once; until then `Walls` stand there, on the server as well. What `load` imports it must import only
 * where `typeof window` is known: that is what bundlers go by.
 */
export function inBrowser<P extends object>(
  name: string,
  load: Load<P>,
  Walls: ComponentType,
): ComponentType<P> {
  // Whoever shows it asks again, and tells if it cannot be fetched.
  load().catch(() => {});
  return fetched(name, load, Walls);
}
