/** The picture a sheet was opened for, whatever is selected later, as it lies by now. */
import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { aimed } from '@/features/table/acts/aimed';
import * as templating from '@/features/table/acts/templating';
import { useRoom, useSession } from '@/features/table/room/context';

export function useTemplate() {
  const { store } = useRoom();
  const [{ there, sha, surfaceId }] = useState(() => {
    const session = store.getState();
    return {
      there: aimed(store),
      sha: templating.templateOf(session)?.asset.sha ?? '',
      surfaceId: session.surfaceId,
    };
  });
  const template = useSession(useShallow(() => templating.templateNow(there, sha)));
  /** Whether its page is the one that is shown. */
  const shown = useSession((session) => session.surfaceId === surfaceId);
  return { there, template, shown };
}
