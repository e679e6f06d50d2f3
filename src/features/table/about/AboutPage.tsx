'use client';
/** About this page, when nothing is selected: its size, its unit, its light. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  IconBook,
  IconCalendarCog,
  IconLayoutBoard,
  IconLayoutGrid,
  IconNote,
  IconPalette,
  IconPhotoDown,
  IconSun,
} from '@tabler/icons-react';
import { useState } from 'react';
import type { PageLight } from '@/core/piece/finish/light';
import { settingsSay } from '@/core/product';
import { bookIn } from '@/core/product/book';
import { sheetIn } from '@/core/product/sheet';
import { changeUnit } from '@/core/project/edits/gather';
import { changeLight } from '@/core/project/edits/make';
import { writeNote } from '@/core/project/edits/page';
import { LONGEST_NOTE } from '@/core/project/model';
import { TextOnLeaving } from '@/ui/TextOnLeaving';
import { formatSides, PRINT_PPI } from '@/core/units/lengths';
import { nameOfSize } from '@/core/units/sizes';
import { KeepPage, KeepSketch } from '@/features/table/parts/KeepButtons';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';

export function AboutPage() {
  const surface = useSession(shownSurface);
  const unit = useSession((session) => shownProject(session).unit);
  const product = useSession((session) => shownProject(session).product);
  const settings = settingsSay(product);
  const bound = bookIn(product) !== null;
  const [Icon, sheet] = bound
    ? ([IconBook, 'book'] as const)
    : sheetIn(product)
      ? ([IconLayoutBoard, 'paper'] as const)
      : ([IconCalendarCog, 'calendar'] as const);
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  const show = useSession((session) => session.show);
  const { store } = useRoom();
  const pixels = (length: number) => Math.round((length / 72) * PRINT_PPI);
  const { light } = surface;
  return (
    <Box component="section" aria-label="About this page" sx={{ px: 2, pt: 1.25, pb: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 0.75 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {surface.name}
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={unit}
          disabled={readOnly}
          onChange={(_, next) => next && perform(changeUnit(next))}
          aria-label="Measure in"
        >
          <ToggleButton value="in" sx={{ py: 0.25, px: 1.5 }}>
            in
          </ToggleButton>
          <ToggleButton value="mm" sx={{ py: 0.25, px: 1.5 }}>
            mm
          </ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Typography variant="body2" color="text.secondary">
        {nameOfSize(surface.width, surface.height, unit)}, {pixels(surface.width)} x {pixels(surface.height)}{' '}
        pixels at {PRINT_PPI} ppi, bleed {formatSides(surface.bleed, unit)}
      </Typography>
      <PageNote key={surface.id} id={surface.id} note={surface.note ?? ''} disabled={readOnly} />
      <Box sx={{ display: 'flex', gap: 2, mt: 1.5 }}>
        <LightDial
          light={light}
          disabled={readOnly}
          onChange={(direction) => perform(changeLight(surface.id, { direction }))}
        />
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Typography sx={{ fontWeight: 600, fontSize: '0.95rem', flex: 1 }}>Page light</Typography>
            <Tooltip
              title={show.lamp ? 'Take the lamp off the page' : 'Put the lamp on the page, to drag it there'}
            >
              <IconButton
                size="small"
                color={show.lamp ? 'primary' : 'inherit'}
                disabled={readOnly}
                aria-pressed={show.lamp}
                aria-label="Lamp on the page"
                onClick={() => store.getState().toggle('lamp')}
              >
                <IconSun size={19} />
              </IconButton>
            </Tooltip>
          </Box>
          <LightSlider
            name="Height"
            value={light.height}
            min={20}
            max={80}
            disabled={readOnly}
            onChange={(height) => perform(changeLight(surface.id, { height }))}
          />
          <LightSlider
            name="Softness"
            value={light.softness}
            min={2}
            max={35}
            disabled={readOnly}
            onChange={(softness) => perform(changeLight(surface.id, { softness }))}
          />
          <LightSlider
            name="Strength"
            value={Math.round(light.strength * 100)}
            min={0}
            max={100}
            disabled={readOnly}
            onChange={(value) => perform(changeLight(surface.id, { strength: value / 100 }))}
          />
        </Box>
      </Box>
      {settings && (
        <Button
          size="small"
          color="inherit"
          startIcon={<Icon size={18} />}
          onClick={() => store.getState().openSheet(sheet)}
          sx={{ display: 'flex' }}
        >
          {settings}
        </Button>
      )}
      {bound && (
        <>
          <Button
            size="small"
            color="inherit"
            startIcon={<IconPhotoDown size={18} />}
            onClick={() => store.getState().openSheet('flow')}
            sx={{ display: 'flex' }}
          >
            Let photos flow in
          </Button>
          <Button
            size="small"
            color="inherit"
            startIcon={<IconLayoutGrid size={18} />}
            onClick={() => store.getState().openSheet('spreads')}
            sx={{ display: 'flex' }}
          >
            All its pages
          </Button>
        </>
      )}
      <Button
        size="small"
        color="inherit"
        startIcon={<IconPalette size={18} />}
        onClick={() => store.getState().openSheet('inks')}
      >
        Inks of this page
      </Button>
      {!readOnly && <KeepPage />}
      {!readOnly && <KeepSketch />}
    </Box>
  );
}

interface NoteProps {
  id: string;
  note: string;
  disabled: boolean;
}

/** What is to be remembered of a page; where there is nothing, a way to begin. */
function PageNote({ id, note, disabled }: NoteProps) {
  const perform = useSession((session) => session.perform);
  const [begun, setBegun] = useState(false);
  if (!note && disabled) return null;
  if (!note && !begun)
    return (
      <Button
        size="small"
        color="inherit"
        startIcon={<IconNote size={18} />}
        onClick={() => setBegun(true)}
        sx={{ display: 'flex', mt: 0.5 }}
      >
        Write a note
      </Button>
    );
  return (
    <Box sx={{ display: 'flex', mt: 1.5, '& > *': { flex: 1 } }}>
      <TextOnLeaving
        lines
        begun={begun}
        label="Note, never printed"
        value={note}
        longest={LONGEST_NOTE}
        disabled={disabled}
        onCommit={(text) => perform(writeNote(id, text))}
      />
    </Box>
  );
}

