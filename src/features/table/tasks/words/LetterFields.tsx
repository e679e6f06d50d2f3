'use client';

import Box from '@mui/material/Box';
import type { Piece } from '@/core/piece/piece';
import { fail, ok } from '@/core/result';
import {
  LARGEST_LETTERS,
  LEAST_TRACKING,
  MOST_TRACKING,
  SMALLEST_LETTERS,
  type Lettering,
} from '@/core/text/style';
import * as act from '@/features/table/acts';
import { percentWithin } from '@/features/table/parts/measures';
import { useRoom } from '@/features/table/room/context';
import { FaceToggles } from '@/features/table/tasks/words/FaceToggles';
import { FamilyButton } from '@/features/table/tasks/words/FamilyButton';
import { BeyondNote } from '@/features/table/tasks/words/BeyondNote';
import { LackingNote } from '@/features/table/tasks/words/LackingNote';
import { LengthField } from '@/ui/LengthField';

export const readSize = (text: string) => {
  const value = Number(text.replace(',', '.').replace('pt', ''));
  return value >= SMALLEST_LETTERS && value <= LARGEST_LETTERS
    ? ok(value)
    : fail(`From ${SMALLEST_LETTERS} to ${LARGEST_LETTERS} pt.`);
};

export const shownSize = (size: number): string => String(Math.round(size * 10) / 10);

/** How words are lettered, in lines or along an outline: family and face, what the family lacks, size and spacing. */
export function LetterFields({
  piece,
  now,
  disabled,
  onChange,
}: {
  piece: Piece;
  now: Lettering;
  disabled: boolean;
  onChange: (change: Pick<Partial<Lettering>, 'size' | 'tracking'>) => void;
}) {
  const { store } = useRoom();
  return (
    <>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1 }}>
        <FamilyButton family={now.family} disabled={disabled} />
        <FaceToggles now={now} disabled={disabled} onChange={(face) => act.toggleFace(store, face)} />
      </Box>
      <LackingNote piece={piece} />
      <BeyondNote piece={piece} />
      <LengthField
        label="Letter size"
        unit="pt"
        disabled={disabled}
        shown={shownSize(now.size)}
        read={readSize}
        onCommit={(size) => onChange({ size })}
      />
      <LengthField
        label="Letter spacing"
        unit="%"
        disabled={disabled}
        shown={String(Math.round((now.tracking ?? 0) * 1000) / 10)}
        read={percentWithin(LEAST_TRACKING, MOST_TRACKING)}
        onCommit={(tracking) => onChange({ tracking: tracking || undefined })}
      />
    </>
  );
}
