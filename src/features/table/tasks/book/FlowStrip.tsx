'use client';
/** All of the book as it would be, page after page, and what is left out. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { Asset } from '@/core/picture/asset';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { tileSide } from '@/features/table/tasks/book/tiles';
import type { Laid } from '@/features/table/tasks/book/flowing';

/** CSS pixels of a spread. */
const SIDE = 250;
const MOST_SHOWN = 60;

export function FlowStrip({ laid: { project, plan }, kept }: { laid: Laid; kept: readonly string[] }) {
  const left = useMemo(
    () => plan?.left.flatMap(({ sha }) => project.assets[sha] ?? []) ?? [],
    [plan, project],
  );
  return (
    <>
      <Box
        component="ol"
        aria-label="The book as it would be"
        sx={{
          ...{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: '20px 22px' },
          gridTemplateColumns: `repeat(auto-fill, ${SIDE}px)`,
          justifyContent: 'center',
        }}
      >
        {project.surfaces.map((surface) => (
          <li key={surface.part}>
            <Box
              sx={{
                ...{ width: 'fit-content', mx: 'auto' },
                boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 4px 9px rgba(20,14,8,0.25)',
              }}
            >
              <NearPicture
                project={project}
                surface={surface}
                side={tileSide(surface, project.surfaces, SIDE)}
              />
            </Box>
            <Typography variant="body2" sx={{ textAlign: 'center', mt: 0.75 }}>
              {surface.name}
              {kept.includes(surface.id) && ', kept'}
            </Typography>
          </li>
        ))}
      </Box>
      {left.length > 0 && <LeftOut left={left} />}
    </>
  );
}

function LeftOut({ left }: { left: readonly Asset[] }) {
  const thumbs = useThumbs(useMemo(() => left.slice(0, MOST_SHOWN).map(({ sha }) => sha), [left]));
  return (
    <Box component="section" aria-label="Left out" sx={{ mt: 3 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Left out
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {left.slice(0, MOST_SHOWN).map(({ sha, name }) => (
          <img key={sha} src={thumbs.get(sha)} alt={name} style={{ height: 64, display: 'block' }} />
        ))}
      </Box>
    </Box>
  );
}
