'use client';
/** The sorts of things one can draw with, and what each begins with. */
import {
  IconBrush,
  IconJumpRope,
  IconNeedleThread,
  IconPlant2,
  IconRibbonHealth,
  IconRubberStamp,
  IconSparkles,
} from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { Asset } from '@/core/picture/asset';
import { trailKind, type Trail } from '@/core/trail';
import { newPaint } from '@/core/trail/paint/paint';
import { newStamps } from '@/core/trail/stamps';
import { NEW_CORD } from '@/core/trail/cord';
import { newGarland } from '@/core/trail/garland';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { NEW_STRUNG } from '@/core/trail/strung';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { picturedOf } from '@/features/table/parts/trails/Pictures';

export interface Spool {
  kind: Trail['kind'];
  name: string;
  icon: ReactNode;
  /** As it begins, in an ink, with what lies in the workbox; null where that lacks something. */
  begin(colour: string, stamps: readonly Asset[]): Trail | null;
}

/** What one first draws in: no colour that was chosen, so ribbon and thread begin in their own. */
const PLAIN = '#25232a';

export const SPOOLS: readonly Spool[] = [
  {
    kind: 'paint',
    name: 'Paint',
    icon: <IconBrush size={22} />,
    begin: (colour) => newPaint('round', colour),
  },
  {
    kind: 'stamps',
    name: 'Stamps',
    icon: <IconRubberStamp size={22} />,
    begin: (colour, [first]) =>
      first
        ? newStamps(
            [picturedOf(first)],
            colour,
            Math.min(72, (Math.max(first.width, first.height) * 72) / first.ppi),
          )
        : null,
  },
  {
    kind: 'thread',
    name: 'Thread',
    icon: <IconNeedleThread size={22} />,
    begin: (colour) => (colour === PLAIN ? NEW_THREAD : { ...NEW_THREAD, colours: [colour] }),
  },
  {
    kind: 'ribbon',
    name: 'Ribbon',
    icon: <IconRibbonHealth size={22} />,
    begin: (colour) => (colour === PLAIN ? NEW_RIBBON : { ...NEW_RIBBON, colour }),
  },
  { kind: 'cord', name: 'Twine', icon: <IconJumpRope size={22} />, begin: () => NEW_CORD },
  { kind: 'strung', name: 'Beads', icon: <IconSparkles size={22} />, begin: () => NEW_STRUNG },
  {
    kind: 'garland',
    name: 'Garland',
    icon: <IconPlant2 size={22} />,
    begin: (_, [first]) => (first ? newGarland([picturedOf(first)], []) : null),
  },
];

/** The ink that stands for a trail. */
export const inkOf = (trail: Trail): string => trailKind(trail).inks?.(trail)[0]?.colour ?? PLAIN;
