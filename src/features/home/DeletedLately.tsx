'use client';
/** Projects that were deleted and can still be put back, with the day they go for good. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconArrowBackUp } from '@tabler/icons-react';
import { useState } from 'react';
import type { DeletedProject } from '@/features/home/useListed';

interface Props {
  projects: readonly DeletedProject[];
  onPutBack: (project: DeletedProject) => void;
  onEmpty: () => void;
}

export function DeletedLately({ projects, onPutBack, onEmpty }: Props) {
  const [sure, setSure] = useState(false);
  return (
    <Box component="section" aria-label="Deleted lately" sx={{ mt: 6, maxWidth: 620 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          Deleted lately
        </Typography>
        {sure ? (
          <>
            <Button color="inherit" size="small" onClick={() => setSure(false)}>
              Keep them
            </Button>
            <Button size="small" variant="contained" onClick={() => (setSure(false), onEmpty())}>
              Throw away for good
            </Button>
          </>
        ) : (
          <Button color="inherit" size="small" onClick={() => setSure(true)}>
            Throw away now …
          </Button>
        )}
      </Box>
      <Box component="ul" sx={{ p: 0, m: 0, listStyle: 'none' }}>
        {projects.map((project) => (
          <Box
            component="li"
            key={project.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 2,
              bgcolor: 'background.paper',
              px: 2,
              py: 0.75,
              mb: 0.75,
              borderRadius: 1.5,
            }}
          >
            <Typography sx={{ flex: 1, minWidth: 0 }} noWrap>
              {project.title}
            </Typography>
            <Typography variant="body2" color="text.secondary" noWrap>
              until {new Date(project.until).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}
            </Typography>
            <Button
              color="inherit"
              size="small"
              startIcon={<IconArrowBackUp size={18} />}
              onClick={() => onPutBack(project)}
              aria-label={`Put ${project.title} back`}
            >
              Put it back
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
