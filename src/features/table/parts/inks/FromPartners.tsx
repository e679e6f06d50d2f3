'use client';
/** What goes with an ink, out of the inks at hand; a combination is kept as a small set of its own. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconArchive, IconArrowsShuffle } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { chancePartners, partnersOf, type Partners } from '@/core/inks/partners';
import type { NamedInk } from '@/core/supplies/model';
import { InkDots } from '@/features/shared/InkDots';
import type { InkChoice } from '@/features/table/parts/inks/useInks';
import { setsChanged } from '@/features/table/parts/inks/useInks';
import { SmallButton } from '@/ui/SmallButton';
import { fetched } from '@/ui/fetched';

const KeepDialog = fetched('Keeping', () =>
  import('@/features/table/room/KeepDialog').then((m) => m.KeepDialog),
);

interface Props extends InkChoice {
  inks: readonly NamedInk[];
  named: (colour: string) => NamedInk;
}

export function FromPartners({ inks, colour, named, onChoose }: Props) {
  const [seed, setSeed] = useState(1);
  // What goes with the ink one came with: choosing a partner does not change what is shown.
  const [own] = useState(colour);
  const [keeping, setKeeping] = useState<Partners | null>(null);
  const partners = useMemo(() => partnersOf(own, inks), [own, inks]);
  const chance = useMemo(() => chancePartners(own, inks, seed), [own, inks, seed]);
  const row = (found: Partners, label: React.ReactNode) => (
    <Box key={found.name} sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 1.25 }}>
      {label}
      <Box sx={{ flex: 1 }}>
        <InkDots label={found.name} inks={found.inks} colour={colour} onChoose={onChoose} />
      </Box>
      <SmallButton label={`Keep ${found.name} as a set`} onClick={() => setKeeping(found)}>
        <IconArchive size={17} />
      </SmallButton>
    </Box>
  );
  return (
    <>
      {partners.map((found) =>
        row(
          found,
          <Typography variant="body2" sx={{ width: 104, flexShrink: 0 }}>
            {found.name}
          </Typography>,
        ),
      )}
      {chance &&
        row(
          { ...chance, name: 'By chance' },
          <Button
            size="small"
            color="inherit"
            startIcon={<IconArrowsShuffle size={17} />}
            onClick={() => setSeed(seed + 1)}
            sx={{ width: 104, flexShrink: 0, justifyContent: 'flex-start', px: 0 }}
          >
            By chance
          </Button>,
        )}
      {keeping && (
        <KeepDialog
          title="Keep these inks together"
          name={`${named(own).name} with ${keeping.inks.map(({ name }) => name).join(', ')}`.slice(0, 120)}
          onClose={() => setKeeping(null)}
          onKeep={async (kept) => {
            const { keepInks } = await import('@/features/table/acts/keepSupply');
            const done = await keepInks([named(own), ...keeping.inks], kept);
            setsChanged();
            return done;
          }}
        />
      )}
    </>
  );
}
