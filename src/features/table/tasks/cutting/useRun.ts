/** Cuts that are waited for: begun once however often they are pressed, and why one came to nothing. */
import { useState } from 'react';
import type { Result } from '@/core/result';

export function useRun() {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const run = async (work: () => Promise<Result<number>>): Promise<void> => {
    setBusy(true);
    try {
      const done = await work();
      setProblem(done.ok ? null : done.message);
    } finally {
      setBusy(false);
    }
  };
  return { busy, problem, setProblem, run };
}
