/** The project that edits are tried on by chance: it has something of everything that can be changed. */
import { newMonth } from '@/core/piece/material/month/begin';
import type { Piece } from '@/core/piece/piece';
import { finishOf } from '@/core/piece/finish';
import { newSurface, type Project } from '@/core/project/model';
import { drawnPiece, trailsOf } from './lines';
import { assetOf, inkPiece, laid, photoOf, project, quarters, wordsOf } from './samples';

export const ASSETS = [assetOf(quarters(60, 40), 60, 40), assetOf(quarters(30, 50), 30, 50)];

export function runningPiece(id: string): Piece {
  const letters = { family: 'lora', size: 12, text: 'round', between: ' * ' };
  return {
    ...inkPiece(id),
    outline: {
      kind: 'running',
      ...letters,
      spans: [{ start: 0, end: 5, field: { kind: 'title' } }],
      base: { kind: 'ellipse' },
      side: 'outside',
      clockwise: true,
      start: 0,
      repeat: true,
      corners: 'break',
      gap: 2,
    } as never,
  };
}

const DYE = { id: 'd', name: 'Hull', change: { how: 'ink' as const, ink: '#b3262e' }, strength: 0.8 };

const begun = laid(
  [
    inkPiece('ink'),
    photoOf('photo', ASSETS[0]!, { x: 9, y: 9, width: 60, height: 40 }),
    wordsOf('words', 'Who and when'),
    { ...runningPiece('round'), cutter: { as: 'cut', bridge: 4, widen: 2, close: true } },
    drawnPiece('drawn', ASSETS[0]!.sha),
    {
      ...inkPiece('edged'),
      finish: {
        ...finishOf(0.3),
        trails: trailsOf(ASSETS[0]!.sha)
          .slice(0, 6)
          .map((trail) => ({ trail, side: 'inside' as const, from: 4 })),
      },
    },
    { ...inkPiece('month'), role: 'month', material: newMonth({ year: 2027, month: 8 }, 'en-GB', 0) },
    {
      ...inkPiece('art'),
      shared: 'everywhere',
      role: 'stamp',
      material: { kind: 'art', asset: ASSETS[0]!.sha, dyes: [DYE] },
    },
  ],
  [ASSETS[0]!],
  project(),
);
const taken = { ...ASSETS[0]!, taken: '2026-05-16T14:32:00' };
/** A project with something of everything that can be changed. */
export const first: Project = {
  ...begun,
  practice: true,
  assets: { [taken.sha]: taken },
  surfaces: [
    {
      ...begun.surfaces[0]!,
      pile: begun.surfaces[0]!.pile.map((piece, i) =>
        i < 2 ? { ...piece, groups: ['g'], look: 'look' } : piece,
      ),
      groups: [{ id: 'g', name: 'Two' }],
      note: 'Two papers of one kit.',
    },
    {
      ...newSurface('second', 'Page 2', { width: 400, height: 400 }, 'mm'),
      pile: [{ ...wordsOf('w2', 'When'), round: 'round' }],
    },
  ],
  looks: [{ id: 'look', name: 'Plain', finish: finishOf(2) }],
  events: [{ id: 'e1', kind: 'birthday', name: 'Ada', month: 8, day: 3, year: 2018 }],
  facts: [{ id: 'f1', name: 'Day', kind: 'day', value: '2026-05-29' }],
  fonts: [{ sha: 'a'.repeat(64), name: 'Quill', bytes: 9 }],
  profiles: [{ sha: 'c'.repeat(64), name: 'Press', bytes: 9 }],
  styles: [
    { id: 's1', name: 'Label', family: 'lora', size: 12, align: 'left', leading: 1.2, ink: '#9e2b45' },
  ],
};
