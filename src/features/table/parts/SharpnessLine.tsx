'use client';
/** How sharply the picture of a piece prints, in words. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { IconAlertTriangle, IconCircleCheck } from '@tabler/icons-react';
import { toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { describeSharpness, sharpnessOf } from '@/core/proof/sharpness';
import type { Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';

export function SharpnessLine({ piece, unit }: { piece: Piece; unit: Unit }) {
  const project = useSession(({ history }) => history.project);
  const typesetter = useSession((session) => session.typesetter);
  const sharpness = sharpnessOf(piece, toolsFor(project, typesetter));
  if (!sharpness) return null;
  const sharp = sharpness.verdict === 'sharp';
  const Icon = sharp ? IconCircleCheck : IconAlertTriangle;
  return (
    <Box sx={{ display: 'flex', gap: 1, color: sharp ? 'success.main' : 'warning.main' }}>
      <Icon size={19} style={{ flexShrink: 0 }} />
      <Typography variant="body2" data-testid="sharpness">
        {describeSharpness(sharpness, unit)}
      </Typography>
    </Box>
  );
}
