'use client';
/** The one place where an ink is chosen: from the sets, by what goes with it, from the page, or mixed. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { IconColorPicker, IconHeart, IconHeartFilled, IconScreenshot } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { apartInWords, nearestInks } from '@/core/inks/near';
import type { NamedInk } from '@/core/supplies/model';
import { FromPage } from '@/features/table/parts/inks/FromPage';
import { FromPartners } from '@/features/table/parts/inks/FromPartners';
import { FromSets } from '@/features/table/parts/inks/FromSets';
import { Mixed } from '@/features/table/parts/inks/Mixed';
import { fromScreen, hasEyeDropper } from '@/features/table/parts/inks/eyeDropper';
import {
  inksIn,
  offered,
  toggleFavourite,
  useInkSets,
  type InkChoice,
} from '@/features/table/parts/inks/useInks';
import { FAVOURITE_INKS } from '@/storage/supplies';
import { SmallButton } from '@/ui/SmallButton';

const PLACES = ['Sets', 'Partners', 'Page', 'Mix'] as const;
type Place = (typeof PLACES)[number];

/** `onDrop` begins to take a colour from the page. */
export function InkPicker({ colour, onChoose, onDrop }: InkChoice & { onDrop: () => void }) {
  const sets = useInkSets();
  const inks = useMemo(() => inksIn(sets), [sets]);
  const [place, setPlace] = useState<Place>('Sets');
  const live = useMemo(() => sets.flatMap(offered), [sets]);
  const [near] = useMemo(() => nearestInks(colour, live, 1), [colour, live]);
  const liked = sets.some(
    ({ id, inks: own }) => id === FAVOURITE_INKS && own?.some((ink) => ink.colour === colour),
  );
  const named = (hex: string): NamedInk =>
    inks.find((ink) => ink.colour === hex) ?? { name: hex, colour: hex };
  return (
    <Box sx={{ width: 330 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', px: 2, pt: 2 }}>
        <Box
          aria-hidden
          sx={{
            width: 52,
            height: 44,
            borderRadius: 1.5,
            bgcolor: colour,
            border: '1px solid rgba(0,0,0,0.25)',
          }}
        />
        <Box sx={{ minWidth: 0, flex: 1 }}>
          <Typography noWrap sx={{ fontWeight: 600 }}>
            {near?.by === 0 ? near.ink.name : colour}
          </Typography>
        </Box>
        <SmallButton
          label={liked ? 'No favourite any more' : 'A favourite ink'}
          onClick={() => void toggleFavourite(named(colour))}
        >
          {liked ? <IconHeartFilled size={20} /> : <IconHeart size={20} />}
        </SmallButton>
        {hasEyeDropper() && (
          <SmallButton
            label="Take a colour from anywhere on the screen"
            onClick={() => void fromScreen().then((taken) => taken && onChoose(taken))}
          >
            <IconScreenshot size={20} />
          </SmallButton>
        )}
        <Button
          color="inherit"
          aria-label="Take a colour from the page"
          title="Take a colour from the page"
          onClick={onDrop}
          sx={{ minWidth: 40, height: 40, px: 1, border: 1, borderColor: 'divider' }}
        >
          <IconColorPicker size={20} />
        </Button>
      </Box>
      {near && near.by > 0 && (
        <Button
          size="small"
          color="inherit"
          onClick={() => onChoose(near.ink.colour)}
          sx={{ mx: 2, mt: 0.5, p: 0, minHeight: 24, fontWeight: 400, textAlign: 'left' }}
        >
          Nearest ink: {near.ink.name}, {apartInWords(near.by)}
        </Button>
      )}
      <Tabs
        value={place}
        onChange={(_, next: Place) => setPlace(next)}
        aria-label="Where the ink comes from"
        variant="fullWidth"
        sx={{ minHeight: 40, '& .MuiTab-root': { minWidth: 0, minHeight: 40, px: 0.5 } }}
      >
        {PLACES.map((name) => (
          <Tab
            key={name}
            value={name}
            label={name}
            id={`ink-tab-${name}`}
            aria-controls={`ink-panel-${name}`}
          />
        ))}
      </Tabs>
      <Box
        role="tabpanel"
        id={`ink-panel-${place}`}
        aria-labelledby={`ink-tab-${place}`}
        sx={{ height: 290, overflowY: 'auto', p: 2, pt: 1.5, scrollbarWidth: 'thin' }}
      >
        {place === 'Sets' && <FromSets sets={sets} colour={colour} onChoose={onChoose} />}
        {place === 'Partners' && (
          <FromPartners inks={live} colour={colour} named={named} onChoose={onChoose} />
        )}
        {place === 'Page' && <FromPage colour={colour} named={named} onChoose={onChoose} />}
        {place === 'Mix' && <Mixed colour={colour} onChoose={onChoose} />}
      </Box>
    </Box>
  );
}
