'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconBuildingWarehouse, IconFolderOpen, IconSchool } from '@tabler/icons-react';
import Link from 'next/link';
import { useDeferredValue, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { byStretch, foundBy, type Wish } from '@/features/home/finding';
import { NewPanel } from '@/features/home/NewPanel';
import { ProjectSheet } from '@/features/home/ProjectSheet';
import { useHome } from '@/features/home/useHome';
import type { HomeProject, SpaceUsed } from '@/features/home/useListed';
import { Mark } from '@/ui/Mark';
import { SchemeButton } from '@/ui/SchemeButton';
import { fetched } from '@/ui/fetched';
import { HowFar } from '@/ui/HowFar';
import { useProgram } from '@/features/shared/offline/Program';
import { StillDrawn } from '@/features/shared/StillDrawn';

const DeletedLately = fetched('What was deleted lately', () =>
  import('@/features/home/DeletedLately').then((m) => m.DeletedLately),
);

const NewerOffer = fetched('The newer version', () =>
  import('@/features/home/NewerOffer').then((m) => m.NewerOffer),
);

const Finder = fetched('The finder', () => import('@/features/home/Finder').then((m) => m.Finder));

/** From so many projects on they are looked for, and lie by time. */
const MANY = 9;

/** Sheets that a screen shows without scrolling, and some. */
const FIRST_SHEETS = 24;

export function Home({ demo }: { demo: boolean }) {
  const [now] = useState(() => Date.now());
  const home = useHome(demo);
  const { kept, newer } = useProgram();
  // The first sheets lie there at once; the rest follow without holding up the room.
  const all = useDeferredValue(home.projects?.length ?? 0, FIRST_SHEETS);
  const [wish, setWish] = useState<Wish>({ words: '', product: null });
  const projects = home.projects ?? [];
  const many = projects.length >= MANY;
  const found = many ? foundBy(projects, wish) : projects;
  const shown = found.slice(0, Math.max(FIRST_SHEETS, all));
  const groups = many ? byStretch(shown, now) : [{ stretch: '', projects: shown }];
  const {
    getRootProps,
    getInputProps,
    open: pick,
  } = useDropzone({
    onDrop: (files) => void home.openFiles(files),
    noClick: true,
    noKeyboard: true,
  });
  return (
    <Box
      {...getRootProps()}
      sx={{ minHeight: '100%', display: 'grid', gridTemplateColumns: { xs: '1fr', md: '356px 1fr' } }}
    >
      <Box
        component="aside"
        sx={{
          bgcolor: 'background.default',
          p: 3,
          borderRight: 1,
          borderColor: 'divider',
          display: 'flex',
          flexDirection: 'column',
        }}
      >
        <Box component="header" sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 3 }}>
          <Mark size={34} />
          <Typography variant="h1" sx={{ flex: 1 }}>
            Bellagraph
          </Typography>
          <SchemeButton />
        </Box>
        <input {...getInputProps()} aria-label="Project file" />
        <NewPanel
          onCreate={(begun) => void home.create(begun)}
          onReady={(supply) => void home.beginWith(supply)}
        />
        <Button
          onClick={pick}
          startIcon={<IconFolderOpen size={20} />}
          color="inherit"
          sx={{ mt: 1.5, border: 1, borderColor: 'divider' }}
        >
          Open a project file
        </Button>
        <Button
          component={Link}
          href="/cupboard"
          prefetch={false}
          startIcon={<IconBuildingWarehouse size={20} />}
          color="inherit"
          sx={{ mt: 1, border: 1, borderColor: 'divider' }}
        >
          The cupboard of supplies
        </Button>
        <Button
          onClick={() => void home.practise()}
          startIcon={<IconSchool size={20} />}
          color="inherit"
          sx={{ mt: 1, border: 1, borderColor: 'divider' }}
        >
          First steps: a practice page
        </Button>
        {newer && <NewerOffer />}
        <Typography variant="caption" color="text.secondary" sx={{ mt: 'auto', pt: 2.5 }}>
          {home.space ? spaceInWords(home.space) : ' '}
          {home.projects && reminder(home.projects)}
          {kept && ' It works without a network, too.'}
        </Typography>
      </Box>
      <Box component="main" sx={{ bgcolor: 'table.main', p: { xs: 3, md: 5 }, minWidth: 0 }}>
        <Typography variant="h2" sx={{ mb: 3 }}>
          On your table
        </Typography>
        {home.underway.map(({ id, says, share, stop }) => (
          <Box key={id} sx={{ maxWidth: 420, mb: 3 }}>
            <Typography role="status" sx={{ mb: 1 }}>
              {says}
            </Typography>
            <HowFar
              aria-label={says}
              {...(share === undefined ? {} : { variant: 'determinate', value: 100 * share })}
            />
            {stop && (
              <Button size="small" color="inherit" onClick={stop} sx={{ mt: 0.5 }}>
                Stop
              </Button>
            )}
          </Box>
        ))}
        <StillDrawn at="/demo/projects.json" what="The demo’s pages are" />
        {home.projects?.length === 0 && !home.underway.length && (
          <EmptyTable onPractise={() => void home.practise()} />
        )}
        {many && <Finder wish={wish} count={found.length} total={projects.length} onWish={setWish} />}
        {many && !found.length && (
          <Typography>No project is called so. Try fewer letters, or another product.</Typography>
        )}
        {groups.map(({ stretch, projects: those }) => (
          <Box component="section" key={stretch} aria-label={stretch || 'Projects'} sx={{ mb: 5 }}>
            {stretch && (
              <Typography component="h3" sx={{ fontWeight: 600, mb: 2 }}>
                {stretch}
              </Typography>
            )}
            <Box
              component="ul"
              sx={{ display: 'flex', flexWrap: 'wrap', gap: '34px 38px', alignItems: 'flex-end', p: 0, m: 0 }}
            >
              {those.map((project) => (
                <ProjectSheet
                  key={project.id}
                  project={project}
                  onOpen={() => void home.open(project)}
                  onDuplicate={() => void home.duplicate(project)}
                  onSave={() => void home.save(project)}
                  onDelete={() => void home.remove(project)}
                />
              ))}
            </Box>
          </Box>
        ))}
        {home.deleted.length > 0 && (
          <DeletedLately
            projects={home.deleted}
            onPutBack={(project) => void home.putBack(project)}
            onEmpty={() => void home.emptyDeleted()}
          />
        )}
      </Box>
    </Box>
  );
}

