'use client';
/** A line-drawn stamp is coloured in: an area by a press, or by a brush that cannot leave it; always beneath the lines. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useState } from 'react';
import {
  cellsOf,
  gridOf,
  MOST_FILLS,
  TEXTURES,
  withCells,
  withoutCells,
  type Fill,
  type Texture,
} from '@/core/colouring/fills';
import { painted } from '@/core/dye/grow';
import type { Areas } from '@/core/colouring/areas';
import type { Area } from '@/core/dye/area';
import { colourIn } from '@/core/project/edits/dyes';
import type { ArtMaterial } from '@/core/piece/material/art';
import { FIRST_INK } from '@/core/project/create';
import { InkDots } from '@/features/shared/InkDots';
import { InkField } from '@/features/table/parts/inks/InkField';
import { useInkSets } from '@/features/table/parts/inks/useInks';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';
import { useAreas } from '@/features/table/tasks/colour/useLines';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { RowSlider } from '@/ui/RowSlider';
import { OneOf } from '@/ui/OneOf';

type Tool = 'area' | 'brush' | 'take';
const TEXTURE_NAMES: Record<Texture, string> = { flat: 'Flat', pencil: 'Pencil', watercolour: 'Watercolour' };
/** Where the light comes from, in words; degrees clockwise from the top. */
const LIGHTS = [
  [315, 'the upper left'],
  [0, 'above'],
  [45, 'the upper right'],
  [90, 'the right'],
  [180, 'below'],
  [270, 'the left'],
] as const;

/** The cells that a press or stroke means: its whole area, or what the brush passes over within it. */
function meant(
  areas: Areas,
  points: readonly number[],
  tool: Tool,
  brush: number,
): { label: number; cells: Area } | null {
  const [x, y] = tool === 'brush' ? [points[0]!, points[1]!] : [points.at(-2)!, points.at(-1)!];
  const u = Math.floor(x * areas.width);
  const v = Math.floor(y * areas.height);
  if (u < 0 || v < 0 || u >= areas.width || v >= areas.height) return null;
  const label = areas.labels[v * areas.width + u]!;
  if (tool !== 'brush') return { label, cells: cellsOf(areas, label) };
  const { across, down } = gridOf(areas.width, areas.height);
  const over = new Set(
    painted({ points: [...points], width: brush, closeness: 0 }, { width: across, height: down }),
  );
  return { label, cells: cellsOf(areas, label, (cx, cy) => over.has(cy * across + cx)) };
}

