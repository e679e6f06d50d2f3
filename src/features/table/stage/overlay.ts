/** What a task lays over the page while it lasts: where one writes, draws, marks, slides. */
import type { ComponentType, PointerEvent as ReactPointerEvent } from 'react';
import type { Session } from '@/features/table/session';
import type { Grip } from '@/features/table/stage/hand/drags';

export interface OverlayProps {
  /** A press on something that is dragged by the hand of the stage. */
  onGrip: (event: ReactPointerEvent, grip: Grip) => void;
}

export interface Overlay {
  name: string;
  /**
   * `beneath` the handles of what is selected, among the drawn `marks` (an SVG), `above` them with the rulers over it, or on
   * `top` of all.
   */
  layer: 'beneath' | 'marks' | 'above' | 'top';
  when(session: Session): boolean;
  Shown: ComponentType<OverlayProps>;
}
