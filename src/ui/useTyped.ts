/** Text typed into a field that is taken when one leaves it. */
import { createContext, useContext, useDeferredValue, useEffect, useRef, useState } from 'react';

/** What the fields within are about, in any words: the ids of pieces, for instance. */
export const FieldsAbout = createContext('');

/** Takes what was typed; answers with why not, if it is refused. */
export type Take = (text: string) => string | null | void;

export interface Typed {
  /** What was typed so far, or taken a moment ago; null when the field shows what is so. */
  typed: string | null;
  problem: string | null;
  type(text: string): void;
  /** Takes it, as the field is left or Enter is pressed. */
  commit(): void;
  back(): void;
}

/**
 * What is typed is meant for what the field showed when typing began: it is taken by the `take` of that moment, though the
 * field may show another piece by the time it is left, and also when the field itself goes. A refusal is shown if the
 * fields are still about the same.
 */
export function useTyped(take: Take): Typed {
  const about = useContext(FieldsAbout);
  const [typed, setTyped] = useState<{ text: string; about: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [of, setOf] = useState(about);
  // What was refused of one is not shown of another, nor when one comes back to it.
  if (of !== about) {
    setOf(about);
    setTyped(null);
    setProblem(null);
  }
  // What was taken stays in sight until fields that follow when there is time show it: not what was before, for a moment,
  // with the caret at its end.
  const taken = useDeferredValue(typed);
  const seen = typed ?? taken;
  const begun = useRef<{ text: string; take: Take; about: string } | null>(null);
  const back = () => {
    begun.current = null;
    setTyped(null);
    setProblem(null);
  };
  // A field that goes while it is typed in loses nothing.
  useEffect(
    () => () => {
      begun.current?.take(begun.current.text);
      begun.current = null;
    },
    [],
  );
  return {
    typed: seen?.about === about ? seen.text : null,
    problem,
    back,
    type(text) {
      begun.current = { take, about, ...begun.current, text };
      setTyped({ text, about });
      setProblem(null);
    },
    commit() {
      const now = begun.current;
      begun.current = null;
      const refused = now?.take(now.text) ?? null;
      if (refused !== null && now!.about === about) setProblem(refused);
      else back();
    },
  };
}
