'use client';
/** Light and tone of the selected photos: seen on the page at once, changed or taken back at any time. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import { isPicture, type PictureMaterial } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { changeTone } from '@/core/project/edits/tone';
import { autoTone, histogramOf } from '@/core/tone/histogram';
import { PLAIN, TONE_PAGES, TONE_SETTINGS, toneWith, type Tone } from '@/core/tone/settings';
import { smallPixels } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces, shownProject } from '@/features/table/session';
import { ToneRibbon } from '@/features/table/tasks/photos/ToneRibbon';
import { tonedCopy, ToneTrial, type Base } from '@/features/table/tasks/photos/ToneTrial';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { RowSlider } from '@/ui/RowSlider';

/** Pixels at its longer side of the copy that is looked at. */
const LOOKED = 128;

type Toned = Piece & { material: PictureMaterial };

/** A small copy of a picture as its file has it, once it can be had. */
function useBase(piece: Toned | undefined): Base {
  const { shelf } = useRoom();
  const asset = useSession((session) =>
    piece ? shownProject(session).assets[piece.material.asset] : undefined,
  );
  const [base, setBase] = useState<{ of: string; pixels: ImageData } | null>(null);
  useEffect(() => {
    if (!asset) return;
    const look = () => {
      const image = shelf.take(asset, LOOKED);
      if (image) setBase({ of: asset.sha, pixels: smallPixels(image, LOOKED) });
    };
    const frame = requestAnimationFrame(look);
    const stop = shelf.onArrival((sha) => sha === asset.sha && look());
    return () => {
      cancelAnimationFrame(frame);
      stop();
    };
  }, [shelf, asset]);
  return base && base.of === asset?.sha ? base.pixels : null;
}

export function ToneSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  useSession((session) => session.history);
  useSession((session) => session.selection);
  const session = store.getState();
  const pieces = settledPieces(session, session.selection).filter(
    (piece): piece is Toned => isPicture(piece.material) && !piece.placement.locked,
  );
  const [piece] = pieces;
  const base = useBase(piece);
  const [shown, setShown] = useState<(typeof TONE_PAGES)[number]>('Light');
  const tone = piece?.material.tone ?? PLAIN;
  const change = (to: (tone: Tone) => Tone, merge?: string) =>
    perform(changeTone(session.surfaceId, pieces, to, merge));
  const auto = () => {
    if (base) change((before) => autoTone(histogramOf(base.data), before));
  };
  const disabled = readOnly || !piece;
  const ribbon = useMemo(() => base && tonedCopy(base, tone), [base, tone]);
  return (
    <SideSheet title="Light and tone" onClose={onClose}>
      {!piece && (
        <Typography role="status" sx={{ mb: 1 }}>
          Select one or more photos or papers.
        </Typography>
      )}
      {ribbon && <ToneRibbon pixels={ribbon} />}
      <Box
        sx={{ display: 'flex', gap: 0.5, my: 0.75, '& > *': { px: 1.1, minWidth: 0, whiteSpace: 'nowrap' } }}
      >
        <Button size="small" variant="outlined" color="inherit" disabled={disabled} onClick={auto}>
          By itself
        </Button>
        <Button
          size="small"
          color="inherit"
          disabled={disabled || pieces.every(({ material }) => !material.tone)}
          onClick={() => change(() => PLAIN)}
        >
          As it was
        </Button>
      </Box>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={shown}
        aria-label="What of the photo"
        onChange={(_, next: (typeof TONE_PAGES)[number] | null) => next && setShown(next)}
        sx={{ mb: 1 }}
      >
        {TONE_PAGES.map((name) => (
          <ToggleButton key={name} value={name} sx={{ px: 0.5, fontSize: '0.88rem', whiteSpace: 'nowrap' }}>
            {name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {TONE_SETTINGS.filter(({ page, id }) => page === shown && (id !== 'filter' || tone.values.mono)).map(
        (setting) => (
          <ToneTrial
            key={setting.id}
            setting={setting}
            base={base}
            tone={tone}
            disabled={disabled}
            onChange={(value) => change((before) => toneWith(before, setting.id, value), setting.id)}
          />
        ),
      )}
      <RowSlider
        label="How much of it"
        least={0}
        most={100}
        value={Math.round(tone.strength * 100)}
        disabled={disabled || pieces.every(({ material }) => !material.tone)}
        spoken={(now) => `${now} per cent of all that was changed`}
        onChange={(value) => change((before) => ({ ...before, strength: value / 100 }), 'strength')}
      />
    </SideSheet>
  );
}