function EmptyTable({ onPractise }: { onPractise: () => void }) {
  return (
    <Box sx={{ maxWidth: 460, border: '2px dashed', borderColor: 'text.secondary', borderRadius: 3, p: 4 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        The table is clear
      </Typography>
      <Typography>
        Pick a size at the left to start your first page, or drop a .bellagraph file here. Pages stay in this
        browser and keep themselves; there is no save button to forget.
      </Typography>
      <Button variant="contained" startIcon={<IconSchool size={20} />} onClick={onPractise} sx={{ mt: 2 }}>
        Learn it on a practice page
      </Button>
    </Box>
  );
}

/** Steps after which one is reminded that a project lies in no file yet. */
const MANY_STEPS = 50;

/** Which project has the most work that lies in no file; nothing if none has much. */
function reminder(projects: readonly HomeProject[]): string {
  const since = ({ done, backedUp = 0 }: HomeProject) => done - backedUp;
  const [most] = [...projects].sort((a, b) => since(b) - since(a));
  return most && since(most) >= MANY_STEPS
    ? ` “${most.title}”: ${since(most)} steps that lie in no file yet.`
    : '';
}

function spaceInWords({ bytes, lastBackup, persisted }: SpaceUsed): string {
  const used =
    bytes < 1e6
      ? 'Less than 1 MB'
      : bytes < 1e9
        ? `${Math.round(bytes / 1e6)} MB`
        : `${(bytes / 1e9).toFixed(1)} GB`;
  const backup = lastBackup
    ? `Last saved as a file ${new Date(lastBackup).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })}.`
    : 'No project saved as a file yet: a file is your backup.';
  const safe =
    persisted === undefined
      ? ''
      : persisted
        ? ' It keeps its store until you clear it.'
        : ' It may clear its store by itself when the disk runs full.';
  return `${used} used in this browser.${safe} ${backup}`;
}
