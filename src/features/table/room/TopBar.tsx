'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconCheck,
  IconChevronDown,
  IconEye,
  IconFileDownload,
  IconHelp,
  IconHistory,
  IconPrinter,
} from '@tabler/icons-react';
import Link from 'next/link';
import { memo, useState, type ReactNode } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { retitle } from '@/core/project/edits/gather';
import { redoLabel, undoLabel } from '@/core/project/history';
import { hasPages, productSays } from '@/core/product';
import { shortened } from '@/core/text/named';
import { formatSize } from '@/core/units/lengths';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject, shownSurface, type Show } from '@/features/table/session';
import { knownScreen, TRUE_SIZE } from '@/features/table/session/screen';
import { Mark } from '@/ui/Mark';
import { SchemeButton } from '@/ui/SchemeButton';
import { tip } from '@/features/table/tasks';

interface Props {
  onMake: () => void;
  onSaveFile: () => void;
}

export const TopBar = memo(function TopBar({ onMake, onSaveFile }: Props) {
  const { store } = useRoom();
  const [undoName, redoName] = useSession(
    useShallow((session) => [undoLabel(session.history), redoLabel(session.history)] as const),
  );
  const { undo, redo, readOnly } = useSession(
    useShallow(({ undo, redo, readOnly }) => ({ undo, redo, readOnly })),
  );
  return (
    <Box
      component="header"
      data-part
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 1.5,
        height: 48,
        flexShrink: 0,
        bgcolor: 'background.paper',
        borderBottom: 1,
        borderColor: 'divider',
        minWidth: 0,
      }}
    >
      <Tooltip title="Home: all projects">
        <Button
          component={Link}
          href="/"
          color="inherit"
          aria-label="Bellagraph home"
          sx={{ gap: 1, px: 1, flexShrink: 0 }}
        >
          <Mark />
          <Typography
            component="span"
            sx={{ fontFamily: 'h1.fontFamily', typography: 'h2', display: { xs: 'none', lg: 'inline' } }}
          >
            Bellagraph
          </Typography>
        </Button>
      </Tooltip>
      <Divider orientation="vertical" flexItem sx={{ my: 1.5 }} />
      <TitleField />
      <Kept />
      <Box sx={{ flex: 1 }} />
      <Tooltip title={undoName ? tip(`Undo: ${undoName}`, 'Ctrl Z') : 'Nothing to undo'}>
        <span>
          <Button
            color="inherit"
            disabled={!undoName || readOnly}
            onClick={undo}
            startIcon={<IconArrowBackUp size={19} />}
            aria-label={undoName ? `Undo ${undoName}` : 'Undo'}
            sx={{ maxWidth: 230, px: 1, whiteSpace: 'nowrap' }}
          >
            <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
              Undo{' '}
              <Box component="span" sx={{ fontWeight: 400 }}>
                {undoName}
              </Box>
            </Box>
          </Button>
        </span>
      </Tooltip>
      <Tooltip title={tip('All steps by name', 'Y')}>
        <IconButton
          onClick={() => store.getState().openSheet('steps')}
          aria-label="All steps by name"
          color="inherit"
          sx={{ width: 32 }}
        >
          <IconHistory size={19} />
        </IconButton>
      </Tooltip>
      <Tooltip title={redoName ? `Redo: ${redoName} (Ctrl Shift Z)` : 'Nothing to redo'}>
        <span>
          <IconButton
            disabled={!redoName || readOnly}
            onClick={redo}
            aria-label={redoName ? `Redo ${redoName}` : 'Redo'}
            color="inherit"
          >
            <IconArrowForwardUp size={19} />
          </IconButton>
        </span>
      </Tooltip>
      <ZoomMenu />
      <ShowMenu />
      <SchemeButton />
      <Tooltip title={tip('Keys and how-to', '?')}>
        <IconButton
          onClick={() => store.getState().toggle('keys')}
          aria-label="Keys and how-to"
          color="inherit"
        >
          <IconHelp size={20} />
        </IconButton>
      </Tooltip>
      <Tooltip title="Save the whole project as a file: your backup">
        <IconButton onClick={onSaveFile} aria-label="Save as a file" color="inherit">
          <IconFileDownload size={20} />
        </IconButton>
      </Tooltip>
      <Tooltip title={tip('Proof: pages as they will be printed', '4')}>
        <Button
          color="inherit"
          aria-label="Proof"
          onClick={() => store.getState().openSheet('proof')}
          startIcon={<IconEye size={19} />}
          sx={{ minHeight: 40, flexShrink: 0, px: 1 }}
        >
          Proof
        </Button>
      </Tooltip>
      <Button
        variant="contained"
        size="large"
        onClick={onMake}
        startIcon={<IconPrinter size={19} />}
        sx={{ minHeight: 40, flexShrink: 0 }}
      >
        Make
      </Button>
    </Box>
  );
});

function TitleField() {
  const title = useSession((session) => shownProject(session).title);
  const { perform, readOnly } = useSession(useShallow(({ perform, readOnly }) => ({ perform, readOnly })));
  return (
    <InputBase
      value={title}
      readOnly={readOnly}
      onChange={(event) => perform(retitle(shortened(event.target.value, 200)))}
      onKeyDown={(event) =>
        (event.key === 'Enter' || event.key === 'Escape') && (event.target as HTMLElement).blur()
      }
      inputProps={{ 'aria-label': 'Project title' }}
      sx={{
        fontWeight: 600,
        fontSize: '1.02rem',
        minWidth: 90,
        maxWidth: 260,
        flex: '0 1 auto',
        width: `${Math.max(8, title.length + 2) * 0.56}em`,
        '& input': {
          px: 0.75,
          borderRadius: 1,
          textOverflow: 'ellipsis',
          '&:hover, &:focus': { bgcolor: 'background.default' },
        },
      }}
    />
  );
}

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

