'use client';
/** A mosaic: photos in rows and columns, with a picture seen over all of them. What it would look like is shown throughout. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Box as Area } from '@/core/geometry/box';
import { leastOf } from '@/core/geometry/sides';
import { darksAndLights } from '@/core/mosaic/colours';
import {
  fewestUses,
  MOST_CELLS_A_SIDE,
  MOST_MOSAIC_PHOTOS,
  plan,
  SPREADS,
  type Order,
  type Sheet,
  type Spread,
} from '@/core/mosaic/plan';
import type { Blend } from '@/core/picture/blend';
import { layMosaic, USUAL_BLEND, USUAL_OPACITY, type Mosaic } from '@/core/project/edits/mosaic';
import { lookAhead } from '@/core/project/history';
import { wholeUnits } from '@/core/project/tree';
import { byTime } from '@/core/project/photos';
import type { Surface } from '@/core/project/model';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { Purpose } from '@/features/table/parts/Purpose';
import { measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { newId } from '@/features/shared/ids';
import * as act from '@/features/table/acts';
import { useMeans, useParts } from '@/features/table/parts/colours';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { PhotoPicker } from '@/features/table/parts/PhotoPicker';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';

/** CSS pixels of the page at its longer side. */
const SIDE = 440;
/** Parts of the picture that are looked at for darks and lights. */
const LOOKED = 12;
/** Shares of darks and lights from which a picture is well seen over others; our own choice. */
const ENOUGH = 0.12;

const ORDER_NAMES: Record<Order, string> = {
  time: 'By the time they were taken',
  tone: 'From dark to light',
  matched: 'Matched to the picture over them',
};

const SPREAD_NAMES: Record<Spread, string> = {
  last: 'Is shown larger, on the last page',
  even: 'As many photos on every page',
};

const BLEND_NAMES: Partial<Record<Blend, string>> = {
  screen: 'Screen',
  multiply: 'Multiply',
  overlay: 'Overlay',
  'soft-light': 'Soft light',
  luminosity: 'Luminosity',
};

interface Settings {
  columns: number;
  rows: number;
  /** Points, as the margin, which may be below zero: into the bleed. */
  gap: number;
  margin: number;
  order: Order;
  /** How often a photo may be used where they are matched. */
  most: number;
  spread: Spread;
  blend: Blend | 'none';
  opacity: number;
}

const FIRST: Omit<Settings, 'margin'> = {
  ...{ columns: 10, rows: 10, gap: 0, order: 'time', most: 1, spread: 'last' },
  ...{ blend: USUAL_BLEND, opacity: USUAL_OPACITY },
};

const percent = (share: number): string => `${Math.round(100 * share)} %`;

interface SettingsProps {
  settings: Settings;
  page: Pick<Surface, 'width' | 'height' | 'bleed'>;
  unit: Unit;
  /** Whether one photo is seen over all of them. */
  picture: boolean;
  /** Whether photos are left for a page that they do not fill. */
  over: boolean;
  onChange: (to: Partial<Settings>) => void;
}

