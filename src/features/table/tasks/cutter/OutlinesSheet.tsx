'use client';
/** Outlines from a file for cutters: looked at, their unit said, laid at their true size. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconFileImport } from '@tabler/icons-react';
import { useMemo, useRef, useState } from 'react';
import { inUnit, OUTLINE_ENDINGS } from '@/core/cutter/read/read';
import type { FileUnit, ReadOutlines } from '@/core/cutter/read/outlines';
import { formatSize } from '@/core/units/lengths';
import { outlinesOf } from '@/features/shared/bringIn';
import { layOutlines } from '@/features/table/acts/outlines';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { COLOURS, pathOf } from '@/features/table/tasks/cutter/drawn';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';

const UNIT_NAMES: Record<FileUnit, string> = {
  mm: 'Millimetres',
  cm: 'Centimetres',
  in: 'Inches',
  pt: 'Points, 72 to the inch',
  px: 'Pixels, 96 to the inch',
  plotter: 'Plotter units, 40 to the mm',
};
/** Of so many outlines a picture is drawn. */
const MOST_SHOWN = 2000;

export function OutlinesSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const unit = useSession((session) => session.history.project.unit);
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ name: string; read: ReadOutlines } | null>(null);
  const [asOne, setAsOne] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useRef(0);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    const mine = ++asked.current;
    const read = await outlinesOf(chosen);
    // One that takes longer does not come in place of what was chosen after it.
    if (asked.current !== mine) return;
    setFile(read.ok ? { name: chosen.name.replace(/\.\w+$/, ''), read: read.value } : null);
    setProblem(read.ok ? null : `${read.message} Nothing was changed.`);
  };
  const lay = () => {
    if (!file) return;
    const done = layOutlines(store, file.read, file.name, asOne);
    if (done.ok) onClose();
    else setProblem(done.message);
  };
  return (
    <SideSheet title="Outlines from a file" onClose={onClose}>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="A file of outlines"
        accept={OUTLINE_ENDINGS.map((ending) => `.${ending}`).join(',')}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {!file && (
        <Typography sx={{ mb: 1.5 }}>
          SVG, DXF and HPGL as cutters take them come in as pieces, at the size they have there.
        </Typography>
      )}
      <Button
        fullWidth
        variant={file ? 'outlined' : 'contained'}
        color={file ? 'inherit' : 'primary'}
        startIcon={<IconFileImport size={18} />}
        onClick={() => input.current?.click()}
      >
        {file ? 'Another file …' : 'Choose a file …'}
      </Button>
      {file && (
        <>
          <Shown read={file.read} />
          <Typography role="status" variant="body2" sx={{ mb: 1.5 }}>
            {file.read.outlines.length} {file.read.outlines.length === 1 ? 'outline' : 'outlines'},{' '}
            {formatSize(file.read.size, unit)}.{' '}
            {file.read.said
              ? 'The file says its unit.'
              : `The file does not say its unit: it is taken for ${UNIT_NAMES[file.read.unit].toLowerCase()}.`}
            {file.read.dropped.length > 0 && ` Left out: ${file.read.dropped.join(', ')}.`}
          </Typography>
          <Box sx={{ display: 'grid', gap: 1 }}>
            <Chosen
              label="Unit of the file"
              value={file.read.unit}
              all={(Object.keys(UNIT_NAMES) as FileUnit[]).map((id) => [id, UNIT_NAMES[id]] as const)}
              disabled={readOnly}
              onChoose={(next) => setFile({ ...file, read: inUnit(file.read, next) })}
            />
            <Turned label="All as one piece" on={asOne} disabled={readOnly} onTurn={setAsOne} />
            <Button variant="contained" disabled={readOnly} onClick={lay}>
              Lay them
            </Button>
          </Box>
        </>
      )}
      {problem && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {problem}
        </Typography>
      )}
    </SideSheet>
  );
}

function Shown({ read: { outlines, size } }: { read: ReadOutlines }) {
  const paths = useMemo(
    () =>
      outlines
        .slice(0, MOST_SHOWN)
        .map(({ points, closed, doing }) => ({ d: pathOf(points, closed), doing })),
    [outlines],
  );
  return (
    <Box
      component="svg"
      role="img"
      aria-label="The outlines of the file"
      viewBox={`0 0 ${size.width || 1} ${size.height || 1}`}
      sx={{
        width: '100%',
        maxHeight: 200,
        my: 1.5,
        bgcolor: '#ffffff',
        borderRadius: 1,
        border: 1,
        borderColor: 'divider',
      }}
    >
      {paths.map(({ d, doing }, i) => (
        <path
          key={i}
          d={d}
          fill="none"
          stroke={COLOURS[doing]}
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </Box>
  );
}
