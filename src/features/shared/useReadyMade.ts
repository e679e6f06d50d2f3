/** What is ready-made in the cupboard, each with a small picture. */
import { useEffect, useState } from 'react';
import type { Supply, SupplyKind } from '@/core/supplies/model';
import { houseStocked } from '@/features/shared/stock';
import { smallBlob } from '@/storage/assets';
import { kitNames, suppliesOfKind } from '@/storage/supplies';

export interface ReadyMadeSupply {
  supply: Supply;
  address: string | undefined;
  /** What its kit is called. */
  kit: string;
}

/** Null until they are known. */
export function useReadyMade(kind: SupplyKind): readonly ReadyMadeSupply[] | null {
  const [found, setFound] = useState<{ kind: string; all: ReadyMadeSupply[] } | null>(null);
  useEffect(() => {
    let gone = false;
    const own: string[] = [];
    void (async () => {
      await houseStocked().catch(() => {});
      const [supplies, kits] = await Promise.all([suppliesOfKind(kind), kitNames()]);
      const all = await Promise.all(
        supplies.map(async (supply): Promise<ReadyMadeSupply> => {
          const kit = kits.get(supply.kit) ?? '';
          if (supply.thumb) return { supply, address: supply.thumb, kit };
          const blob = supply.page && (await smallBlob(supply.page));
          const address = blob ? URL.createObjectURL(blob) : undefined;
          if (address) own.push(address);
          return { supply, address, kit };
        }),
      );
      if (!gone) setFound({ kind, all });
    })();
    return () => {
      gone = true;
      own.forEach((address) => URL.revokeObjectURL(address));
    };
  }, [kind]);
  return found?.kind === kind ? found.all : null;
}
