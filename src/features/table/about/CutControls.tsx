'use client';
/** How pieces are cut: the usual cuts at once, all punches in their sheet, the settings of the one in use, the edge. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconCut, IconLayersIntersect, IconScissors } from '@tabler/icons-react';
import { memo } from 'react';
import { pathData } from '@/core/geometry/path';
import { isDrawn } from '@/core/project/lines';
import { keepsOutline, type Outline } from '@/core/piece/outline';
import { ellipse } from '@/core/piece/outline/ellipse';
import { punchOf } from '@/core/piece/outline/punches';
import { valuesFor, type Setting } from '@/core/piece/outline/punches/punch';
import { rectangle } from '@/core/piece/outline/rectangle';
import type { Piece } from '@/core/piece/piece';
import { cutToPunch, setPunch } from '@/core/project/edits/cut';
import { changeOutline } from '@/core/project/edits/make';
import { fail } from '@/core/result';
import { formatLength, parseLength, type Unit } from '@/core/units/lengths';
import { EdgeControls } from '@/features/table/about/EdgeControls';
import { measureWithin, percentWithin, wholeWithin } from '@/features/table/parts/measures';
import { PointControls } from '@/features/table/about/PointControls';
import { punchDrawing } from '@/features/table/parts/punchDrawing';
import { useRoom, useSession } from '@/features/table/room/context';
import { LengthField } from '@/ui/LengthField';
import { fetched } from '@/ui/fetched';
import { useSteady } from '@/ui/useSteady';
import { tip } from '@/features/table/tasks';

const ICON = { width: 26, height: 26 };
const JoinedControls = fetched('Joined letters', () =>
  import('@/features/table/tasks/words/JoinedControls').then((m) => m.JoinedControls),
);

/** Cuts that need no letters never ask the typesetter. */
const NO_TYPE = undefined as never;

interface Choice {
  id: string;
  name: string;
  drawing: string;
  outline?: Outline;
}

const plain = (radius: number) =>
  pathData(rectangle.cut({ kind: 'rectangle', radius }, { width: 26, height: 20 }, NO_TYPE).path);
const CHOICES: readonly Choice[] = [
  { id: 'rectangle', name: 'Rectangle', outline: { kind: 'rectangle', radius: 0 }, drawing: plain(0) },
  { id: 'rounded', name: 'Rounded', outline: { kind: 'rectangle', radius: 18 }, drawing: plain(6) },
  {
    id: 'ellipse',
    name: 'Ellipse',
    outline: { kind: 'ellipse' },
    drawing: pathData(ellipse.cut({ kind: 'ellipse' }, ICON, NO_TYPE).path),
  },
  ...['square', 'circle', 'arch', 'hexagon', 'tag', 'heart', 'scalloped-round'].map((id) => ({
    id,
    name: punchOf(id).name,
    drawing: punchDrawing(punchOf(id), 26),
  })),
];

const choiceOf = (outline: Outline): string =>
  outline.kind === 'punch'
    ? outline.punch
    : outline.kind === 'rectangle' && outline.radius
      ? 'rounded'
      : outline.kind;

interface ShapesProps {
  chosen: string;
  disabled: boolean;
  onChoose: (id: string | null) => void;
}

