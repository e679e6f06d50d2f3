/**
 * What is done before the next frame: first what a hand did since the last one, then what is painted of it, so that what moves and
 * the marks about it are seen in the same frame, and one frame is enough for both.
 */
type Work = () => void;

const waiting: Record<'acts' | 'paints', Set<Work>> = { acts: new Set(), paints: new Set() };
let asked = false;

function run() {
  try {
    // What is asked for while its own turn lasts waits for the next frame.
    for (const turn of ['acts', 'paints'] as const)
      for (const work of [...waiting[turn]]) if (waiting[turn].delete(work)) work();
  } finally {
    asked = false;
    if (waiting.acts.size + waiting.paints.size) ask();
  }
}

function ask() {
  if (!asked) requestAnimationFrame(run);
  asked = true;
}

const before = (turn: keyof typeof waiting) => (work: Work) => {
  waiting[turn].add(work);
  ask();
  return () => void waiting[turn].delete(work);
};

/** Does what a hand did; what comes back leaves it undone. */
export const actSoon = before('acts');
/** Paints after it; a second time before the same frame is the same. */
export const paintSoon = before('paints');
