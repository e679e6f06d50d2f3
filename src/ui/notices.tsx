'use client';
/** Short messages at the foot of the screen: what happened, what was kept, what to do. */
import type { Notice, NoticeBar } from '@/ui/NoticeBar';
import { createContext, useCallback, useContext, useEffect, useState, type ReactNode } from 'react';

const Context = createContext<(notice: Notice) => void>(() => {});

/** Shows a notice; it stays while it has an action or is an error, else it goes by itself. */
export const useNotify = () => useContext(Context);

/** Fetched soon after the room: what tells of faults must not itself have to be fetched when there is one. */
const FETCH_AFTER = 1200;
let known: typeof NoticeBar | undefined;
const fetchBar = () => import('@/ui/NoticeBar').then((module) => (known = module.NoticeBar));

export function NoticesProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<(Notice & { id: number }) | null>(null);
  const notify = useCallback(
    (next: Notice) => setNotice((now) => ({ ...together(now, next), id: Date.now() })),
    [],
  );
  useEffect(() => {
    const soon = setTimeout(() => void fetchBar().catch(() => {}), FETCH_AFTER);
    return () => clearTimeout(soon);
  }, []);
  return (
    <Context value={notify}>
      {children}
      {notice && <Bar key={notice.id} notice={notice} onClose={() => setNotice(null)} />}
    </Context>
  );
}

/** The bar, or the bare words where it cannot be fetched. */
function Bar(props: { notice: Notice; onClose: () => void }) {
  const [Shown, setShown] = useState(() => known);
  const [bare, setBare] = useState(false);
  useEffect(() => {
    if (!known)
      fetchBar().then(
        (bar) => setShown(() => bar),
        () => setBare(true),
      );
  }, []);
  if (Shown) return <Shown {...props} />;
  return bare ? (
    <div role="alert" className="bare-notice" onClick={props.onClose}>
      {props.notice.text}
    </div>
  ) : null;
}

/** An error stays until it is closed: what comes after it is told beneath it. */
function together(now: Notice | null, next: Notice): Notice {
  if (now?.tone !== 'error' || now.text === next.text) return next;
  return { ...next, tone: 'error', text: `${now.text}\n${next.text}` };
}
