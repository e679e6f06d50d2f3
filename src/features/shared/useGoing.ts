/** The way from anywhere to the table of a project. */
import { useRouter } from 'next/navigation';
import { useCallback, useRef, useTransition } from 'react';

export interface Going {
  open: (id: string) => void;
  /** Does what leads to a table once, however often it is pressed before that table is there. */
  once: (work: () => Promise<void>) => Promise<void>;
}

export function useGoing(): Going {
  const router = useRouter();
  const [leaving, leave] = useTransition();
  const open = useCallback((id: string) => leave(() => router.push(`/table?project=${id}`)), [router, leave]);
  const busy = useRef(false);
  const once = useCallback(
    async (work: () => Promise<void>) => {
      if (busy.current || leaving) return;
      busy.current = true;
      await work().finally(() => (busy.current = false));
    },
    [leaving],
  );
  return { open, once };
}
