'use client';
/** Short messages at the foot of the screen: what happened, what was kept, what to do. */
import type { Notice } from '@/ui/NoticeBar';
import dynamic from 'next/dynamic';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

const NoticeBar = dynamic(() => import('@/ui/NoticeBar').then((module) => module.NoticeBar));

const Context = createContext<(notice: Notice) => void>(() => {});

/** Shows a notice; it stays while it has an action or is an error, else it goes by itself. */
export const useNotify = () => useContext(Context);

export function NoticesProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<(Notice & { id: number }) | null>(null);
  const notify = useCallback(
    (next: Notice) => setNotice((now) => ({ ...together(now, next), id: Date.now() })),
    [],
  );
  return (
    <Context value={notify}>
      {children}
      {notice && <NoticeBar key={notice.id} notice={notice} onClose={() => setNotice(null)} />}
    </Context>
  );
}

/** An error stays until it is closed: what comes after it is told beneath it. */
function together(now: Notice | null, next: Notice): Notice {
  if (now?.tone !== 'error' || now.text === next.text) return next;
  return { ...next, tone: 'error', text: `${now.text}\n${next.text}` };
}