interface SliderProps {
  name: string;
  value: number;
  min: number;
  max: number;
  disabled: boolean;
  onChange: (value: number) => void;
}

const LightSlider = ({ name, value, min, max, disabled, onChange }: SliderProps) => (
  <Box
    sx={{
      display: 'grid',
      gridTemplateColumns: '64px 1fr',
      alignItems: 'center',
      columnGap: 1.25,
      height: 28,
    }}
  >
    <Typography variant="caption">{name}</Typography>
    <Slider
      size="small"
      aria-label={`Page light: ${name.toLowerCase()}`}
      value={value}
      min={min}
      max={max}
      disabled={disabled}
      onChange={(_, next) => onChange(next as number)}
      sx={{ py: 1 }}
    />
  </Box>
);

const DIAL = 92;

/** A little sheet with a lamp going round it: drag the lamp, or use the arrow keys. */
function LightDial({
  light,
  disabled,
  onChange,
}: {
  light: PageLight;
  disabled: boolean;
  onChange: (direction: number) => void;
}) {
  const radians = (light.direction * Math.PI) / 180;
  const lamp = { x: DIAL / 2 + Math.sin(radians) * 36, y: DIAL / 2 - Math.cos(radians) * 36 };
  const point = (event: React.PointerEvent<SVGSVGElement>) => {
    if (disabled || !(event.buttons & 1)) return;
    const box = event.currentTarget.getBoundingClientRect();
    const angle =
      (Math.atan2(event.clientX - box.left - DIAL / 2, -(event.clientY - box.top - DIAL / 2)) * 180) /
      Math.PI;
    onChange(Math.round((angle + 360) % 360));
  };
  const turn = (event: React.KeyboardEvent) => {
    const by = { ArrowRight: 5, ArrowUp: 5, ArrowLeft: -5, ArrowDown: -5 }[event.key];
    if (!by || disabled) return;
    event.preventDefault();
    onChange((light.direction + by + 360) % 360);
  };
  return (
    <svg
      width={DIAL}
      height={DIAL}
      role="slider"
      tabIndex={0}
      aria-label="Page light: direction"
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={light.direction}
      aria-valuetext={`${light.direction} degrees, clockwise from the top`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        point(event);
      }}
      onPointerMove={point}
      onKeyDown={turn}
      style={{ cursor: 'pointer', flexShrink: 0, touchAction: 'none', borderRadius: DIAL }}
    >
      <circle
        cx={DIAL / 2}
        cy={DIAL / 2}
        r={36}
        fill="none"
        stroke="var(--mui-palette-divider)"
        strokeWidth={2}
      />
      <rect
        x={DIAL / 2 - 14 + (DIAL / 2 - lamp.x) * 0.13}
        y={DIAL / 2 - 14 + (DIAL / 2 - lamp.y) * 0.13}
        width={28}
        height={28}
        rx={2}
        fill="#1c1410"
        opacity={0.28}
      />
      <rect
        x={DIAL / 2 - 14}
        y={DIAL / 2 - 14}
        width={28}
        height={28}
        rx={2}
        fill="#fdfbf6"
        stroke="#cfc8b8"
      />
      <circle cx={lamp.x} cy={lamp.y} r={8} fill="#e3b34a" stroke="#7a5413" strokeWidth={1.6} />
    </svg>
  );
}
