'use client';
/** Inks as dots to choose from; the arrows walk along them. */
import ButtonBase from '@mui/material/ButtonBase';
import Box from '@mui/material/Box';
import type { KeyboardEvent } from 'react';
import type { NamedInk } from '@/core/supplies/model';

interface Props {
  label: string;
  inks: readonly NamedInk[];
  /** Which are chosen. */
  colour?: string | readonly string[];
  /** Where there is little room. */
  small?: boolean;
  onChoose: (colour: string) => void;
}

export function InkDots({ label, inks, colour, small, onChoose }: Props) {
  const chosen = (one: string) =>
    typeof colour === 'string' ? one === colour : Boolean(colour?.includes(one));
  const walk = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    const dots = [...event.currentTarget.querySelectorAll('button')];
    dots[dots.indexOf(document.activeElement as HTMLButtonElement) + by]?.focus();
    event.preventDefault();
  };
  return (
    <Box
      role="group"
      aria-label={label}
      data-own-arrows
      onKeyDown={walk}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: small ? 0.6 : 0.75 }}
    >
      {inks.map((ink, i) => (
        <ButtonBase
          key={`${ink.colour} ${i}`}
          aria-label={ink.name}
          aria-pressed={chosen(ink.colour)}
          title={ink.name}
          onClick={() => onChoose(ink.colour)}
          sx={{
            width: small ? 26 : 34,
            height: small ? 26 : 34,
            borderRadius: '50%',
            bgcolor: ink.colour,
            border: '1px solid rgba(0,0,0,0.25)',
            outline: chosen(ink.colour) ? '2px dashed' : 'none',
            outlineColor: 'primary.main',
            outlineOffset: 2,
          }}
        />
      ))}
    </Box>
  );
}
