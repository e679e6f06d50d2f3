'use client';
/** The table: a project's page, what is known of it at the side, what was gathered for it at the foot. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { memo, useCallback, useEffect, useMemo, useState, type DragEvent } from 'react';
import { useDropzone } from 'react-dropzone';
import { undoLabel } from '@/core/project/history';
import { FAMILIES } from '@/core/text/families';
import { FONTS_AT } from '@/features/shared/fonts';
import { useUnforeseen } from '@/features/shared/useUnforeseen';
import { aimed } from '@/features/table/acts/aimed';
import { About } from '@/features/table/about/About';
import { Pile } from '@/features/table/tasks/pile/Pile';
import { COMPARTMENTS } from '@/core/project/model';
import { RoomProvider, useRoom, useSession } from '@/features/table/room/context';
import { RoomAlerts } from '@/features/table/room/RoomAlerts';
import { PageTabs } from '@/features/table/room/PageTabs';
import { TopBar } from '@/features/table/room/TopBar';
import { useClipboard } from '@/features/table/room/useClipboard';
import { useKeys } from '@/features/table/room/useKeys';
import { useRoomOpening } from '@/features/table/keeping/useRoomOpening';
import { Stage, type StageProps } from '@/features/table/stage/Stage';
import { CupboardSheet } from '@/features/table/room/CupboardSheet';
import { useLaying } from '@/features/table/room/useLaying';
import { Sheets } from '@/features/table/tasks/Sheets';
import { useWorkbox } from '@/features/table/workbox/useWorkbox';
import { Workbox, type WorkboxProps } from '@/features/table/workbox/Workbox';
import { supplyById } from '@/storage/supplies';
import { inWords } from '@/storage/trouble';
import type { Notice } from '@/ui/notice';
import { useNotify } from '@/ui/notices';
import { RoomBoundary } from '@/ui/RoomBoundary';
import { LayingOut } from '@/features/table/LayingOut';
import { fetched } from '@/ui/fetched';

const MakeDialog = fetched('Make', () =>
  import('@/features/table/tasks/making/MakeDialog').then((m) => m.MakeDialog),
);

const PracticeCard = fetched('Practice', () =>
  import('@/features/table/tasks/practice/PracticeCard').then((m) => m.PracticeCard),
);

const KeysDialog = fetched('Keys and how-to', () =>
  import('@/features/table/room/KeysDialog').then((m) => m.KeysDialog),
);

export function TableRoom({ id }: { id: string }) {
  useUnforeseen();
  const opening = useRoomOpening(id);
  if (opening.state === 'opening') return <LayingOut />;
  if (opening.state === 'failed')
    return (
      <Box sx={{ height: '100%', display: 'grid', placeItems: 'center', bgcolor: 'table.main', p: 4 }}>
        <Box sx={{ maxWidth: 480 }}>
          <Typography variant="h2" sx={{ mb: 1.5 }}>
            This page could not be laid out
          </Typography>
          <Typography sx={{ mb: 2 }}>{opening.message}</Typography>
          <Box sx={{ display: 'flex', gap: 1.5 }}>
            {opening.putBack && (
              <Button variant="contained" onClick={() => void opening.putBack!()}>
                Put it back
              </Button>
            )}
            <Button component={Link} href="/" variant={opening.putBack ? 'outlined' : 'contained'}>
              Back to all projects
            </Button>
          </Box>
        </Box>
      </Box>
    );
  return (
    <RoomProvider room={opening}>
      <RoomBoundary more={<WithoutTable />}>
        <OpenTable />
      </RoomBoundary>
    </RoomProvider>
  );
}

/** What can be done with the project though the table cannot be shown. */
function WithoutTable() {
  const saveFile = useSaveFile();
  const undo = useSession((session) => session.undo);
  const last = useSession((session) => undoLabel(session.history));
  return (
    <>
      <Button variant="outlined" onClick={() => void saveFile()}>
        Save the project as a file
      </Button>
      {last && (
        <Button variant="outlined" onClick={undo}>
          Undo {last}
        </Button>
      )}
    </>
  );
}

const filing = () => import('@/features/shared/files');

function useSaveFile(): () => Promise<void> {
  const { store } = useRoom();
  const notify = useNotify();
  return useCallback(
    () =>
      filing()
        .then(({ saveAsFile }) => saveAsFile(store.getState().history))
        .catch((error): Notice => ({ text: inWords(error, 'No file was made'), tone: 'error' }))
        .then(notify),
    [notify, store],
  );
}

/** The shipped letters, for samples in menus; the page itself is drawn from the font files. */
const FACES = FAMILIES.map(({ id, fonts }) => ({
  '@font-face': {
    fontFamily: `house ${id}`,
    src: `url(${FONTS_AT}/${fonts[0]}.ttf) format('truetype')`,
    fontDisplay: 'swap' as const,
  },
}));

