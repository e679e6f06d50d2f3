'use client';
/** Pages and panels of another project, chosen to come onto the sheet as cards. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef, useState } from 'react';
import { panelThing } from '@/core/packing/things';
import type { Project, Surface } from '@/core/project/model';
import { fail } from '@/core/result';
import { formatSize } from '@/core/units/lengths';
import { newId } from '@/features/shared/ids';
import { takableOf, takeFrom } from '@/features/table/acts/things';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { useRoom, useSession } from '@/features/table/room/context';
import { openProject } from '@/storage/projects';
import { listProjects, type ProjectCard } from '@/storage/shelf';
import { Chosen } from '@/ui/Chosen';

/** CSS pixels of a small picture. */
const SIDE = 110;

export function TakePages({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const own = useSession((session) => session.history.project.id);
  const unit = useSession((session) => session.history.project.unit);
  const [projects, setProjects] = useState<readonly ProjectCard[] | null>(null);
  const [wanted, setWanted] = useState('');
  const [opened, setOpened] = useState<Project | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    listProjects().then(
      (all) => !gone && setProjects(all.filter(({ id }) => id !== own)),
      () => !gone && setProblem('The projects in this browser could not be read.'),
    );
    return () => {
      gone = true;
    };
  }, [own]);
  const last = useRef('');
  const open = async (id: string) => {
    last.current = id;
    setWanted(id);
    setChosen(new Set());
    setProblem(null);
    const found = await openProject(id).catch(() => fail('This project could not be read.'));
    // Another may be wanted by then.
    if (last.current !== id) return;
    if (found.ok) setOpened(found.value.project);
    else setProblem(found.message);
  };
  const shown = opened?.id === wanted ? opened : null;
  const all = useMemo(() => (shown ? takableOf(shown) : []), [shown]);
  // Each as it will lie on its card.
  const pictures = useMemo(
    () =>
      all.map((each): Surface => ({
        ...each.surface,
        ...(panelThing(each, newId) as Partial<Surface>),
        part: undefined,
      })),
    [all],
  );
  const take = () => {
    if (!shown) return;
    const done = takeFrom(
      store,
      shown,
      all.filter((_, i) => chosen.has(i)),
    );
    if (done.ok) onClose();
    else setProblem(done.message);
  };
  const toggle = (i: number) => {
    const next = new Set(chosen);
    if (!next.delete(i)) next.add(i);
    setChosen(next);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="take-pages">
      <DialogTitle id="take-pages" variant="h2">
        Pages of another project
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important' }}>
        {projects?.length === 0 && <Typography>There is no other project in this browser yet.</Typography>}
        {Boolean(projects?.length) && (
          <Chosen
            label="Project"
            value={wanted}
            all={projects!.map(({ id, title }) => [id, title] as const)}
            disabled={false}
            onChoose={(id) => void open(id)}
          />
        )}
        {shown && (
          <Box
            component="ul"
            aria-label="Its pages"
            sx={{
              m: 0,
              p: 0,
              listStyle: 'none',
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
              gap: 1.5,
            }}
          >
            {all.map(({ surface, panel, why }, i) => (
              <Box
                component="li"
                key={`${surface.id} ${panel.name}`}
                sx={{ display: 'grid', justifyItems: 'center', gap: 0.5 }}
              >
                <Box sx={{ height: SIDE, display: 'grid', placeItems: 'center' }}>
                  <NearPicture project={shown} surface={pictures[i]!} side={SIDE} />
                </Box>
                <FormControlLabel
                  disabled={Boolean(why)}
                  control={<Checkbox checked={chosen.has(i)} onChange={() => toggle(i)} />}
                  label={`${panel.name}, ${formatSize(panel.box, unit)}${why ? `: ${why}` : ''}`}
                />
              </Box>
            ))}
          </Box>
        )}
        {problem && (
          <Typography role="alert" color="error">
            {problem}
          </Typography>
        )}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        <Button color="inherit" onClick={onClose}>
          Back to the sheet
        </Button>
        <Button variant="contained" disabled={!chosen.size} onClick={take}>
          {chosen.size > 1 ? `Bring in ${chosen.size} cards` : 'Bring it in as a card'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