export function ColourInSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  useSession((session) => session.history);
  useSession((session) => session.selection);
  const session = store.getState();
  const pieces = settledPieces(session, session.selection).filter(
    ({ material, placement }) => material.kind === 'art' && !placement.locked,
  );
  const piece = pieces.length === 1 ? pieces[0] : undefined;
  const [tool, setTool] = useState<Tool>('area');
  const [ink, setInk] = useState('#d9a441');
  const [texture, setTexture] = useState<Texture>('flat');
  const [shade, setShade] = useState(0.3);
  const [light, setLight] = useState<number>(315);
  const [brush, setBrush] = useState(0.04);
  const [gap, setGap] = useState(20);
  const [says, setSays] = useState('');
  const areas = useAreas(piece, gap);
  const fills = (piece?.material as ArtMaterial | undefined)?.fills;
  const id = piece?.id;
  const apply = useCallback(
    (next: readonly Fill[]) => {
      const now = store.getState();
      const [at] = settledPieces(now, [id!]);
      if (at) now.perform(colourIn(now.surfaceId, at, next, FIRST_INK));
    },
    [store, id],
  );
  useEffect(() => {
    if (!id || !areas || readOnly) return;
    store.getState().mark({
      piece: id,
      says: 'Colour the stamp in',
      brush: tool === 'brush' ? brush : 0,
      shown: null,
      stroke(points) {
        const found = meant(areas, points, tool, brush);
        return found && (found.label || tool === 'brush') ? found.cells : null;
      },
      done(points) {
        const found = meant(areas, points, tool, brush);
        if (!found) return;
        const before = fills ?? [];
        if (tool === 'take') return apply(withoutCells(before, found.cells));
        if (found.label === 0 && tool === 'area')
          return setSays('No lines enclose this spot. Bridge wider gaps, or use the brush.');
        setSays('');
        const next = withCells(before, found.cells, { ink, texture, shade, light }, tool === 'brush');
        if (next.length > MOST_FILLS) return setSays(`A stamp takes up to ${MOST_FILLS} coloured areas.`);
        apply(next);
      },
      leave: onClose,
    });
    return () => store.getState().mark(null);
  }, [store, id, areas, readOnly, tool, brush, fills, ink, texture, shade, light, apply, onClose]);
  const disabled = readOnly || !piece;
  return (
    <SideSheet title="Colour in" onClose={onClose}>
      {!piece ? (
        <Typography role="status">
          Select one stamp or drawn picture: its areas are then coloured, and its lines stay.
        </Typography>
      ) : (
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
          <OneOf
            label="How areas are coloured"
            value={tool}
            all={[
              ['area', 'Areas'],
              ['brush', 'Brush'],
              ['take', 'Take away'],
            ]}
            disabled={disabled}
            wide
            onChoose={(next: Tool) => setTool(next)}
          />
          <Typography role="status" variant="body2" color="text.secondary">
            {describe(tool, areas)}
          </Typography>
          {says && (
            <Alert severity="info" sx={{ py: 0 }}>
              {says}
            </Alert>
          )}
          <InkChoice ink={ink} disabled={disabled} onInk={setInk} />
          <OneOf
            label="Coloured with"
            value={texture}
            all={TEXTURES.map((each) => [each, TEXTURE_NAMES[each]] as const)}
            disabled={disabled}
            wide
            onChoose={(next: Texture) => setTexture(next)}
          />
          <Box>
            <RowSlider
              label="Shaded"
              least={0}
              most={100}
              value={Math.round(shade * 100)}
              disabled={disabled}
              onChange={(value) => setShade(value / 100)}
            />
            {tool === 'brush' && (
              <RowSlider
                label="Brush"
                least={0.5}
                most={20}
                step={0.5}
                value={100 * brush}
                disabled={disabled}
                onChange={(value) => setBrush(value / 100)}
              />
            )}
            <RowSlider
              label="Gaps bridged"
              least={0}
              most={60}
              value={gap}
              disabled={disabled}
              onChange={setGap}
            />
          </Box>
          <TextField
            select
            label="Light from"
            value={light}
            disabled={disabled || shade === 0}
            onChange={(event) => setLight(Number(event.target.value))}
          >
            {LIGHTS.map(([degrees, words]) => (
              <MenuItem key={degrees} value={degrees}>
                {words}
              </MenuItem>
            ))}
          </TextField>
          <Button
            size="small"
            color="inherit"
            disabled={disabled || !fills}
            onClick={() => apply([])}
            sx={{ alignSelf: 'flex-start' }}
          >
            Take all colour away
          </Button>
        </Box>
      )}
    </SideSheet>
  );
}

interface InkChoiceProps {
  ink: string;
  disabled: boolean;
  onInk: (ink: string) => void;
}

/** Any ink, or one of a set at hand. */
function InkChoice({ ink, disabled, onInk }: InkChoiceProps) {
  const sets = useInkSets();
  const [setId, setSetId] = useState('');
  const set = sets.find((one) => one.id === setId) ?? sets[0];
  return (
    <>
      <InkField label="Ink" colour={ink} disabled={disabled} onChange={onInk} />
      {set && (
        <>
          <TextField select label="Ink set" value={set.id} onChange={(event) => setSetId(event.target.value)}>
            {sets.map(({ id: one, name }) => (
              <MenuItem key={one} value={one}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <InkDots small label="Inks at hand" inks={set.inks ?? []} colour={ink} onChoose={onInk} />
        </>
      )}
    </>
  );
}

function describe(tool: Tool, areas: Areas | null): string {
  if (!areas) return 'Looking at its lines …';
  const count = `${areas.count} ${areas.count === 1 ? 'area' : 'areas'} between its lines.`;
  if (tool === 'area') return `Press an area on the page. ${count}`;
  if (tool === 'take') return `Press an area to take its colour away. ${count}`;
  return `Paint: the brush stays in the area it began in. ${count}`;
}