const Faces = memo(function Faces() {
  return FACES.map((face, i) => <GlobalStyles key={i} styles={face} />);
});

function OpenTable() {
  const { store } = useRoom();
  const show = useSession((session) => session.show);
  const practice = useSession(({ history }) => history.project.practice === true);
  const readOnly = useSession((session) => session.readOnly);
  const workbox = useWorkbox();
  // Fetched when they are first opened; what was chosen in them stays from then on.
  const asked = useSession((session) => session.make !== null);
  const [making, setMaking] = useState(asked);
  if (asked && !making) setMaking(true);
  useKeys(store);
  const {
    getRootProps,
    getInputProps,
    open: pick,
  } = useDropzone({
    // In a turn of its own: telling that they were dropped, and that they are read, are two short tasks, not a long one.
    onDrop: (files) => {
      if (!files.length) workbox.expect(false);
      setTimeout(() => void workbox.bring(files));
    },
    onError: () => workbox.expect(false),
    noClick: true,
    noKeyboard: true,
    // What is pasted is looked at by useClipboard alone.
    noPaste: true,
    disabled: readOnly,
  });
  useEffect(
    () => store.subscribe((now, before) => now.filesAsked !== before.filesAsked && pick()),
    [store, pick],
  );
  const thumbs = useMemo(
    () =>
      new Map(
        COMPARTMENTS.flatMap((name) =>
          workbox.items[name].flatMap(({ asset, thumb }) => (thumb ? [[asset.sha, thumb] as const] : [])),
        ),
      ),
    [workbox.items],
  );
  const laying = useLaying(workbox.housePaper);
  const { lay, choice } = laying;
  const dropped = useCallback<StageProps['onDropped']>(
    (carried, spot, at) => void lay(carried, at, spot),
    [lay],
  );
  const layFrom = useCallback<WorkboxProps['onLay']>(
    (carried, anchor) => {
      const { left, top } = anchor.getBoundingClientRect();
      void lay(carried, { left, top });
    },
    [lay],
  );
  const { bring } = workbox;
  useClipboard(
    useCallback(
      (files) => {
        const there = aimed(store);
        void bring(files).then(async (carried) => {
          for (const one of carried) await lay(one, { left: 200, top: 160 }, undefined, there);
        });
      },
      [bring, lay, store],
    ),
  );
  const make = useCallback(() => store.getState().askMake('page'), [store]);
  const cupboard = useCallback(() => store.getState().toggle('cupboard'), [store]);

  const saveFile = useSaveFile();

  return (
    <Box
      {...getRootProps({
        onDrop: ({ dataTransfer }: DragEvent) =>
          !readOnly && dataTransfer.types.includes('Files') && workbox.expect(true),
      })}
      sx={{
        height: '100dvh',
        display: 'flex',
        flexDirection: 'column',
        overflow: 'hidden',
        bgcolor: 'background.paper',
      }}
    >
      <Faces />
      <input {...getInputProps()} aria-label="Photo files" data-testid="photo-input" />
      <TopBar onMake={make} onSaveFile={saveFile} />
      <RoomAlerts onSaveFile={() => void saveFile()} />
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: show.side ? 'minmax(0, 1fr) 300px' : 'minmax(0, 1fr)',
          position: 'relative',
        }}
      >
        <Stage onDropped={dropped} />
        <PageTabs />
        <Sheets />
        {show.side && (
          <Box
            component="aside"
            aria-label="Side panel"
            data-part
            sx={{
              bgcolor: 'background.paper',
              borderLeft: 1,
              borderColor: 'divider',
              display: 'flex',
              flexDirection: 'column',
              minHeight: 0,
              overflowY: 'auto',
            }}
          >
            {practice && <PracticeCard />}
            <About />
            <Pile thumbs={thumbs} />
          </Box>
        )}
        {show.cupboard && <CupboardSheet laying={laying} onClose={cupboard} />}
      </Box>
      {show.workbox && (
        <Workbox
          items={workbox.items}
          counting={workbox.counting}
          readOnly={readOnly}
          cupboardOpen={show.cupboard}
          onCupboard={cupboard}
          onGather={(id) => void supplyById(id).then((supply) => supply && laying.gatherSupplies([supply]))}
          onLay={layFrom}
        />
      )}
      <Menu
        open={choice !== null}
        onClose={laying.forgetChoice}
        anchorReference="anchorPosition"
        anchorPosition={choice?.at}
      >
        {(choice?.ways ?? []).map((way) => (
          <MenuItem key={way.says} onClick={() => void laying.layAs(way)}>
            {way.says}
          </MenuItem>
        ))}
      </Menu>
      {making && <MakeDialog onClose={() => store.getState().askMake(null)} />}
      {show.keys && <KeysDialog open onClose={() => store.getState().toggle('keys')} />}
    </Box>
  );
}
