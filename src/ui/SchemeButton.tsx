'use client';

import IconButton from '@mui/material/IconButton';
import { useColorScheme } from '@mui/material/styles';
import { IconMoon, IconSun } from '@tabler/icons-react';

/** Light or dark surroundings. */
export function SchemeButton() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  const name = dark ? 'Light surroundings' : 'Dark surroundings';
  return (
    <IconButton title={name} aria-label={name} onClick={() => setMode(dark ? 'light' : 'dark')}>
      {dark ? <IconSun size={20} /> : <IconMoon size={20} />}
    </IconButton>
  );
}
