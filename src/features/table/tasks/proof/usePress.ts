/** Pixels as they will look printed, worked out beside the page. */
import { useEffect, useState } from 'react';
import type { Condition } from '@/core/press/conditions';
import type { Looked } from '@/core/press/look';
import type { Result } from '@/core/result';
import type { ProofSettings } from '@/features/table/tasks/proof/settings';
import type { AskPress } from '@/features/table/tasks/proof/usePressRoom';
import { JobEnded } from '@/workers/hands';

export interface Printed extends Omit<Looked, 'pixels'> {
  image: ImageData;
  /** Of which pixels it was made. */
  of: ImageData;
}

/** As the press worker takes it. */
export const pixelsOf = ({ data, width, colorSpace }: ImageData) => ({
  ...{ data, width },
  wide: colorSpace === 'display-p3',
});

/** What was last made stays until the next is there; null before, and as on the screen. */
export function usePress(
  askPress: AskPress,
  pixels: ImageData | null,
  on: Condition | null,
  { intent, blackPoint, paper, marked }: ProofSettings,
): { printed: Printed | null; problem: string | null } {
  const [id, file] = [on?.id, on?.file];
  const [printed, setPrinted] = useState<Printed | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (!pixels || !id) return;
    let gone = false;
    const how = { intent, blackPoint, paper, marked };
    askPress(
      { id, ...(file ? { file } : {}) },
      async (press, on): Promise<Result<Looked>> => await press.look(on, pixelsOf(pixels), how),
    ).then(
      (looked) => {
        if (gone) return;
        setProblem(looked.ok ? null : looked.message);
        if (!looked.ok) return;
        const { pixels: made, ...told } = looked.value;
        setPrinted({ ...told, image: new ImageData(made, pixels.width, pixels.height), of: pixels });
      },
      (error: unknown) =>
        !gone &&
        setProblem(
          error instanceof JobEnded
            ? 'The colours could not be worked out: it took too long, or more memory than there is.'
            : 'The colour profile could not be fetched. The page is shown as on the screen.',
        ),
    );
    return () => {
      gone = true;
    };
  }, [askPress, pixels, id, file, intent, blackPoint, paper, marked]);
  return !on ? { printed: null, problem: null } : { printed, problem };
}
