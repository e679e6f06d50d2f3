'use client';
/** Light and tone of the selected photos: seen on the page at once, changed or taken back at any time. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { isPicture, type PictureMaterial } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { changeTone } from '@/core/project/edits/tone';
import { autoTone, histogramOf, type Histogram } from '@/core/tone/histogram';
import { PLAIN, TONE_SETTINGS, toneWith, type Tone, type ToneSetting } from '@/core/tone/settings';
import { smallPixels } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces, shownProject } from '@/features/table/session';
import { HistogramChart } from '@/features/table/tasks/photos/HistogramChart';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { RowSlider } from '@/ui/RowSlider';

/** Pixels at its longer side of the copy whose histogram is shown. */
const LOOKED = 200;

type Toned = Piece & { material: PictureMaterial };

/** The histogram of a picture in a tone, once it can be had. */
function useHistogram(piece: Toned | undefined): Histogram | null {
  const { shelf } = useRoom();
  const asset = useSession((session) =>
    piece ? shownProject(session).assets[piece.material.asset] : undefined,
  );
  const tone = piece?.material.tone;
  const [histogram, setHistogram] = useState<Histogram | null>(null);
  useEffect(() => {
    if (!asset) return;
    const look = () => {
      const image = shelf.take(asset, LOOKED, { tone });
      if (image) setHistogram(histogramOf(smallPixels(image, LOOKED).data));
    };
    const frame = requestAnimationFrame(look);
    const stop = shelf.onArrival((sha) => sha === asset.sha && look());
    return () => {
      cancelAnimationFrame(frame);
      stop();
    };
  }, [shelf, asset, tone]);
  return asset ? histogram : null;
}

export function ToneSheet({ onClose }: { onClose: () => void }) {
  const { store, shelf } = useRoom();
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  useSession((session) => session.history);
  useSession((session) => session.selection);
  const session = store.getState();
  const pieces = settledPieces(session, session.selection).filter(
    (piece): piece is Toned => isPicture(piece.material) && !piece.placement.locked,
  );
  const [piece] = pieces;
  const histogram = useHistogram(piece);
  const tone = piece?.material.tone ?? PLAIN;
  const change = (to: (tone: Tone) => Tone, merge?: string) =>
    perform(changeTone(session.surfaceId, pieces, to, merge));
  const auto = () => {
    const asset = session.history.project.assets[piece!.material.asset];
    const image = asset && shelf.take(asset, LOOKED);
    if (!image) return;
    const found = histogramOf(smallPixels(image, LOOKED).data);
    change((before) => autoTone(found, before));
  };
  const disabled = readOnly || !piece;
  return (
    <SideSheet title="Light and tone" onClose={onClose}>
      {!piece && (
        <Typography role="status" sx={{ mb: 1 }}>
          Select one or more photos or papers.
        </Typography>
      )}
      {piece && histogram && <HistogramChart histogram={histogram} />}
      <Box
        sx={{ display: 'flex', gap: 0.5, my: 0.75, '& > *': { px: 1.1, minWidth: 0, whiteSpace: 'nowrap' } }}
      >
        <Button size="small" variant="outlined" color="inherit" disabled={disabled} onClick={auto}>
          By itself
        </Button>
        <Button
          size="small"
          variant="outlined"
          color="inherit"
          disabled={disabled}
          onClick={() => change((before) => toneWith(before, 'mono', before.values.mono ? 0 : 100))}
        >
          Black and white
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
      {TONE_SETTINGS.map((setting) => (
        <ToneSlider
          key={setting.id}
          setting={setting}
          value={tone.values[setting.id] ?? 0}
          disabled={disabled || (setting.id === 'filter' && !tone.values.mono)}
          onChange={(value) => change((before) => toneWith(before, setting.id, value), setting.id)}
        />
      ))}
      <ToneSlider
        setting={{
          id: 'strength',
          name: 'All of it',
          least: 0,
          most: 100,
          step: 1,
          ends: ['not seen', 'in full'],
        }}
        value={Math.round(tone.strength * 100)}
        disabled={disabled}
        onChange={(value) => change((before) => ({ ...before, strength: value / 100 }), 'strength')}
      />
    </SideSheet>
  );
}

interface SliderProps {
  setting: ToneSetting;
  value: number;
  disabled: boolean;
  onChange: (value: number) => void;
}

function ToneSlider({
  setting: { id, name, least, most, step, ends },
  value,
  disabled,
  onChange,
}: SliderProps) {
  return (
    <RowSlider
      label={name}
      least={least}
      most={most}
      step={step}
      value={value}
      disabled={disabled}
      says={id === 'exposure' ? value.toFixed(2) : undefined}
      spoken={(now) =>
        now === 0 && least < 0 ? 'as it was' : `${now}, ${now < (least + most) / 2 ? ends[0] : ends[1]}`
      }
      onChange={onChange}
    />
  );
}
