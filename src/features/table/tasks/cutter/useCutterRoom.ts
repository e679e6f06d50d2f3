/** All that the room knows: what goes to the cutter, how it is set, and what comes of it. */
import { useCallback, useMemo, useState } from 'react';
import type { Cure } from '@/core/cutter/checks/check';
import type { CutterSettings } from '@/core/cutter/settings';
import { sheetIn } from '@/core/product/sheet';
import type { Result } from '@/core/result';
import { CUT_SCOPES, cutOtherwise, placesToCut, type CutScope } from '@/features/table/acts/cutter';
import { usePlans } from '@/features/table/parts/usePlans';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { useRoom, useSession } from '@/features/table/room/context';
import { LONGEST, usePrepared } from '@/features/table/tasks/cutter/useCutter';
import { useSettings } from '@/features/table/tasks/cutter/useSettings';
import type { CutOrder, Tried } from '@/workers/cutter.worker';

export function useCutterRoom() {
  const { store } = useRoom();
  const history = useSession((session) => session.history);
  const surfaceId = useSession((session) => session.surfaceId);
  const typesetter = useSession((session) => session.typesetter);
  const readOnly = useSession((session) => session.readOnly);
  const { project } = history;
  // What was selected when it was opened stays what is meant.
  const [selection] = useState(() => store.getState().selection);
  const scopes = (Object.keys(CUT_SCOPES) as CutScope[]).filter((id) => CUT_SCOPES[id].has(store.getState()));
  const sheet = sheetIn(project.product);
  const [scope, setScope] = useState<CutScope>(() =>
    selection.length > 1 ? 'chosen' : sheet ? 'paper' : 'page',
  );
  const [kept, change] = useSettings();
  // What lies on paper is cut where it is printed: cards along their edges.
  const onPaper = scope === 'paper' || scope === 'stickers';
  const settings = useMemo<CutterSettings>(
    () => (onPaper ? { ...kept, way: 'printed', ...(scope === 'paper' ? { around: 0 } : {}) } : kept),
    [kept, onPaper, scope],
  );
  const packed = usePlans(onPaper ? sheet : null);
  const places = useMemo(
    () => placesToCut({ history, surfaceId, selection, typesetter }, scope, packed?.plans),
    [history, surfaceId, selection, typesetter, scope, packed],
  );
  const { prepared, current, problem, hands } = usePrepared(places, settings);
  const assets = useMemo(
    () => [...new Set(places.flatMap(({ items }) => items.flatMap(({ paper }) => paper.asset ?? [])))],
    [places],
  );
  const thumbs = useThumbs(assets);
  const order = useMemo(() => ({ mats: prepared?.mats ?? [], settings }), [prepared, settings]);
  const make = useCallback(
    (of: CutOrder) => hands.do((cutter) => cutter.filesOf(of), { limit: LONGEST }),
    [hands],
  );
  const tryIt = useCallback(
    (of: CutOrder, one: number): Promise<Result<Tried>> =>
      hands.do(async (cutter) => cutter.tried(of, one), { limit: LONGEST }),
    [hands],
  );
  const cure = (cures: readonly Cure[]) => {
    for (const each of cures) if ('set' in each) change(each.set);
    const [first] = cures;
    if (!first || !('pieces' in first)) return;
    const pieces = cures.flatMap((each) => ('pieces' in each ? each.pieces : []));
    cutOtherwise(store, [...new Set(pieces)], first.change);
  };
  return {
    ...{ store, project, readOnly, scopes, scope, setScope, onPaper, settings, change },
    ...{ places, thumbs, prepared, current, problem, order, make, tryIt, cure },
  };
}
