'use client';
/** All that lies under a spot, top to bottom, with pictures: for getting at what is hidden by others. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Paper from '@mui/material/Paper';
import { IconLock } from '@tabler/icons-react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { colourOf, isInk } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { piecesAt } from '@/core/page/pick';
import { toolsFor } from '@/core/page/outlines';
import { tellsApart } from '@/features/table/parts/measures';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { toPage } from '@/features/table/stage/hand/view';
import { smallBlob } from '@/storage/assets';
import { focusBack } from '@/features/table/stage/focus';

const WIDTH = 260;
const ROW = 44;

export function PeekList() {
  const { store } = useRoom();
  const spot = useSession((session) => session.peeking);
  const stage = useSession((session) => session.stage);
  const frame = useRef<HTMLDivElement>(null);
  const session = store.getState();
  const { unit } = session.history.project;
  const found = spot
    ? piecesAt(
        shownSurface(session).pile,
        toPage(session.view, spot),
        6 / session.view.zoom,
        toolsFor(session.history.project, session.typesetter),
      )
    : [];
  useLayoutEffect(() => {
    if (!spot) return;
    const before = document.activeElement as HTMLElement | null;
    (frame.current?.querySelector('button') ?? frame.current)?.focus();
    return () => focusBack(before);
  }, [spot]);
  if (!spot) return null;
  const close = () => store.getState().peekAt(null);
  const choose = (piece: Piece) => {
    // One piece is meant, whatever group it lies in: that group opens.
    store
      .getState()
      .choose({ selection: [piece.id], entered: piece.groups?.at(-1) ?? null, mode: { kind: 'pick' } });
    close();
  };
  const height = Math.max(1, found.length) * ROW + 46;
  return (
    <Paper
      ref={frame}
      role="dialog"
      tabIndex={-1}
      aria-label="What lies here, top first"
      elevation={6}
      data-own-keys
      onPointerDown={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        const buttons = [...frame.current!.querySelectorAll('button')];
        const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
        if (event.key === 'Escape') close();
        else if (event.key === 'ArrowDown') buttons[Math.min(buttons.length - 1, at + 1)]?.focus();
        else if (event.key === 'ArrowUp') buttons[Math.max(0, at - 1)]?.focus();
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      sx={{
        position: 'absolute',
        left: Math.max(8, Math.min(stage.width - WIDTH - 8, spot.x + 14)),
        top: Math.max(8, Math.min(stage.height - Math.min(height, stage.height - 16) - 8, spot.y - 20)),
        width: WIDTH,
        maxHeight: stage.height - 16,
        overflowY: 'auto',
        p: 0.75,
        zIndex: 4,
        borderRadius: 2,
      }}
    >
      <Box sx={{ px: 1, py: 0.5, fontWeight: 600, fontSize: '0.9rem' }}>
        {found.length
          ? `${found.length} ${found.length === 1 ? 'piece lies' : 'pieces lie'} here`
          : 'Nothing lies here'}
      </Box>
      {found.map((piece) => (
        <ButtonBase
          key={piece.id}
          onClick={() => choose(piece)}
          onFocus={() => store.getState().hover(piece.id)}
          onPointerEnter={() => store.getState().hover(piece.id)}
          sx={{
            width: '100%',
            minHeight: ROW,
            px: 1,
            gap: 1.25,
            borderRadius: 1,
            justifyContent: 'flex-start',
            fontFamily: 'inherit',
            fontSize: '0.95rem',
            '&:hover, &.Mui-focusVisible': { bgcolor: 'background.default' },
          }}
        >
          <PieceThumb piece={piece} />
          <Box
            component="span"
            sx={{
              flex: 1,
              textAlign: 'left',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {piece.name || piece.role}
            <Box component="span" sx={{ display: 'block', fontSize: 14, color: 'text.secondary' }}>
              {tellsApart(piece, unit)}
            </Box>
          </Box>
          {piece.placement.locked && <IconLock size={15} aria-label="locked" />}
        </ButtonBase>
      ))}
    </Paper>
  );
}

/** A piece's picture or ink, small. */
function PieceThumb({ piece: { material } }: { piece: Piece }) {
  const sha = 'asset' in material ? material.asset : undefined;
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    if (!sha) return;
    let made: string | undefined;
    let gone = false;
    void smallBlob(sha).then((blob) => {
      if (!blob || gone) return;
      made = URL.createObjectURL(blob);
      setAddress(made);
    });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [sha]);
  return (
    <Box
      component="span"
      sx={{
        width: 44,
        height: 36,
        flexShrink: 0,
        borderRadius: 0.75,
        bgcolor: isInk(material) ? colourOf(material) : 'table.main',
        backgroundImage: address ? `url(${address})` : 'none',
        backgroundSize: 'contain',
        backgroundPosition: 'center',
        backgroundRepeat: 'no-repeat',
      }}
    />
  );
}
