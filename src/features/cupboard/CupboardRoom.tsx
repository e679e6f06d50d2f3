'use client';
/** The cupboard as a room of its own, reached from Home. */
import { fail } from '@/core/result';
import type { Supply } from '@/core/supplies/model';
import { Cupboard } from '@/features/cupboard/Cupboard';
import { CupboardWalls } from '@/features/cupboard/CupboardWalls';
import { newId } from '@/features/shared/ids';
import { useGoing } from '@/features/shared/useGoing';
import { useUnforeseen } from '@/features/shared/useUnforeseen';
import { openPageSupply } from '@/features/shared/supplyFiles';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

const notUsed = () => 0;

export function CupboardRoom() {
  const { open: goTo, once } = useGoing();
  const notify = useNotify();
  useUnforeseen();
  const open = (supply: Supply) =>
    once(async () => {
      const opened = await openPageSupply(supply, newId(), Date.now()).catch((error) =>
        fail(inWords(error, `“${supply.name}” was not opened`)),
      );
      if (opened.ok) goTo(opened.value.id);
      else notify({ text: opened.message, tone: 'error' });
    });
  return (
    <CupboardWalls>
      <Cupboard unit="in" usedOf={notUsed} onOpenPage={(supply) => void open(supply)} />
    </CupboardWalls>
  );
}