function MosaicSettings({ settings, page, unit, picture, over, onChange }: SettingsProps) {
  const { columns, rows, gap, margin, order, most, spread, blend, opacity } = settings;
  const whole = wholeWithin(1, MOST_CELLS_A_SIDE);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', mt: 2 }}>
      <LengthField
        label="Columns"
        shown={String(columns)}
        read={whole}
        onCommit={(columns) => onChange({ columns })}
      />
      <LengthField label="Rows" shown={String(rows)} read={whole} onCommit={(rows) => onChange({ rows })} />
      <LengthField
        label="Gap"
        unit={unit}
        shown={formatLength(gap, unit)}
        read={measureWithin(unit, 0, toPoints(1, 'in'))}
        onCommit={(gap) => onChange({ gap })}
      />
      <LengthField
        label="Margin"
        unit={unit}
        shown={formatLength(margin, unit)}
        read={measureWithin(unit, -leastOf(page.bleed), Math.min(page.width, page.height) / 2.5)}
        onCommit={(margin) => onChange({ margin })}
      />
      <TextField
        select
        label="Order"
        value={order}
        onChange={(event) => onChange({ order: event.target.value as Order })}
        sx={{ gridColumn: '1 / -1' }}
      >
        {(Object.keys(ORDER_NAMES) as Order[]).map((each) => (
          <MenuItem key={each} value={each} disabled={each === 'matched' && !picture}>
            {ORDER_NAMES[each]}
          </MenuItem>
        ))}
      </TextField>
      {over && (
        <TextField
          select
          label="What is over"
          value={spread}
          onChange={(event) => onChange({ spread: event.target.value as Spread })}
          sx={{ gridColumn: '1 / -1' }}
        >
          {SPREADS.map((each) => (
            <MenuItem key={each} value={each}>
              {SPREAD_NAMES[each]}
            </MenuItem>
          ))}
        </TextField>
      )}
      {order === 'matched' && (
        <LengthField
          label="Each at most, times"
          shown={String(most)}
          read={wholeWithin(1, 100)}
          onCommit={(most) => onChange({ most })}
        />
      )}
      {picture && (
        <>
          <TextField
            select
            label="The picture meets them by"
            value={blend}
            onChange={(event) => onChange({ blend: event.target.value as Blend | 'none' })}
            sx={{ gridColumn: '1 / -1' }}
          >
            {Object.entries(BLEND_NAMES).map(([each, name]) => (
              <MenuItem key={each} value={each}>
                {name}
              </MenuItem>
            ))}
            <MenuItem value="none">Covering them</MenuItem>
          </TextField>
          <LabelledSlider
            label={`Opacity ${percent(opacity)}`}
            min={5}
            max={100}
            step={5}
            value={Math.round(100 * opacity)}
            onChange={(value) => onChange({ opacity: value / 100 })}
          />
        </>
      )}
    </Box>
  );
}

