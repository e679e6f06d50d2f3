'use client';
/** Index tabs that stick out at the table's left edge, one a page; the last adds one. */
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { IconDots, IconLock, IconPlus } from '@tabler/icons-react';
import { memo, useMemo, useState, type MouseEvent, type ReactNode } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { movePage } from '@/core/project/edits/page';
import * as act from '@/features/table/acts';
import { RULER } from '@/features/table/stage/hand/view';
import { useRoom, useSession } from '@/features/table/room/context';

export const PageTabs = memo(function PageTabs() {
  const { store } = useRoom();
  // Only what the tabs show: the pages themselves are others after every edit.
  const told = useSession(
    useShallow(({ history }) =>
      history.project.surfaces.flatMap(({ id, name, locked }) => [id, name, locked]),
    ),
  );
  const surfaces = useMemo(
    () =>
      Array.from({ length: told.length / 3 }, (_, i) => ({
        id: told[3 * i] as string,
        name: told[3 * i + 1] as string,
        locked: told[3 * i + 2] as boolean,
      })),
    [told],
  );
  const current = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const here = surfaces.find(({ id }) => id === current) ?? surfaces[0]!;
  const at = surfaces.indexOf(here);
  const close = () => setAnchor(null);
  const does = (deed: () => unknown) => () => {
    close();
    deed();
  };
  return (
    <Box
      component="nav"
      aria-label="Pages"
      sx={{
        position: 'absolute',
        left: RULER,
        top: RULER + 14,
        bottom: 16,
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        zIndex: 2,
        overflowY: 'auto',
        overflowX: 'hidden',
        scrollbarWidth: 'none',
        pointerEvents: 'none',
        '& button': { pointerEvents: 'auto' },
      }}
    >
      {surfaces.map((surface, index) => (
        <Tab
          key={surface.id}
          here={surface.id === current}
          name={`${surface.name}${surface.locked ? ', locked' : ''}`}
          onClick={() => act.toPageAt(store, surface.id)}
        >
          {index + 1}
          {surface.locked && <IconLock size={13} aria-hidden="true" />}
        </Tab>
      ))}
      {!readOnly && (
        <>
          <Tab name="What to do with this page" small onClick={(event) => setAnchor(event.currentTarget)}>
            <IconDots size={18} aria-hidden="true" />
          </Tab>
          <Tab name="Add a page" small onClick={() => act.addPageAfter(store, false)}>
            <IconPlus size={18} aria-hidden="true" />
          </Tab>
        </>
      )}
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <MenuItem onClick={does(() => act.togglePageLock(store))}>
          {here.locked ? 'Unlock' : 'Lock'} {here.name}
        </MenuItem>
        <MenuItem onClick={does(() => act.addPageAfter(store, true))}>Copy {here.name}</MenuItem>
        {at > 0 && (
          <MenuItem onClick={does(() => store.getState().perform(movePage(current, at - 1)))}>
            Move it before {surfaces[at - 1]!.name}
          </MenuItem>
        )}
        {at < surfaces.length - 1 && (
          <MenuItem onClick={does(() => store.getState().perform(movePage(current, at + 1)))}>
            Move it after {surfaces[at + 1]!.name}
          </MenuItem>
        )}
        <MenuItem onClick={does(() => store.getState().openSheet('contact'))}>
          Contact sheets of all photos
        </MenuItem>
        <MenuItem disabled={surfaces.length < 2} onClick={does(() => act.deletePage(store))}>
          Delete {here.name}
        </MenuItem>
      </Menu>
    </Box>
  );
});

interface TabProps {
  name: string;
  here?: boolean;
  small?: boolean;
  onClick: (event: MouseEvent<HTMLElement>) => void;
  children: ReactNode;
}

const Tab = ({ name, here = false, small = false, onClick, children }: TabProps) => (
  <Box
    component="button"
    type="button"
    aria-current={here ? 'page' : undefined}
    aria-label={name}
    title={name}
    onClick={onClick}
    sx={{
      width: here ? 38 : 32,
      minHeight: small ? 34 : 44,
      flexShrink: 0,
      border: 0,
      borderRadius: '0 10px 10px 0',
      bgcolor: here ? 'background.paper' : 'table.ruler',
      color: 'text.primary',
      font: 'inherit',
      fontWeight: 600,
      boxShadow: '1px 2px 4px rgba(20,14,8,0.3)',
      cursor: 'pointer',
      display: 'grid',
      placeItems: 'center',
      lineHeight: 1,
    }}
  >
    {children}
  </Box>
);
