'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ProductName } from '@/core/product';
import type { ProductStart } from '@/core/product/product';
import { PRODUCT_NAMES, STARTS } from '@/core/product/starts';
import type { Supply } from '@/core/supplies/model';
import type { PageSize } from '@/core/units/sizes';
import type { Begun } from '@/features/home/begin';
import { fetched } from '@/ui/fetched';
import { OneOf } from '@/ui/OneOf';

interface Props {
  onCreate: (begun: Begun) => void;
  /** A ready-made one is begun with. */
  onReady: (supply: Supply) => void;
}

const CustomSize = fetched('A size of your own', () =>
  import('@/features/home/CustomSize').then((m) => m.CustomSize),
);
const ReadyMade = fetched('What is ready-made', () =>
  import('@/features/home/ReadyMade').then((m) => m.ReadyMade),
);

/** Pixels a point takes in the size drawings: the largest, A3, is 76 px tall. */
const SCALE = 76 / (420 * (72 / 25.4));

/** Many ways, or long ones, stand in rows of three. */
const IN_ROWS = {
  ...{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75 },
  '& .MuiToggleButtonGroup-grouped': { border: 1, borderColor: 'divider', borderRadius: 1.25, m: 0 },
};

export function NewPanel({ onCreate, onReady }: Props) {
  const [ready, setReady] = useState(false);
  const [own, setOwn] = useState(false);
  const [kind, setKind] = useState<ProductName>('layout');
  const { name, sizes, ways, opens } = STARTS[kind] as ProductStart;
  const [way, setWay] = useState(ways?.all[0]?.id);
  const begin = (size: Omit<Begun, 'kind' | 'way'>) =>
    onCreate({ ...size, kind, ...(ways && way ? { way } : {}) });
  return (
    <Box component="section" aria-labelledby="new-heading">
      <Typography id="new-heading" variant="h2">
        Start something new
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={kind}
        aria-label="What to make"
        onChange={(_, next: ProductName | null) => {
          if (!next) return;
          setKind(next);
          setWay((STARTS[next] as ProductStart).ways?.all[0]?.id);
        }}
        sx={{ my: 1.25 }}
      >
        {PRODUCT_NAMES.map((each) => (
          <ToggleButton key={each} value={each}>
            {STARTS[each].name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <OneOf
        label="Begin"
        value={ready ? 'ready' : 'bare'}
        all={[
          ['bare', 'Bare paper'],
          ['ready', 'Ready-made'],
        ]}
        wide
        onChoose={(next: string) => setReady(next === 'ready')}
        sx={{ mb: 1.25 }}
      />
      {ready ? (
        <ReadyMade product={kind} onBegin={onReady} />
      ) : (
        <>
          {ways && (
            <ToggleButtonGroup
              exclusive
              fullWidth
              size="small"
              value={way}
              aria-label={ways.label}
              onChange={(_, next: string | null) => next && setWay(next)}
              sx={{
                mb: 1.25,
                ...(ways.all.reduce((sum, each) => sum + each.name.length, 0) > 30 && IN_ROWS),
              }}
            >
              {ways.all.map((each) => (
                <ToggleButton key={each.id} value={each.id} sx={{ px: 0.5 }}>
                  {each.name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
          <Typography variant="body2" color="text.secondary" sx={{ mb: 1.25 }}>
            Pick its finished size: all is made for print.
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1 }}>
            {sizes.map((size) => (
              <Button
                key={size.id}
                color="inherit"
                onClick={() =>
                  begin({ width: size.width, height: size.height, unit: size.unit === 'mm' ? 'mm' : 'in' })
                }
                aria-label={`New ${name.toLowerCase()} ${size.name}, ${size.use}`}
                sx={{
                  flexDirection: 'column',
                  justifyContent: 'flex-end',
                  height: 118,
                  px: 0.5,
                  border: 1,
                  borderColor: 'divider',
                  bgcolor: 'background.paper',
                  '&:hover': { borderColor: 'primary.main', bgcolor: 'background.paper' },
                }}
              >
                <Sheet size={size} opens={opens?.(way) ?? null} />
                <Box component="span" sx={{ lineHeight: 1.2 }}>
                  {size.name}
                </Box>
              </Button>
            ))}
          </Box>
          {own ? (
            <CustomSize
              most={ways?.all.find(({ id }) => id === way)?.mostSide ?? STARTS[kind].mostSide}
              onCreate={begin}
            />
          ) : (
            <Button
              fullWidth
              color="inherit"
              onClick={() => setOwn(true)}
              sx={{ mt: 1.5, border: 1, borderColor: 'divider' }}
            >
              Another size …
            </Button>
          )}
        </>
      )}
    </Box>
  );
}

/** A size as it lies beside the others, in true relation; what is folded shows its cover a little open. */
function Sheet({ size, opens }: { size: PageSize; opens: 'left' | 'top' | null }) {
  const [width, height] = [size.width * SCALE, size.height * SCALE];
  const leaf = {
    width,
    height,
    bgcolor: 'common.white',
    border: '1px solid #cfc8b8',
    boxShadow: '1px 2px 3px rgba(40,30,20,0.22)',
  };
  return (
    <Box sx={{ position: 'relative', width, height, mb: 1, perspective: 160 }}>
      <Box sx={{ ...leaf, position: 'absolute', inset: 0 }} />
      {opens && (
        <Box
          sx={{
            ...leaf,
            position: 'absolute',
            inset: 0,
            transformOrigin: opens,
            transform: opens === 'top' ? 'rotateX(28deg)' : 'rotateY(-28deg)',
          }}
        />
      )}
    </Box>
  );
}
