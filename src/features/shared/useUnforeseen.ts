/** The last net: what failed without anybody waiting for it is told, so that nothing ever does nothing without a word. */
import { useEffect } from 'react';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

/** Of no news to a person: what was called off. */
const CALLED_OFF = new Set(['AbortError', 'NotAllowedError']);

export function useUnforeseen(): void {
  const notify = useNotify();
  useEffect(() => {
    const told = ({ reason }: PromiseRejectionEvent) => {
      if (!CALLED_OFF.has((reason as Error | null)?.name ?? ''))
        notify({ text: inWords(reason, 'What you asked for was not done'), tone: 'error' });
    };
    window.addEventListener('unhandledrejection', told);
    return () => window.removeEventListener('unhandledrejection', told);
  }, [notify]);
}
