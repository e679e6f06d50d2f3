'use client';
/** A kit as one sees it on the shelf: two of its papers fanned, and a thing of its own on them. */
import Box from '@mui/material/Box';
import { memo } from 'react';
import { KINDS, type Kit, type Supply } from '@/core/supplies/model';
import { SupplyPicture } from '@/features/cupboard/SupplyPicture';

/** Where each lies, share of the cover, and how it is turned, degrees. */
const LAID = [
  { left: '2%', top: '14%', width: '56%', turn: -11 },
  { left: '34%', top: '4%', width: '58%', turn: 7 },
  { left: '24%', top: '26%', width: '58%', turn: -4 },
];

/** What is shown of a kit: what was chosen for its cover lies uppermost. */
export function onCover({ cover }: Kit, supplies: readonly Supply[]): readonly Supply[] {
  const of = (compartment: string) =>
    supplies.filter(({ kind, asset }) => asset && KINDS[kind].compartment === compartment);
  const papers = of('papers').slice(0, 2);
  const chosen = supplies.find(({ id, asset }) => asset && id === cover);
  const top = chosen ?? of('bits').at(6) ?? of('bits').at(-1) ?? of('stamps')[0];
  const shown = [...papers, ...(top ? [top] : [])];
  return shown.length ? shown : supplies.slice(0, 1);
}

export const KitCover = memo(function KitCover({ supplies }: { supplies: readonly Supply[] }) {
  return (
    <Box aria-hidden sx={{ position: 'relative', width: 58, height: 46, flexShrink: 0 }}>
      {supplies.map((supply, i) => {
        const { turn, ...at } = LAID[supplies.length === 1 ? 2 : i]!;
        return (
          <Box
            key={supply.id}
            sx={{
              position: 'absolute',
              aspectRatio: '1',
              transform: `rotate(${turn}deg)`,
              ...at,
            }}
          >
            <SupplyPicture supply={supply} pad={0} />
          </Box>
        );
      })}
    </Box>
  );
});
