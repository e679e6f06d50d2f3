/** What is done on a practice page, in six steps: each is noticed in the project itself, whenever and however it is done. */
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import type { Project } from '@/core/project/model';

export const PRACTICE_IDS = ['photo', 'turn', 'mat', 'cut', 'title', 'thing'] as const;
export type PracticeId = (typeof PRACTICE_IDS)[number];

export interface PracticeStep {
  id: PracticeId;
  /** What is to be done, as a wish. */
  name: string;
  /** How, by hand and by key. */
  how: string;
  /** Where its button leads. */
  leads: string;
  done: (project: Project) => boolean;
}

/** Degrees from which a turn was meant. */
const TURNED = 0.3;
/** Letters of a title. */
const WRITTEN = 3;

const pieces = ({ surfaces }: Project): Piece[] => surfaces.flatMap(({ pile }) => pile);
const isPhoto = ({ material }: Piece): boolean => material.kind === 'photo';

/** Whether a photo has a mat, or lies on a paper or a card. */
function isMatted(photo: Piece, beneath: readonly Piece[]): boolean {
  if (photo.finish.mats?.length) return true;
  const own = extentOf(photo.placement);
  return beneath.some(({ material, placement }) => {
    const { x, y, width, height } = extentOf(placement);
    const meets = x < own.x + own.width && own.x < x + width && y < own.y + own.height && own.y < y + height;
    return meets && (material.kind === 'paper' || material.kind === 'ink');
  });
}

export const PRACTICE: readonly PracticeStep[] = [
  {
    id: 'photo',
    name: 'Lay a photo on the page',
    how: 'Drag one from the workbox at the foot, or go to it with Tab and press Enter.',
    leads: 'To the photos',
    done: (project) => pieces(project).some(isPhoto),
  },
  {
    id: 'turn',
    name: 'Turn it a little',
    how: 'Drag the loop above it; or write the angle at “Turned” in the panel.',
    leads: 'To the angle',
    done: (project) => pieces(project).some((one) => isPhoto(one) && Math.abs(one.placement.turn) > TURNED),
  },
  {
    id: 'mat',
    name: 'Lay a mat behind it',
    how: 'Press “Mat it” in the panel, or lay a paper and lower it beneath the photo with Page Down.',
    leads: 'Select the photo',
    done: ({ surfaces }) =>
      surfaces.some(({ pile }) => pile.some((one, i) => isPhoto(one) && isMatted(one, pile.slice(0, i)))),
  },
  {
    id: 'cut',
    name: 'Punch something to a shape',
    how: 'Select a photo or a paper, open the punches (D) and press a heart, a tag, a flower.',
    leads: 'To the punches',
    done: (project) => pieces(project).some(({ outline }) => outline.kind === 'punch'),
  },
  {
    id: 'title',
    name: 'Write a title',
    how: 'Press “Write title” in the workbox, or T, and write; Esc when it says what it should.',
    leads: 'Begin a title',
    done: (project) =>
      pieces(project).some(
        ({ role, outline }) => role === 'title' && 'text' in outline && outline.text.trim().length >= WRITTEN,
      ),
  },
  {
    id: 'thing',
    name: 'Take something out of the cupboard',
    how: 'Press C, look for a button, a bow or a stamp, and lay it.',
    leads: 'To the cupboard',
    done: (project) => pieces(project).some(({ material }) => material.kind === 'art'),
  },
];

/** Which steps are done; null for a project that is no practice. */
export const practised = (project: Project): readonly boolean[] | null =>
  project.practice ? PRACTICE.map(({ done }) => done(project)) : null;
