'use client';
/** Inks of the page, and those chosen last. */
import Box from '@mui/material/Box';
import { useState } from 'react';
import type { NamedInk } from '@/core/supplies/model';
import { InkDots } from '@/features/shared/InkDots';
import type { InkChoice } from '@/features/table/parts/inks/useInks';
import { recentInks, usePageInks } from '@/features/table/parts/inks/useInks';
import { Heading } from '@/ui/Heading';

export function FromPage({ colour, named, onChoose }: InkChoice & { named: (hex: string) => NamedInk }) {
  const used = usePageInks();
  const [recent] = useState(recentInks);
  return (
    <>
      <Heading>On this page, most first</Heading>
      <InkDots
        label="On this page"
        inks={used.map((ink) => named(ink.colour))}
        colour={colour}
        onChoose={onChoose}
      />
      {recent.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Heading>Chosen last</Heading>
          <InkDots label="Chosen last" inks={recent.map(named)} colour={colour} onChoose={onChoose} />
        </Box>
      )}
    </>
  );
}
