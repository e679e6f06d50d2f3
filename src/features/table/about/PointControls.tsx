'use client';
/** The held point or side of the outline that is being worked, by number. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPolygon } from '@tabler/icons-react';
import { useState } from 'react';
import type { Piece } from '@/core/piece/piece';
import { formatLength, type Unit } from '@/core/units/lengths';
import { FARTHEST, measureWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';

export function PointControls({ piece, unit }: { piece: Piece; unit: Unit }) {
  const { store } = useRoom();
  const mode = useSession((session) => session.mode);
  const readOnly = useSession((session) => session.readOnly);
  const [radius, setRadius] = useState(9);
  if (mode.kind !== 'reshape' || mode.id !== piece.id)
    return (
      <Button
        size="small"
        color="inherit"
        variant="outlined"
        disabled={readOnly}
        startIcon={<IconPolygon size={17} />}
        onClick={() => act.startReshaping(store)}
      >
        Move its points
      </Button>
    );
  const rings = act.ringsOf(store.getState(), piece);
  const { at, side } = mode;
  const knot = at && rings[at.ring]?.[at.knot];
  const here = knot && act.pointOnPage(piece, rings, at);
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  const number = at ? rings.slice(0, at.ring).reduce((sum, ring) => sum + ring.length, 0) + at.knot + 1 : 0;
  return (
    <Box
      role="group"
      aria-label="Points of its outline"
      sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', alignItems: 'center' }}
    >
      <Typography variant="body2" role="status" sx={{ gridColumn: '1 / -1' }}>
        {!knot
          ? `${count} points. Press a point or a side; N and B go from one to the next.`
          : side
            ? `The side after point ${number} of ${count}.`
            : `Point ${number} of ${count}.`}
      </Typography>
      {here && !side && (
        <>
          <LengthField
            label="Across"
            unit={unit}
            shown={formatLength(here.x, unit)}
            read={measureWithin(unit, -FARTHEST, FARTHEST)}
            onCommit={(x) => act.movePoint(store, { x, y: here.y })}
          />
          <LengthField
            label="Down"
            unit={unit}
            shown={formatLength(here.y, unit)}
            read={measureWithin(unit, -FARTHEST, FARTHEST)}
            onCommit={(y) => act.movePoint(store, { x: here.x, y })}
          />
          <LengthField
            label="Corner radius"
            unit={unit}
            shown={formatLength(radius, unit)}
            read={measureWithin(unit, 0.5, FARTHEST)}
            onCommit={setRadius}
          />
          <Button
            size="small"
            color="inherit"
            variant="outlined"
            onClick={() => act.roundCorner(store, radius)}
          >
            Round it
          </Button>
        </>
      )}
    </Box>
  );
}