function Kept() {
  const kept = useSession((session) => session.kept);
  const size = useSession((session) => {
    const project = shownProject(session);
    const { unit } = project;
    return hasPages(project) ? formatSize(shownSurface(session), unit) : productSays(project, unit);
  });
  const readOnly = useSession((session) => session.readOnly);
  const deleted = useSession((session) => session.deleted);
  const time = kept && CLOCK.format(new Date(kept));
  return (
    <Typography
      variant="caption"
      color="text.secondary"
      noWrap
      aria-live="off"
      data-testid="kept"
      data-kept={kept ?? ''}
      title={size}
      sx={{ flexShrink: 2, minWidth: 0 }}
    >
      {readOnly ? 'Read only' : deleted ? 'Deleted elsewhere' : time ? `Kept ${time}` : 'Keeping …'}, {size}
    </Typography>
  );
}

function MenuButton({
  label,
  name,
  children,
}: {
  label: ReactNode;
  name: string;
  children: (close: () => void) => ReactNode;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        color="inherit"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={name}
        aria-haspopup="menu"
        endIcon={<IconChevronDown size={15} />}
        sx={{ bgcolor: 'background.default', px: 1.25, flexShrink: 0 }}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {children(() => setAnchor(null))}
      </Menu>
    </>
  );
}

function ZoomMenu() {
  const { store } = useRoom();
  const zoom = useSession((session) => session.view.zoom);
  const percent = Math.round((zoom / TRUE_SIZE) * 100);
  const exactly = (share: number) => act.zoomTo(store, share * TRUE_SIZE);
  return (
    <MenuButton label={`${percent} %`} name={`Zoom, now ${percent} %`}>
      {(close) => [
        <MenuItem key="fit" onClick={() => (act.zoomFit(store), close())}>
          The whole page <Key>0</Key>
        </MenuItem>,
        <MenuItem key="chosen" onClick={() => (act.zoomToChosen(store), close())}>
          The selection <Key>2</Key>
        </MenuItem>,
        <MenuItem
          key="true"
          onClick={() => {
            act.zoomTrue(store);
            // Asked once: nobody else knows how large this screen is.
            if (knownScreen() === null) store.getState().openSheet('screen');
            close();
          }}
        >
          True size <Key>1</Key>
        </MenuItem>,
        <MenuItem key="screen" onClick={() => (store.getState().openSheet('screen'), close())}>
          Is it true? Hold a card to it …
        </MenuItem>,
        <MenuItem key="loupe" onClick={() => (store.getState().toggle('loupe'), close())}>
          Loupe <Key>E</Key>
        </MenuItem>,
        <Divider key="line" />,
        ...[0.05, 0.25, 0.5, 1, 2, 3, 4, 8, 16].map((share) => (
          <MenuItem key={share} onClick={() => (exactly(share), close())}>
            {share * 100} %
          </MenuItem>
        )),
      ]}
    </MenuButton>
  );
}

const PANELS: readonly { panel: keyof Show; name: string; key: string }[] = [
  { panel: 'zones', name: 'Bleed and safe area, always', key: 'Z' },
  { panel: 'grid', name: 'Grid on the table', key: 'G' },
  { panel: 'guides', name: 'Guides', key: 'U' },
  { panel: 'lamp', name: 'Lamp on the page', key: '' },
  { panel: 'verbs', name: 'Verbs beside the selection', key: '6' },
  { panel: 'side', name: 'Side panel', key: 'P' },
  { panel: 'workbox', name: 'Workbox', key: 'W' },
];

function ShowMenu() {
  const { store } = useRoom();
  const show = useSession((session) => session.show);
  const snapping = useSession((session) => session.snapping);
  return (
    <MenuButton label="Show" name="Show on the table">
      {(close) => [
        ...PANELS.map(({ panel, name, key }) => (
          <Checked
            key={panel}
            on={show[panel]}
            name={name}
            keys={key}
            onClick={() => (store.getState().toggle(panel), close())}
          />
        )),
        <Divider key="line" />,
        <Checked
          key="snapping"
          on={snapping}
          name="Things snap"
          keys="S"
          onClick={() => (store.getState().setSnapping(!snapping), close())}
        />,
        <MenuItem key="guides by number" onClick={() => (store.getState().openSheet('guides'), close())}>
          <Box component="span" sx={{ width: 28 }} />
          Guides by number … <Key>I</Key>
        </MenuItem>,
        <MenuItem key="actions" onClick={() => (store.getState().openSheet('actions'), close())}>
          <Box component="span" sx={{ width: 28 }} />
          All actions … <Key>Ctrl K</Key>
        </MenuItem>,
      ]}
    </MenuButton>
  );
}

interface CheckedProps {
  on: boolean;
  name: string;
  keys: string;
  onClick: () => void;
}

const Checked = ({ on, name, keys, onClick, ...item }: CheckedProps) => (
  <MenuItem {...item} role="menuitemcheckbox" aria-checked={on} onClick={onClick}>
    <Box component="span" sx={{ width: 28 }}>
      {on && <IconCheck size={18} />}
    </Box>
    {name} <Key>{keys}</Key>
  </MenuItem>
);

const Key = ({ children }: { children: ReactNode }) => (
  <Box component="kbd" sx={{ ml: 'auto', pl: 3, font: 'inherit', color: 'text.secondary' }}>
    {children}
  </Box>
);
