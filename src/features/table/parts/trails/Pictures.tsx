'use client';
/** Pictures of the workbox to choose from: which are taken, and in which order. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import type { Project } from '@/core/project/model';
import type { Pictured } from '@/core/trail/fields';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { useSession } from '@/features/table/room/context';

export const picturedOf = (asset: Asset): Pictured => {
  const { width, height } = uprightSize(asset);
  return { asset: asset.sha, ratio: Math.min(1000, Math.max(0.001, height / width)) };
};

/** What lies in the workbox that can be a tip: stamps first. */
export const tipsIn = ({
  stamps,
  bits,
  letters,
  assets,
}: Pick<Project, 'stamps' | 'bits' | 'letters' | 'assets'>): Asset[] =>
  [...stamps, ...bits, ...letters].flatMap((sha) => assets[sha] ?? []);

export function useGathered(): readonly Asset[] {
  const { stamps, bits, letters, assets } = useSession(
    useShallow(({ history: { project } }) => ({
      stamps: project.stamps,
      bits: project.bits,
      letters: project.letters,
      assets: project.assets,
    })),
  );
  return useMemo(() => tipsIn({ stamps, bits, letters, assets }), [stamps, bits, letters, assets]);
}

interface PicturesProps {
  label: string;
  gathered: readonly Asset[];
  chosen: readonly Pictured[];
  disabled: boolean;
  onToggle: (asset: Asset) => void;
}

export function Pictures({ label, gathered, chosen, disabled, onToggle }: PicturesProps) {
  const shas = useMemo(() => gathered.map(({ sha }) => sha), [gathered]);
  const thumbs = useThumbs(shas);
  if (!gathered.length)
    return (
      <Typography variant="body2" sx={{ gridColumn: '1 / -1' }}>
        Nothing lies in the workbox that could be stamped. Bring stamps, brush tips or embellishments there
        out of the cupboard (C), or any picture of yours: what is dark in it covers.
      </Typography>
    );
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        gridColumn: '1 / -1',
        display: 'grid',
        gridTemplateColumns: 'repeat(5, 1fr)',
        gap: 0.5,
        maxHeight: 168,
        overflowY: 'auto',
      }}
    >
      {gathered.map((asset) => {
        const at = chosen.findIndex((one) => one.asset === asset.sha);
        return (
          <ButtonBase
            key={asset.sha}
            aria-label={plainName(asset.name)}
            aria-pressed={at >= 0}
            title={plainName(asset.name)}
            disabled={disabled}
            onClick={() => onToggle(asset)}
            sx={{
              height: 48,
              borderRadius: 1.5,
              border: '1.5px solid',
              borderColor: at >= 0 ? 'primary.main' : 'divider',
              bgcolor: '#fbf8f1',
              position: 'relative',
            }}
          >
            <img src={thumbs.get(asset.sha)} alt="" style={{ maxWidth: 40, maxHeight: 40 }} />
            {at >= 0 && chosen.length > 1 && (
              <Box
                component="span"
                sx={{
                  ...{ position: 'absolute', top: 1, right: 3, fontSize: '0.72rem', fontWeight: 700 },
                  color: 'primary.main',
                }}
              >
                {at + 1}
              </Box>
            )}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
