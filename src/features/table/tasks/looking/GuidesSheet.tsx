'use client';
/** Guides by exact number, spaced evenly, locked; on every page or on this one. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { guidesOn, placeWhereItLives, spacedGuides, type SeenGuide } from '@/core/page/guides';
import { otherFace } from '@/core/product';
import { together } from '@/core/project/edits/edit';
import { lockGuides, setGuides } from '@/core/project/edits/page';
import { surfaceOf, type Guide } from '@/core/project/model';
import type { Size } from '@/core/geometry/box';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { FARTHEST, measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { LengthField } from '@/ui/LengthField';

export function GuidesSheet({ onClose }: { onClose: () => void }) {
  const project = useSession((session) => session.history.project);
  const surfaceId = useSession((session) => session.surfaceId);
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  const [where, setWhere] = useState<'every' | 'this' | 'through'>('every');
  const { unit, guidesLocked } = project;
  const shut = guidesLocked || readOnly;
  const page = surfaceOf(project, surfaceId);
  const hasBack = otherFace(project, page) !== null;
  const shown = guidesOn(project, page);
  const lives = ({ of, through }: SeenGuide) => (of === null ? 'every' : through ? 'through' : 'this');
  const guides = shown.filter((guide) => lives(guide) === where);
  const own = where === 'every' ? null : surfaceId;
  const within = measureWithin(unit, -FARTHEST, FARTHEST);
  const allOf = (of: string | null) => (of === null ? project : surfaceOf(project, of)).guides;
  /** The guides, each where it lives, changed to `to`, or taken away where that is null. */
  const change = (label: string, some: readonly SeenGuide[], to: (guide: SeenGuide) => number | null) =>
    perform(
      together(
        label,
        [...new Set(some.map(({ of }) => of))].map((of) =>
          setGuides(
            of,
            label,
            allOf(of).flatMap((guide, i) => {
              const meant = some.find((one) => one.of === of && one.index === i);
              const at = meant ? to(meant) : guide.at;
              if (at === null) return [];
              return [meant ? { ...guide, at: placeWhereItLives(project, page, meant, at) } : guide];
            }),
          ),
        ),
      ),
    );
  const add = (more: readonly Guide[]) =>
    perform(
      setGuides(own, more.length === 1 ? 'add guide' : `add ${more.length} guides`, [
        ...allOf(own),
        ...more
          .filter(({ axis, at }) => !guides.some((one) => one.axis === axis && Math.abs(one.at - at) < 0.01))
          .map((guide) => (where === 'through' ? { ...guide, through: true } : guide)),
      ]),
    );
  return (
    <SideSheet title="Guides" onClose={onClose}>
      <TextField
        select
        fullWidth
        size="small"
        label="Shown on"
        value={where}
        onChange={(event) => setWhere(event.target.value as typeof where)}
        sx={{ mb: 1.25 }}
      >
        <MenuItem value="every">every page</MenuItem>
        <MenuItem value="this">this page alone</MenuItem>
        {hasBack && <MenuItem value="through">both sides of this paper, one behind the other</MenuItem>}
      </TextField>
      <Box component="ul" aria-label="Guides there are" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {guides.map((guide, i) => (
          <Box component="li" key={i} sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1 }}>
            <LengthField
              label={guide.axis === 'x' ? `Upright ${i + 1}, from left` : `Level ${i + 1}, from top`}
              unit={unit}
              disabled={shut}
              shown={formatLength(guide.at, unit)}
              read={within}
              onCommit={(at) => change('move guide', [guide], () => at)}
            />
            <IconButton
              color="inherit"
              disabled={shut}
              aria-label={`Take guide ${i + 1} away`}
              onClick={() => change('take guide away', [guide], () => null)}
            >
              <IconTrash size={18} />
            </IconButton>
          </Box>
        ))}
      </Box>
      {guides.length === 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          {readOnly ? 'There are none.' : 'Pull one out of a ruler, or space some evenly here.'}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.25 }}>
        <Button size="small" disabled={shut} onClick={() => add([{ axis: 'x', at: page.width / 2 }])}>
          Add upright
        </Button>
        <Button size="small" disabled={shut} onClick={() => add([{ axis: 'y', at: page.height / 2 }])}>
          Add level
        </Button>
        <Button
          size="small"
          color="inherit"
          disabled={shut || !guides.length}
          onClick={() => change(`take ${guides.length} guides away`, guides, () => null)}
        >
          Take all away
        </Button>
      </Box>
      <SpacedEvenly page={page} unit={unit} disabled={shut} onAdd={add} />
      <FormControlLabel
        control={
          <Switch
            size="small"
            disabled={readOnly}
            checked={guidesLocked}
            onChange={(_, locked) => perform(lockGuides(locked))}
          />
        }
        label="Guides are locked"
        sx={{ ml: 0, gap: 0.5 }}
      />
    </SideSheet>
  );
}

interface SpacedProps {
  page: Size;
  unit: Unit;
  disabled: boolean;
  onAdd: (guides: readonly Guide[]) => void;
}

/** Columns and rows of guides by number, and the ones most often wanted. */
function SpacedEvenly({ page, unit, disabled, onAdd }: SpacedProps) {
  const [axis, setAxis] = useState<'x' | 'y'>('x');
  const [count, setCount] = useState(3);
  const [gutter, setGutter] = useState(0);
  const [margin, setMargin] = useState(0);
  const length = axis === 'x' ? page.width : page.height;
  const air = measureWithin(unit, 0, length / 2);
  return (
    <>
      <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.9rem', mb: 1 }}>
        Spaced evenly
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
        <TextField
          select
          size="small"
          label="As"
          value={axis}
          onChange={(event) => setAxis(event.target.value as 'x' | 'y')}
        >
          <MenuItem value="x">columns</MenuItem>
          <MenuItem value="y">rows</MenuItem>
        </TextField>
        <LengthField label="How many" shown={String(count)} read={wholeWithin(1, 48)} onCommit={setCount} />
        <LengthField
          label="Between"
          unit={unit}
          shown={formatLength(gutter, unit)}
          read={air}
          onCommit={setGutter}
        />
        <LengthField
          label="Margin"
          unit={unit}
          shown={formatLength(margin, unit)}
          read={air}
          onCommit={setMargin}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        <Button
          size="small"
          disabled={disabled || (count - 1) * gutter + 2 * margin >= length}
          onClick={() => onAdd(spacedGuides(axis, length, { count, gutter, margin }))}
        >
          Space {count}
        </Button>
        {[2, 3].map((parts) => (
          <Button
            key={parts}
            size="small"
            color="inherit"
            disabled={disabled}
            onClick={() =>
              onAdd([
                ...spacedGuides('x', page.width, { count: parts, gutter: 0, margin: 0 }),
                ...spacedGuides('y', page.height, { count: parts, gutter: 0, margin: 0 }),
              ])
            }
          >
            {parts === 2 ? 'Halves' : 'Thirds'}
          </Button>
        ))}
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          onClick={() => {
            const inch = { count: 1, gutter: 0, margin: toPoints(unit === 'in' ? 0.5 : 10, unit) };
            onAdd([...spacedGuides('x', page.width, inch), ...spacedGuides('y', page.height, inch)]);
          }}
        >
          Margins
        </Button>
      </Box>
    </>
  );
}
