'use client';
/** What runs along a line: its kind, and all that can be set of it. */
import type { Trail } from '@/core/trail';
import type { Unit } from '@/core/units/lengths';
import { CordControls } from '@/features/table/parts/trails/CordControls';
import { GarlandControls } from '@/features/table/parts/trails/GarlandControls';
import { PaintControls } from '@/features/table/parts/trails/PaintControls';
import { RibbonControls } from '@/features/table/parts/trails/RibbonControls';
import { StampControls } from '@/features/table/parts/trails/StampControls';
import { StrungControls } from '@/features/table/parts/trails/StrungControls';
import { ThreadControls } from '@/features/table/parts/trails/ThreadControls';

interface Props {
  trail: Trail;
  unit: Unit;
  disabled: boolean;
  onChange: (trail: Trail) => void;
}

/** Fields in two columns of a grid. */
export function TrailControls({ trail, ...props }: Props) {
  switch (trail.kind) {
    case 'paint':
      return <PaintControls trail={trail} {...props} />;
    case 'stamps':
      return <StampControls trail={trail} {...props} />;
    case 'thread':
      return <ThreadControls trail={trail} {...props} />;
    case 'ribbon':
      return <RibbonControls trail={trail} {...props} />;
    case 'cord':
      return <CordControls trail={trail} {...props} />;
    case 'strung':
      return <StrungControls trail={trail} {...props} />;
    case 'garland':
      return <GarlandControls trail={trail} {...props} />;
    case 'cut':
      return null;
  }
}
