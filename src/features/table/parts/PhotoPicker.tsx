'use client';
/** Photos to choose from by picture: pressed ones are taken, the starred one matters most. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconStar, IconStarFilled } from '@tabler/icons-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import type { Piece } from '@/core/piece/piece';
import { keyOf, type Arrangeable } from '@/features/table/acts';
import { BringPhotos } from '@/features/table/parts/BringPhotos';
import { useThumbs } from '@/features/table/parts/useThumbs';

interface Props {
  photos: readonly Arrangeable[];
  taken: ReadonlySet<string>;
  onTaken: (taken: ReadonlySet<string>) => void;
  focal?: string | null;
  onFocal?: (key: string | null) => void;
  /** What the starred one is, in words that follow its name. */
  focalMeans?: string;
  /** Photos of the page that will not be touched. */
  staying?: readonly Piece[];
}

export function PhotoPicker({
  photos,
  taken,
  onTaken,
  focal,
  onFocal,
  focalMeans = 'matters most',
  staying = [],
}: Props) {
  const shas = useMemo(
    () => [
      ...photos.map(({ asset }) => asset.sha),
      ...staying.flatMap(({ material }) => (material.kind === 'photo' ? [material.asset] : [])),
    ],
    [photos, staying],
  );
  const thumbs = useThumbs(shas);
  const toggle = (key: string) => {
    const next = new Set(taken);
    if (!next.delete(key)) next.add(key);
    if (focal === key && !next.has(key)) onFocal?.(null);
    onTaken(next);
  };
  // Who found none, and brings some in, means these.
  const [foundNone] = useState(!photos.length);
  const known = useRef(new Set<string>());
  useEffect(() => {
    const come = foundNone ? photos.map(keyOf).filter((key) => !known.current.has(key)) : [];
    if (!come.length) return;
    come.forEach((key) => known.current.add(key));
    onTaken(new Set([...taken, ...come]));
  }, [foundNone, photos, taken, onTaken]);
  const every = photos.length > 0 && photos.every((photo) => taken.has(keyOf(photo)));
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', mb: 0.75 }}>
        <Typography role="status" sx={{ fontWeight: 600, flex: 1 }}>
          {taken.size} of {photos.length} photos
        </Typography>
        <Button
          size="small"
          color="inherit"
          disabled={!photos.length}
          onClick={() => {
            // What is not taken does not matter most.
            if (every && focal) onFocal?.(null);
            onTaken(new Set(every ? [] : photos.map(keyOf)));
          }}
        >
          {every ? 'Take none' : 'Take all'}
        </Button>
      </Box>
      {!photos.length && <BringPhotos />}
      <Box
        component="ul"
        aria-label="Photos to choose from"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(4, 1fr)',
          gap: 0.75,
          p: 0,
          m: 0,
          listStyle: 'none',
          maxHeight: 232,
          overflowY: 'auto',
        }}
      >
        {photos.map((photo) => {
          const key = keyOf(photo);
          const on = taken.has(key);
          const name = plainName(photo.asset.name);
          return (
            <Box component="li" key={key} sx={{ position: 'relative', aspectRatio: '1' }}>
              <Choice
                type="button"
                title={`${name}${photo.piece ? ', on the page' : ''}`}
                aria-label={name}
                aria-pressed={on}
                onClick={() => toggle(key)}
                style={{
                  backgroundImage: thumbs.has(photo.asset.sha)
                    ? `url("${thumbs.get(photo.asset.sha)}")`
                    : undefined,
                }}
              />
              {on && onFocal && (
                <Tooltip title={focal === key ? 'Not this one' : `This one ${focalMeans}`}>
                  <IconButton
                    size="small"
                    aria-label={`${name} ${focalMeans}`}
                    aria-pressed={focal === key}
                    onClick={() => onFocal(focal === key ? null : key)}
                    sx={{
                      position: 'absolute',
                      right: 2,
                      bottom: 2,
                      p: 0,
                      width: 26,
                      height: 26,
                      minWidth: 0,
                      minHeight: 0,
                      borderRadius: '50%',
                      bgcolor: 'background.paper',
                      color: focal === key ? 'warning.dark' : 'text.secondary',
                      '&:hover': { bgcolor: 'background.paper' },
                    }}
                  >
                    {focal === key ? <IconStarFilled size={16} /> : <IconStar size={16} />}
                  </IconButton>
                </Tooltip>
              )}
            </Box>
          );
        })}
      </Box>
      {staying.length > 0 && (
        <Box sx={{ mt: 1.25 }}>
          <Typography variant="body2" color="text.secondary" sx={{ mb: 0.5 }}>
            {staying.length === 1 ? 'One stays as it is' : `${staying.length} stay as they are`}: cut to a
            shape, framed, grouped or locked.
          </Typography>
          <Strip
            pictures={staying.flatMap(({ id, name, material }) =>
              material.kind === 'photo' ? [{ id, name, src: thumbs.get(material.asset) }] : [],
            )}
          />
        </Box>
      )}
    </>
  );
}

// Drawn by the hundred: styles that never change are made once.
const Choice = styled('button')(({ theme }) => ({
  display: 'block',
  width: '100%',
  height: '100%',
  padding: 0,
  borderRadius: 8,
  border: `2px solid ${(theme.vars ?? theme).palette.divider}`,
  backgroundColor: 'transparent',
  backgroundSize: 'cover',
  backgroundPosition: 'center',
  cursor: 'pointer',
  opacity: 0.5,
  '&[aria-pressed="true"]': { opacity: 1, borderColor: (theme.vars ?? theme).palette.primary.main },
}));

/** Photos for which there is no place, by picture. */
export function LeftOut({ assets }: { assets: readonly Asset[] }) {
  const shas = useMemo(() => assets.map(({ sha }) => sha), [assets]);
  const thumbs = useThumbs(shas);
  return (
    <Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 0.5 }}>
        {assets.length === 1
          ? 'One photo finds no place and waits in the workbox:'
          : `${assets.length} photos find no place and wait in the workbox:`}
      </Typography>
      <Strip
        pictures={assets.map(({ sha, name }) => ({ id: sha, name: plainName(name), src: thumbs.get(sha) }))}
      />
    </Box>
  );
}

function Strip({ pictures }: { pictures: readonly { id: string; name: string; src?: string }[] }) {
  return (
    <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', maxHeight: 76, overflowY: 'auto' }}>
      {pictures.map(({ id, name, src }) => (
        <Box
          key={id}
          component="img"
          alt={name}
          src={src}
          sx={{ width: 34, height: 34, objectFit: 'cover', borderRadius: 0.75 }}
        />
      ))}
    </Box>
  );
}
