'use client';
/** What lies on the page, kept in the cupboard: chosen pieces as a supply, the page as a ready-made page, its places as a sketch. */
import Button from '@mui/material/Button';
import { IconArchive, IconLayoutBoard } from '@tabler/icons-react';
import { useState } from 'react';
import { nameOfProduct } from '@/core/product';
import { KINDS, readyKind } from '@/core/supplies/model';
import { materialKind } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { holdsOrKeeps } from '@/core/project/frames';
import { surfaceOf } from '@/core/project/model';
import type { Result } from '@/core/result';
import { useRoom, useSession } from '@/features/table/room/context';
import type { Kept } from '@/features/table/acts/keepSupply';
import { paintPage } from '@/features/table/stage/paint/paintPage';
import { shownSurface } from '@/features/table/session';
import { fetched } from '@/ui/fetched';

const KeepDialog = fetched('Keeping', () =>
  import('@/features/table/room/KeepDialog').then((m) => m.KeepDialog),
);
const keeping = () => import('@/features/table/acts/keepSupply');

/** Pixels of a kept thing's small picture. */
const PREVIEW = 320;

interface Props {
  says: string;
  title: string;
  name: string;
  icon?: typeof IconArchive;
  /** How it may be kept, where there is a choice; the first is proposed. */
  ways?: readonly string[];
  /** Hears which of the ways was chosen. */
  onKeep: (kept: Kept, way: number) => Promise<Result<null>>;
}

function Keep({ says, title, name, icon: Icon = IconArchive, ways, onKeep }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" color="inherit" startIcon={<Icon size={18} />} onClick={() => setOpen(true)}>
        {says}
      </Button>
      {open && (
        <KeepDialog title={title} name={name} ways={ways} onClose={() => setOpen(false)} onKeep={onKeep} />
      )}
    </>
  );
}

export function KeepPieces({ pieces }: { pieces: readonly Piece[] }) {
  const { store, shelf } = useRoom();
  const [first, ...others] = pieces;
  if (!first) return null;
  return (
    <Keep
      says="Keep in the cupboard"
      title={`Keep ${others.length ? `${pieces.length} pieces` : 'this piece'}`}
      name={others.length ? `${first.name} and more` : first.name}
      ways={['Each part still to be changed', 'As one picture']}
      onKeep={async (kept, way) => {
        const { history, surfaceId, typesetter } = store.getState();
        const { keepParts, keepPicture } = await keeping();
        const { project } = history;
        const surface = surfaceOf(project, surfaceId);
        if (way) return keepPicture(project, surface, pieces, kept);
        return keepParts(project, surface, pieces, kept, (parts, sheet, type) =>
          paintPage(parts, sheet, typesetter, shelf, PREVIEW).convertToBlob({ type, quality: 0.86 }),
        );
      }}
    />
  );
}

export function KeepPage() {
  const { store, shelf } = useRoom();
  const title = useSession((session) => session.history.project.title);
  const kind = useSession(({ history }) => readyKind(nameOfProduct(history.project.product)));
  const what = KINDS[kind].one.replace('ready-made ', '');
  const photos = useSession((session) =>
    shownSurface(session).pile.some(({ material }) => materialKind(material).photos),
  );
  return (
    <Keep
      says={`Keep as a ${KINDS[kind].one}`}
      title={`Keep this ${what}`}
      name={title || `My ${what}`}
      {...(photos ? { ways: ['A free place for each photo', 'With the photos on it'] } : {})}
      onKeep={async (kept, way) => {
        const { history, surfaceId, typesetter } = store.getState();
        const { project } = history;
        return (await keeping()).keepPage(
          project,
          surfaceOf(project, surfaceId),
          way === 1,
          kept,
          (made, sheet, type, part) =>
            paintPage(made, sheet, typesetter, shelf, PREVIEW, part).convertToBlob({ type, quality: 0.86 }),
        );
      }}
    />
  );
}

/** Only where the page has photos or places. */
export function KeepSketch() {
  const { store, shelf } = useRoom();
  const places = useSession((session) => shownSurface(session).pile.filter(holdsOrKeeps).length);
  if (!places) return null;
  const count = places === 1 ? '1 place' : `${places} places`;
  return (
    <Keep
      says={`Keep its ${count} as a sketch`}
      icon={IconLayoutBoard}
      title={`Keep ${count} as a sketch`}
      name={`Sketch for ${places}`}
      onKeep={async (kept) => {
        const { history, surfaceId, typesetter } = store.getState();
        return (await keeping()).keepSketch(
          history.project,
          surfaceOf(history.project, surfaceId),
          kept,
          (sketch) =>
            paintPage(sketch, sketch.surfaces[0]!, typesetter, shelf, PREVIEW).convertToBlob({
              type: 'image/jpeg',
              quality: 0.86,
            }),
        );
      }}
    />
  );
}
