'use client';

import { memo } from 'react';
import Box from '@mui/material/Box';
import { RULER } from '@/features/table/stage/Rulers';
import { useSession } from '@/features/table/room/context';

/** Index tabs that stick out at the table's left edge, one a page. */
export const PageTabs = memo(function PageTabs() {
  const surfaces = useSession((session) => session.history.project.surfaces);
  const current = useSession((session) => session.surfaceId);
  const set = useSession((session) => session.set);
  return (
    <Box
      component="nav"
      aria-label="Pages"
      sx={{
        position: 'absolute',
        left: RULER,
        top: RULER + 14,
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        zIndex: 2,
      }}
    >
      {surfaces.map((surface, index) => {
        const here = surface.id === current;
        return (
          <Box
            key={surface.id}
            component="button"
            type="button"
            aria-current={here ? 'page' : undefined}
            aria-label={surface.name}
            title={surface.name}
            onClick={() => set({ surfaceId: surface.id, selection: [], mode: { kind: 'pick' } })}
            sx={{
              width: here ? 36 : 30,
              height: 44,
              border: 0,
              borderRadius: '0 10px 10px 0',
              bgcolor: here ? 'background.paper' : 'table.ruler',
              color: 'text.primary',
              font: 'inherit',
              fontWeight: 600,
              boxShadow: '1px 2px 4px rgba(20,14,8,0.3)',
              cursor: 'pointer',
            }}
          >
            {index + 1}
          </Box>
        );
      })}
    </Box>
  );
});
