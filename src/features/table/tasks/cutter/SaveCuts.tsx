'use client';
/** The files themselves: which kind, in which unit, and what came of it. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { fileTitle } from '@/core/product';
import { fileName, download } from '@/features/shared/download';
import { useSession } from '@/features/table/room/context';
import type { CutOrder } from '@/workers/cutter.worker';
import { CUT_FORMATS, type CutFormatName } from '@/output/cut/formats';
import { Chosen } from '@/ui/Chosen';

interface Props {
  order: Omit<CutOrder, 'format' | 'unit' | 'title'>;
  make: (order: CutOrder) => Promise<Blob>;
  onClose: () => void;
}

export function SaveCuts({ order, make, onClose }: Props) {
  const project = useSession((session) => session.history.project);
  const [format, setFormat] = useState<CutFormatName>('svg');
  const [unit, setUnit] = useState(project.unit);
  const [made, setMade] = useState<{ name: string; problem?: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const many = order.mats.length > 1;
  const save = async () => {
    setBusy(true);
    try {
      const title = fileTitle(project);
      const blob = await make({ ...order, title, format, unit });
      const name = `${fileName(title)} cut.${many ? 'zip' : CUT_FORMATS[format].ending}`;
      download(blob, name);
      setMade({ name });
    } catch (error) {
      setMade({ name: '', problem: `Nothing was saved: ${(error as Error).message}.` });
    }
    setBusy(false);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="save-cuts">
      <DialogTitle id="save-cuts" variant="h2">
        Save for a cutter
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important' }}>
        <Chosen
          label="Kind of file"
          value={format}
          all={(Object.keys(CUT_FORMATS) as CutFormatName[]).map(
            (id) => [id, `${CUT_FORMATS[id].name}: ${CUT_FORMATS[id].use}`] as const,
          )}
          disabled={busy}
          onChoose={setFormat}
        />
        {format === 'svg' && (
          <Chosen
            label="Lengths in"
            value={unit}
            all={[
              ['in', 'Inches'],
              ['mm', 'Millimetres'],
            ]}
            disabled={busy}
            onChoose={setUnit}
          />
        )}
        {many && `One file for each of ${order.mats.length} mats, together in a .zip.`}
        {made && (
          <Alert severity={made.problem ? 'error' : 'success'}>
            {made.problem ?? `${made.name} is in your downloads.`}
          </Alert>
        )}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        <Button color="inherit" onClick={onClose}>
          Back to the mats
        </Button>
        <Button variant="contained" disabled={busy} onClick={() => void save()}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
