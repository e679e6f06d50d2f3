'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconDots } from '@tabler/icons-react';
import { useState } from 'react';
import { nameOfSize } from '@/core/units/sizes';
import type { HomeProject } from '@/features/home/useListed';
import { fetched } from '@/ui/fetched';

const SheetMenu = fetched('This menu', () => import('@/features/home/SheetMenu').then((m) => m.SheetMenu));

/** Pixels an inch of a project takes on the home table: all sheets lie at the same scale. */
const PIXELS_PER_INCH = 23;
/** Sheets beyond this are drawn smaller, and say so by their size in words. */
const LARGEST = 400;

interface Props {
  project: HomeProject;
  onOpen: () => void;
  onDuplicate: () => void;
  onSave: () => void;
  onDelete: () => void;
}

export function ProjectSheet({ project, onOpen, onDuplicate, onSave, onDelete }: Props) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const scale = Math.min(PIXELS_PER_INCH / 72, LARGEST / project.width, LARGEST / project.height);
  const width = Math.max(56, project.width * scale);
  return (
    <Box component="li" sx={{ width: Math.max(width, 190), listStyle: 'none' }}>
      <ButtonBase
        onClick={onOpen}
        aria-label={`Open ${project.title}`}
        sx={{
          display: 'block',
          width,
          height: project.height * scale,
          bgcolor: 'common.white',
          backgroundImage: project.preview ? `url(${project.preview})` : 'none',
          backgroundSize: '100% 100%',
          boxShadow: '0 1px 2px rgba(20,14,8,0.35), 2px 5px 11px rgba(20,14,8,0.28)',
          transition: 'transform 120ms, box-shadow 120ms',
          '&:hover': {
            transform: 'translateY(-3px)',
            boxShadow: '0 1px 2px rgba(20,14,8,0.3), 4px 10px 18px rgba(20,14,8,0.32)',
          },
        }}
      />
      <Box sx={{ display: 'flex', alignItems: 'flex-start', mt: 1.25 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography noWrap sx={{ fontWeight: 600, lineHeight: 1.3 }}>
            {project.title}
          </Typography>
          <Typography variant="caption" color="text.primary" sx={{ display: 'block' }}>
            {nameOfSize(project.width, project.height, project.unit)}
            {!project.demo && `, ${when(project.edited)}`}
          </Typography>
        </Box>
        <IconButton
          title="More to do with this project"
          size="small"
          aria-label={`More to do with ${project.title}`}
          aria-haspopup="menu"
          onClick={(event) => setMenu(event.currentTarget)}
        >
          <IconDots size={20} />
        </IconButton>
      </Box>
      {menu && (
        <SheetMenu
          anchor={menu}
          onClose={() => setMenu(null)}
          onDuplicate={onDuplicate}
          onSave={onSave}
          onDelete={onDelete}
        />
      )}
    </Box>
  );
}

function when(time: number): string {
  const date = new Date(time);
  const today = new Date().toDateString() === date.toDateString();
  return today
    ? `today ${date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
    : date.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}
