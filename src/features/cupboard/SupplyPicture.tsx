'use client';
/** A supply's small picture, whole, on whatever ground lies behind it. */
import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import type { Supply } from '@/core/supplies/model';
import { TrailPicture } from '@/features/cupboard/TrailPicture';
import { smallBlob } from '@/storage/assets';

/** Addresses stay good as long as the page is open: the same pictures come by again and again. */
const addresses = new Map<string, string>();
const MOST_ADDRESSES = 4000;

async function addressOf(sha: string): Promise<string | undefined> {
  const known = addresses.get(sha);
  if (known) return known;
  const blob = await smallBlob(sha);
  if (!blob) return undefined;
  if (addresses.size >= MOST_ADDRESSES) {
    const [oldest, address] = addresses.entries().next().value!;
    URL.revokeObjectURL(address);
    addresses.delete(oldest);
  }
  const address = URL.createObjectURL(blob);
  addresses.set(sha, address);
  return address;
}

type Pictured = Pick<Supply, 'asset' | 'page' | 'thumb' | 'kind' | 'inks' | 'trail'>;

export function SupplyPicture({ supply, pad = 8 }: { supply: Pictured; pad?: number }) {
  const sha = supply.asset?.sha ?? supply.page;
  const [address, setAddress] = useState(supply.thumb ?? (sha && addresses.get(sha)));
  useEffect(() => {
    if (supply.thumb || !sha) return;
    let gone = false;
    void addressOf(sha).then((found) => !gone && setAddress(found));
    return () => {
      gone = true;
    };
  }, [sha, supply.thumb]);
  if (supply.inks) return <InkStrip supply={supply} />;
  if (supply.trail && !supply.thumb) return <TrailPicture trail={supply.trail} pad={pad} />;
  return (
    <div
      style={{
        position: 'absolute',
        inset: pad,
        background: address ? `url("${supply.thumb ?? address}") center / contain no-repeat` : 'none',
        filter: FLAT.has(supply.kind) ? 'none' : 'drop-shadow(0 1px 1.5px rgba(30,20,8,0.5))',
      }}
    />
  );
}

/** What lies flat throws no shadow. */
const FLAT = new Set<Supply['kind']>(['stamp', 'wordart', 'brush', 'line']);

function InkStrip({ supply }: { supply: Pictured }) {
  return (
    <Box
      sx={{
        position: 'absolute',
        inset: 14,
        display: 'grid',
        gridTemplateColumns: 'repeat(4, 1fr)',
        gap: 0.5,
        alignContent: 'center',
      }}
    >
      {supply.inks!.slice(0, 12).map(({ name, colour }) => (
        <Box
          key={name}
          sx={{
            aspectRatio: '1',
            borderRadius: '50%',
            bgcolor: colour,
            border: '1px solid rgba(0,0,0,0.18)',
          }}
        />
      ))}
    </Box>
  );
}