export function MosaicSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const session = useSession(
    useShallow(({ history, surfaceId, selection }): act.Shown => ({ history, surfaceId, selection })),
  );
  const readOnly = useSession((each) => each.readOnly);
  const { project } = session.history;
  const { unit } = project;
  const surface = act.page(session);
  const all = useMemo(
    () =>
      byTime(project.photos.flatMap((sha) => project.assets[sha] ?? []))
        .slice(0, MOST_MOSAIC_PHOTOS)
        .map((asset) => ({ asset, piece: null })),
    [project],
  );
  const [taken, setTaken] = useState<ReadonlySet<string>>(() => {
    const { wanted } = store.getState();
    return new Set(wanted.length ? wanted : all.map(act.keyOf));
  });
  const [starred, setStarred] = useState<string | null>(null);
  const [settings, setSettings] = useState<Settings>(() => ({ ...FIRST, margin: -leastOf(surface.bleed) }));
  const { columns, rows, gap, margin, order, most, spread, blend, opacity } = settings;
  const change = (to: Partial<Settings>) => setSettings((now) => ({ ...now, ...to }));

  const picture = all.find((photo) => act.keyOf(photo) === starred)?.asset;
  const photos = useMemo(
    () =>
      all
        .filter((photo) => taken.has(act.keyOf(photo)) && act.keyOf(photo) !== starred)
        .map(({ asset }) => asset),
    [all, taken, starred],
  );
  const area = useMemo(
    (): Area => ({
      x: margin,
      y: margin,
      width: surface.width - 2 * margin,
      height: surface.height - 2 * margin,
    }),
    [margin, surface.width, surface.height],
  );
  const means = useMeans(photos);
  const parts = useParts(picture, area, columns, rows);
  const looked = useParts(picture, area, LOOKED, LOOKED);
  const cells = columns * rows;
  const fits = area.width - (columns - 1) * gap > columns * 4 && area.height - (rows - 1) * gap > rows * 4;
  const known = photos.every(({ sha }) => means.has(sha));
  const matched = order === 'matched';
  const ready = fits && photos.length > 0 && known && (!matched || parts !== null);
  const wished = useMemo((): Mosaic | null => {
    if (!ready) return null;
    const sheets = plan(
      photos.map(({ sha }) => means.get(sha)!),
      parts ?? [],
      { columns, rows, order, most, spread },
    );
    const over = picture ? { asset: picture, blend: blend === 'none' ? null : blend, opacity } : null;
    return { gap, area, photos, sheets, over };
  }, [ready, photos, means, parts, columns, rows, order, most, spread, picture, blend, opacity, gap, area]);
  const mosaic = useDeferredValue(wished);
  const shown = useMemo(
    () => mosaic && lookAhead(session.history.project, layMosaic(session.surfaceId, mosaic, newId)),
    [session, mosaic],
  );
  const lay = () => {
    // What was wished last is laid, though it may not be drawn yet.
    if (!wished) return;
    onClose();
    if (!store.getState().perform(layMosaic(session.surfaceId, wished, newId))) return;
    const { pile } = act.page(store.getState());
    store.getState().select(
      wholeUnits(
        pile,
        pile.slice(-1).map(({ id }) => id),
        null,
      ),
    );
  };
  const says = !all.length
    ? ['No photos yet: bring some into the workbox first.']
    : !photos.length
      ? ['Choose the photos for the cells.']
      : !fits
        ? ['The gaps leave no room for the photos.']
        : !mosaic
          ? ['Looking at the photos ...']
          : inWords(photos.length, cells, mosaic.sheets, matched, most);
  const { dark, light } = looked ? darksAndLights(looked) : { dark: 1, light: 1 };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="mosaic-title">
      <DialogTitle id="mosaic-title" variant="h2" sx={{ pb: 1 }}>
        Photo mosaic
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent
        sx={{ display: 'grid', gridTemplateColumns: '320px 1fr', gap: 3, overflow: 'hidden', height: 560 }}
      >
        <Box sx={{ overflowY: 'auto', pr: 1, pt: 0.5 }}>
          <PhotoPicker
            photos={all}
            taken={taken}
            onTaken={setTaken}
            focal={starred}
            onFocal={(key) => {
              setStarred(key);
              if (!key && matched) change({ order: 'time' });
            }}
            focalMeans="is seen over all of it"
          />
          <MosaicSettings
            settings={settings}
            page={surface}
            unit={unit}
            picture={picture !== undefined}
            over={!matched && photos.length > cells && photos.length % cells !== 0}
            onChange={change}
          />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'center', minHeight: 0, pt: 0.5 }}>
          <Box sx={{ flex: 1, minHeight: 0, display: 'grid', placeItems: 'center' }}>
            <PagePicture
              project={shown ?? project}
              surface={(shown ?? project).surfaces.find(({ id }) => id === session.surfaceId)!}
              side={SIDE}
              label="The page with the mosaic"
              style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 2px 4px 12px rgba(20,14,8,0.22)' }}
            />
          </Box>
          <Typography role="status" variant="body2" sx={{ pt: 1, alignSelf: 'stretch', minHeight: 46 }}>
            {says.join(' ')}{' '}
            {mosaic &&
              picture &&
              looked &&
              (dark >= ENOUGH && light >= ENOUGH
                ? `The picture suits: ${percent(dark)} of it is dark, ${percent(light)} light.`
                : `The picture will be hard to see: ${percent(dark)} of it is dark, ${percent(light)} light; one with strong darks and lights is seen better.`)}
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        <Button variant="contained" disabled={readOnly || !wished} onClick={lay}>
          Lay the mosaic
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** How photos and cells come out. */
function inWords(
  photos: number,
  cells: number,
  sheets: readonly Sheet[],
  matched: boolean,
  most: number,
): string[] {
  const counts = sheets.map((sheet) => sheet.cells.length);
  const says = [`${cells} cells, ${photos} ${photos === 1 ? 'photo' : 'photos'}.`];
  if (matched) {
    const fewest = fewestUses(photos, cells);
    if (photos > cells && most === 1) says.push(`The ${cells} nearest are used.`);
    else if (fewest > most) says.push(`There are too few: each is used up to ${fewest} times.`);
  } else if (sheets.length > 1)
    says.push(
      `They fill ${sheets.length} pages, ${counts.slice(0, -1).join(', ')} and ${counts.at(-1)} photos on them: the further ones come after this one.`,
    );
  else if (photos < cells) says.push('They begin again when all are used.');
  return says;
}
