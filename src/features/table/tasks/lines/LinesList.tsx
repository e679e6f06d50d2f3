'use client';
/** The lines of a drawn piece, the uppermost first: to be held, put up or down, taken away. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconArrowDown, IconArrowUp, IconX } from '@tabler/icons-react';
import type { DrawnPiece } from '@/core/project/lines';
import { trailSays } from '@/core/trail';
import * as act from '@/features/table/acts';
import { inkOf } from '@/features/table/parts/trails/spools';
import { useRoom, useSession } from '@/features/table/room/context';

/** So many are listed; what lies deeper is pressed on the page. */
const LISTED = 60;

interface Props {
  piece: DrawnPiece;
  held: string | null;
  readOnly: boolean;
}

export function LinesList({ piece, held, readOnly }: Props) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const { lines } = piece.outline;
  const shown = [...lines].reverse().slice(0, LISTED);
  return (
    <Box component="section" aria-label="Lines of this piece" sx={{ mt: 1.5 }}>
      <Typography component="h3" sx={{ fontSize: '0.95rem', fontWeight: 600, mb: 0.5 }}>
        {lines.length === 1 ? 'One line on this piece' : `${lines.length} lines on this piece`}
      </Typography>
      <Box sx={{ maxHeight: 190, overflowY: 'auto' }}>
        {shown.map(({ id, trail }, i) => (
          <Box key={id} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
            <ButtonBase
              aria-pressed={id === held}
              onClick={() => act.holdLine(store, id === held ? null : id)}
              sx={{
                ...{
                  flex: 1,
                  minWidth: 0,
                  justifyContent: 'flex-start',
                  gap: 1,
                  px: 0.75,
                  minHeight: 32,
                  borderRadius: 1,
                },
                bgcolor: id === held ? 'action.selected' : undefined,
                fontSize: '0.9rem',
                fontFamily: 'inherit',
              }}
            >
              <Box
                component="span"
                aria-hidden
                sx={{
                  width: 14,
                  height: 14,
                  flexShrink: 0,
                  borderRadius: '50%',
                  bgcolor: inkOf(trail),
                  border: '1px solid rgba(0,0,0,0.25)',
                }}
              />
              <Box
                component="span"
                sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
              >
                {lines.length - i} {trailSays(trail, unit)}
              </Box>
            </ButtonBase>
            {id === held && !readOnly && (
              <>
                <Small name="Up" off={i === 0} onPress={() => act.moveLine(store, id, 1)}>
                  <IconArrowUp size={16} />
                </Small>
                <Small name="Down" off={i === lines.length - 1} onPress={() => act.moveLine(store, id, -1)}>
                  <IconArrowDown size={16} />
                </Small>
                <Small name="Take it away" off={false} onPress={() => act.dropLine(store)}>
                  <IconX size={16} />
                </Small>
              </>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

interface SmallProps {
  name: string;
  off: boolean;
  onPress: () => void;
  children: React.ReactNode;
}

const Small = ({ name, off, onPress, children }: SmallProps) => (
  <Tooltip title={name}>
    <span>
      <IconButton size="small" color="inherit" aria-label={name} disabled={off} onClick={onPress}>
        {children}
      </IconButton>
    </span>
  </Tooltip>
);
