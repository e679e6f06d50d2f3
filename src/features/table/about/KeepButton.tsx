'use client';
/** What lies on the page, kept in the cupboard: chosen pieces as a supply, the page as a ready-made page. */
import Button from '@mui/material/Button';
import { IconArchive } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Piece } from '@/core/piece/piece';
import { surfaceOf } from '@/core/project/model';
import { useRoom, useSession } from '@/features/table/room/context';

const KeepDialog = dynamic(() =>
  import('@/features/table/room/KeepDialog').then((module) => module.KeepDialog),
);
const keeping = () => import('@/features/table/room/keepSupply');

/** For some pieces; without any, for the whole page. */
export function KeepButton({ pieces = [] }: { pieces?: readonly Piece[] }) {
  const { store } = useRoom();
  const title = useSession((session) => session.history.project.title);
  const [open, setOpen] = useState(false);
  const one = pieces.length === 1;
  const name = pieces.length ? (one ? pieces[0]!.name : `${pieces[0]!.name} and more`) : title || 'My page';
  return (
    <>
      <Button
        size="small"
        color="inherit"
        startIcon={<IconArchive size={18} />}
        onClick={() => setOpen(true)}
      >
        {pieces.length ? 'Keep in the cupboard' : 'Keep as a ready-made page'}
      </Button>
      {open && (
        <KeepDialog
          title={pieces.length ? `Keep ${one ? 'this piece' : `${pieces.length} pieces`}` : 'Keep this page'}
          name={name}
          onClose={() => setOpen(false)}
          onKeep={async (kept) => {
            const { history, surfaceId } = store.getState();
            const { keepPage, keepPieces } = await keeping();
            return pieces.length
              ? keepPieces(history.project, surfaceOf(history.project, surfaceId), pieces, kept)
              : keepPage(history.project, kept);
          }}
        />
      )}
    </>
  );
}
