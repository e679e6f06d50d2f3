'use client';
/** What is done most with a piece of this kind, as a row of tiles: see handy.ts. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { IconReplace, type Icon } from '@tabler/icons-react';
import { memo } from 'react';
import type { Piece } from '@/core/piece/piece';
import { inkPieces } from '@/core/project/edits/make';
import { handyOf, inkAtHand, isPhoto, MOST } from '@/features/table/about/handy';
import { ExchangePhoto } from '@/features/table/about/ExchangePhoto';
import { InkField } from '@/features/table/parts/inks/InkField';
import { useRoom, useSession } from '@/features/table/room/context';
import { useSteady } from '@/ui/useSteady';

export function AtHand({ pieces }: { pieces: readonly Piece[] }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const free = pieces.filter(({ placement }) => !placement.locked);
  const [first] = free;
  const press = useSteady((name: string) =>
    handyOf(free)
      .find((one) => one.name === name)
      ?.run(store, free),
  );
  if (!first || readOnly) return null;
  const ink = inkAtHand(free);
  const offered = handyOf(free);
  const { perform, surfaceId } = store.getState();
  if (!offered.length && ink === undefined) return null;
  return (
    <Box role="group" aria-label="At hand" sx={{ px: 2, pb: 1.25, display: 'grid', gap: 1 }}>
      {ink !== undefined && (
        <InkField
          label="Ink"
          colour={ink}
          disabled={false}
          onChange={(colour) => perform(inkPieces(surfaceId, free, colour))}
        />
      )}
      {offered.length > 0 && (
        <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${MOST}, 1fr)`, gap: 0.5 }}>
          {offered.map(({ name, Icon, on }) => (
            <Tile key={name} name={name} Icon={Icon} on={on && free.every(on)} onPress={press} />
          ))}
          {free.length === 1 && isPhoto(first) && offered.length < MOST && 'asset' in first.material && (
            <ExchangePhoto
              piece={first}
              shown={first.material.asset}
              button={(open, none) => (
                <Tile
                  name="Exchange"
                  says={none ? 'Exchange it: no other photo in the workbox' : 'Another photo in its place'}
                  Icon={IconReplace}
                  disabled={none}
                  onPress={(_, tile) => open(tile)}
                />
              )}
            />
          )}
        </Box>
      )}
    </Box>
  );
}

interface TileProps {
  name: string;
  says?: string;
  Icon: Icon;
  on?: boolean | undefined;
  disabled?: boolean;
  onPress: (name: string, tile: HTMLElement) => void;
}

/** Drawn anew when it says something else. */
const Tile = memo(function Tile({ name, says = name, Icon, on, disabled = false, onPress }: TileProps) {
  return (
    <ButtonBase
      title={says}
      aria-label={name}
      aria-pressed={on}
      disabled={disabled}
      onClick={({ currentTarget }) => onPress(name, currentTarget)}
      sx={{
        flexDirection: 'column',
        gap: 0.25,
        minHeight: 54,
        px: 0.25,
        border: 1,
        borderColor: on ? 'primary.main' : 'divider',
        color: on ? 'primary.main' : 'text.primary',
        borderRadius: 1.5,
        fontFamily: 'inherit',
        fontSize: '0.8rem',
        fontWeight: 600,
        lineHeight: 1.1,
        '&:hover': { bgcolor: 'action.hover' },
        '&.Mui-disabled': { opacity: 0.45 },
      }}
    >
      <Icon size={20} stroke={1.7} aria-hidden="true" />
      {name}
    </ButtonBase>
  );
});
