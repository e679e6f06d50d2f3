/** Files for electronic cutters. */
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

export const CUTTER: readonly Command[] = [
  opens('Pages', 'Shift H', 'Cutter', 'cutter', {
    more: 'What is cut, scored and drawn, on which paper; checked, tried and saved for an electronic cutter',
  }),
  opens('Pieces', undefined, 'Deal among papers', 'mix', {
    more: 'The same cut from several papers at once, its parts dealt among them',
    needs: NEEDS.piece,
  }),
  opens('Pieces', undefined, 'Outlines from a file', 'outlines', {
    more: 'SVG, DXF and HPGL as cutters take them, at their true size',
  }),
];