const Shapes = memo(function Shapes({ chosen, disabled, onChoose }: ShapesProps) {
  return (
    <ToggleButtonGroup
      exclusive
      disabled={disabled}
      value={chosen}
      onChange={(_, id: string | null) => onChoose(id)}
      aria-label="Cut to a shape"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(5, minmax(0, 1fr))',
        gap: 0.75,
        '& .MuiToggleButton-root': {
          border: 1,
          borderColor: 'divider',
          borderRadius: 1.5,
          height: 46,
          p: 0,
          m: 0,
        },
      }}
    >
      {CHOICES.map(({ id, name, drawing }) => (
        <ToggleButton key={id} value={id} aria-label={name}>
          <Tooltip title={name}>
            <svg width={36} height={32} viewBox="-18 -16 36 32" aria-hidden="true">
              <path
                d={drawing}
                fill="currentColor"
                fillOpacity={0.22}
                stroke="currentColor"
                strokeWidth={1.6}
              />
            </svg>
          </Tooltip>
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
});

export function CutControls({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const free = pieces.filter(({ placement }) => !placement.locked);
  const cuttable = free.filter(({ outline }) => !keepsOutline(outline));
  const [piece] = cuttable;
  const choose = useSteady((id: string | null) => {
    const choice = CHOICES.find((candidate) => candidate.id === id);
    if (!choice) return;
    const { outline } = choice;
    perform(
      outline ? changeOutline(surfaceId, cuttable, outline) : cutToPunch(surfaceId, cuttable, choice.id),
    );
  });
  if (!free.length)
    return (
      <Typography variant="body2" color="text.secondary">
        Locked: unlock it to cut it anew.
      </Typography>
    );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
      {!piece && (
        <Typography variant="body2" color="text.secondary">
          {free.some(isDrawn)
            ? 'What is drawn keeps its lines. Scissors cut through it, and so does what is cut out of it or overlaps it.'
            : 'What is written is cut to that.'}
        </Typography>
      )}
      {free.length === 1 && free[0]!.outline.kind === 'lines' && (
        <Button variant="outlined" color="inherit" onClick={() => store.getState().openSheet('lines')}>
          Draw on, or hold its lines
        </Button>
      )}
      {free.length === 1 && free[0]!.outline.kind === 'glyphs' && <JoinedControls piece={free[0]!} />}
      {piece && (
        <>
          <Shapes chosen={choiceOf(piece.outline)} disabled={readOnly} onChoose={choose} />
          <Box sx={{ display: 'flex', gap: 0.75 }}>
            <Button
              size="small"
              color="inherit"
              variant="outlined"
              disabled={readOnly}
              startIcon={<IconCut size={17} />}
              title={tip('All punches', 'D')}
              onClick={() => store.getState().openSheet('punches')}
              sx={{ flex: 1 }}
            >
              All punches
            </Button>
            <Button
              size="small"
              color="inherit"
              variant="outlined"
              disabled={readOnly}
              startIcon={<IconLayersIntersect size={17} />}
              title={tip('Join, cut out, overlap, divide, grow', 'X')}
              onClick={() => store.getState().openSheet('combine')}
              sx={{ flex: 1 }}
            >
              Combine
            </Button>
          </Box>
          <Box sx={{ display: 'flex', gap: 0.75 }}>
            <Button
              size="small"
              color="inherit"
              variant="outlined"
              disabled={readOnly}
              startIcon={<IconScissors size={17} />}
              title={tip('Draw an outline by hand, or cut with scissors', 'A')}
              onClick={() => store.getState().openSheet('draw')}
              sx={{ flex: 1 }}
            >
              Draw and cut
            </Button>
          </Box>
          {cuttable.length === 1 && <PointControls piece={piece} unit={unit} />}
          {piece.outline.kind === 'rectangle' && (
            <LengthField
              label="Corner radius"
              unit={unit}
              disabled={readOnly}
              shown={formatLength(piece.outline.radius, unit)}
              read={(text) => {
                const read = parseLength(text, unit);
                return read.ok && (read.value < 0 || read.value > 4320) ? fail('From 0 to 60 in.') : read;
              }}
              onCommit={(radius) =>
                perform(changeOutline(surfaceId, cuttable, { kind: 'rectangle', radius }))
              }
            />
          )}
          <PunchSettings pieces={cuttable} unit={unit} />
        </>
      )}
      <EdgeControls pieces={free} unit={unit} />
    </Box>
  );
}

/** What can be set of the punch the first piece is cut to. */
function PunchSettings({ pieces, unit }: { pieces: readonly Piece[]; unit: Unit }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [piece] = pieces;
  if (piece?.outline.kind !== 'punch') return null;
  const { punch: id, settings } = piece.outline;
  const punch = punchOf(id);
  if (!punch.settings.length) return null;
  const value = valuesFor(punch, piece.placement, settings);
  const shown = (setting: Setting) =>
    setting.unit === 'length'
      ? formatLength(value(setting.id), unit)
      : String(setting.unit === 'share' ? Math.round(value(setting.id) * 100) : value(setting.id));
  const read = ({ unit: kind, least, most }: Setting) =>
    kind === 'length'
      ? measureWithin(unit, least, most)
      : kind === 'share'
        ? percentWithin(least, most)
        : wholeWithin(least, most);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', pt: 0.5 }}>
      {punch.settings.map((setting) => (
        <LengthField
          key={setting.id}
          label={setting.name}
          unit={setting.unit === 'length' ? unit : setting.unit === 'share' ? '%' : undefined}
          disabled={readOnly}
          shown={shown(setting)}
          read={read(setting)}
          onCommit={(next) => perform(setPunch(surfaceId, pieces, id, { [setting.id]: next }))}
        />
      ))}
    </Box>
  );
}
