'use client';
/** How a piece’s colours meet what lies beneath: the published modes, each shown as it would look here. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { extentOf } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { BLENDS, type Blend } from '@/core/picture/blend';
import type { Surface } from '@/core/project/model';
import { changeFinish } from '@/core/project/edits/make';
import { useMemo, useState } from 'react';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { shownSurface } from '@/features/table/session';

/** Pixels of a sample. */
const SAMPLE = { width: 76, height: 52 };

export function BlendField({ pieces }: { pieces: readonly Piece[] }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [open, setOpen] = useState(false);
  const [piece] = pieces;
  if (!piece) return null;
  return (
    <TextField
      select
      label="Blend with what lies beneath"
      value={piece.finish.blend ?? 'normal'}
      disabled={readOnly}
      sx={{ gridColumn: '1 / -1', mt: 0.75 }}
      onChange={(event) =>
        perform(
          changeFinish(surfaceId, pieces, 'change blend', {
            blend: event.target.value === 'normal' ? undefined : (event.target.value as Blend),
          }),
        )
      }
      slotProps={{
        select: {
          onOpen: () => setOpen(true),
          onClose: () => setOpen(false),
          renderValue: (value) => blendName(value as Blend | 'normal'),
        },
      }}
    >
      {(['normal', ...BLENDS] as const).map((blend) => (
        <MenuItem key={blend} value={blend} sx={{ gap: 1.5 }}>
          {open && (
            <Sample of={shownSurface(store.getState())} ids={pieces.map(({ id }) => id)} blend={blend} />
          )}
          {blendName(blend)}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** The place where the first piece lies, as it would look. */
function Sample({ of, ids, blend }: { of: Surface; ids: readonly string[]; blend: Blend | 'normal' }) {
  const project = useSession((session) => session.history.project);
  const first = of.pile.find(({ id }) => id === ids[0])!;
  const surface = useMemo(
    () => ({
      ...of,
      pile: of.pile.map((piece) =>
        ids.includes(piece.id)
          ? { ...piece, finish: { ...piece.finish, blend: blend === 'normal' ? undefined : blend } }
          : piece,
      ),
    }),
    [of, ids, blend],
  );
  const part = useMemo(() => {
    const { x, y, width, height } = extentOf(first.placement);
    const tall = 1.12 * Math.max(height, (width * SAMPLE.height) / SAMPLE.width);
    const wide = (tall * SAMPLE.width) / SAMPLE.height;
    return { x: x + (width - wide) / 2, y: y + (height - tall) / 2, width: wide, height: tall };
  }, [first]);
  return (
    <PagePicture
      project={project}
      surface={surface}
      side={SAMPLE.width}
      part={part}
      style={{ borderRadius: 6, flexShrink: 0 }}
    />
  );
}

/** The published names, as words: `color-burn` is Colour burn. */
const blendName = (blend: Blend | 'normal'): string => {
  if (blend === 'normal') return 'Normal: it covers';
  const words = blend.replace('-', ' ').replace('color', 'colour');
  return words.charAt(0).toUpperCase() + words.slice(1);
};
