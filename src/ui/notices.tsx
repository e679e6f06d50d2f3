'use client';
/** Short messages at the foot of the screen: what happened, what was kept, what to do. */
import type { Notice } from '@/ui/notice';
import type { NoticeBar } from '@/ui/NoticeBar';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useState,
  type CSSProperties,
  type ReactNode,
} from 'react';

const Context = createContext<(notice: Notice) => void>(() => {});

/** Shows a notice; it stays while it has an action or is an error, else it goes by itself. */
export const useNotify = () => useContext(Context);

let known: typeof NoticeBar | undefined;
const fetchBar = () => import('@/ui/NoticeBar').then((module) => (known = module.NoticeBar));

export function NoticesProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<(Notice & { id: number }) | null>(null);
  const notify = useCallback(
    (next: Notice) => setNotice((now) => ({ ...together(now, next), id: Date.now() })),
    [],
  );
  return (
    <Context value={notify}>
      {children}
      {notice && <Bar key={notice.id} notice={notice} onClose={() => setNotice(null)} />}
    </Context>
  );
}

/** What tells of faults must be seen though nothing more can be fetched. */
const BARE: CSSProperties = {
  position: 'fixed',
  bottom: 24,
  left: '50%',
  transform: 'translateX(-50%)',
  zIndex: 1500,
  maxWidth: 720,
  padding: '12px 16px',
  borderRadius: 8,
  background: '#8d1f2b',
  color: '#ffffff',
  whiteSpace: 'pre-line',
};

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
    <div role="alert" style={BARE}>
      {props.notice.text}{' '}
      <button
        type="button"
        onClick={props.onClose}
        style={{ font: 'inherit', padding: '4px 12px', borderRadius: 6, border: 0 }}
      >
        Close
      </button>
    </div>
  ) : null;
}

/** An error stays until it is closed: what comes after it is told beneath it. */
function together(now: Notice | null, next: Notice): Notice {
  if (now?.tone !== 'error' || now.text === next.text) return next;
  return { ...next, tone: 'error', text: `${now.text}\n${next.text}` };
}
