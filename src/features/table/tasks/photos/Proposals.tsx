'use client';
/** Proposals, each as the page would look: picked by mouse or arrows. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import type { ReactNode } from 'react';
import type { Shown } from '@/features/table/tasks/photos/proposed';

/** CSS pixels of a proposal at its longer side. */
const SIDE = 138;
/** The same where there are only two to choose from. */
const LARGE_SIDE = 350;

interface ProposalsProps {
  shown: readonly Shown[];
  /** The one that is picked. */
  at: number;
  surfaceId: string;
  large: boolean;
  onPick: (i: number) => void;
  onTake: (i: number) => void;
}

/** Each as the page would look. */
export function Proposals({ shown, at, surfaceId, large, onPick, onTake }: ProposalsProps) {
  return (
    <Box
      role="listbox"
      aria-label="Proposals, best first"
      data-own-arrows
      sx={{
        flex: 1,
        overflowY: 'auto',
        display: 'grid',
        gridTemplateColumns: `repeat(${large ? 2 : 4}, minmax(0, 1fr))`,
        alignContent: 'start',
        gap: 1,
        p: 0.5,
      }}
    >
      {shown.map(({ words, project }, i) => (
        <Thumb
          key={i}
          selected={i === at}
          label={`Proposal ${i + 1}: ${words}`}
          onPick={() => onPick(i)}
          onTake={() => onTake(i)}
          onStep={(by) => onPick(Math.max(0, Math.min(shown.length - 1, at + by)))}
        >
          <PagePicture
            project={project}
            surface={project.surfaces.find(({ id }) => id === surfaceId)!}
            side={large ? LARGE_SIDE : SIDE}
            style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 1px 3px 8px rgba(20,14,8,0.2)' }}
          />
        </Thumb>
      ))}
    </Box>
  );
}

interface ThumbProps {
  selected: boolean;
  label: string;
  onPick: () => void;
  onTake: () => void;
  onStep: (by: number) => void;
  children: ReactNode;
}

function Thumb({ selected, label, onPick, onTake, onStep, children }: ThumbProps) {
  return (
    <ButtonBase
      role="option"
      aria-selected={selected}
      aria-label={label}
      tabIndex={selected ? 0 : -1}
      ref={(element: HTMLButtonElement | null) => {
        // The arrows take the focus along.
        if (selected && element?.parentElement?.contains(document.activeElement)) element.focus();
      }}
      onClick={onPick}
      onDoubleClick={onTake}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 4, ArrowUp: -4 }[event.key];
        if (by) {
          event.preventDefault();
          onStep(by);
        }
        if (event.key === 'Enter') {
          event.preventDefault();
          onTake();
        }
      }}
      sx={{
        p: 1,
        borderRadius: 1.5,
        display: 'grid',
        placeItems: 'center',
        outlineOffset: -2,
        border: 2,
        borderColor: selected ? 'primary.main' : 'transparent',
        bgcolor: selected ? 'action.selected' : undefined,
        '&:hover': { bgcolor: 'action.hover' },
      }}
    >
      {children}
    </ButtonBase>
  );
}
