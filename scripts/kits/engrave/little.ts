/** Little One’s stamps. */
import { elephant, whale } from './animals';
import { airship, balloons, bootee, bottle, mobile, pram, sleepy } from './nursery';
import { motif, type Motif } from './surface';
import { bear, blocks, drum, duck, rabbit, rattle, rings, top_ } from './toys';

export const LITTLE_STAMPS: readonly Motif[] = [
  motif('Teddy bear', 'bear toy plush', 2.6, bear, true),
  motif('Elephant', 'elephant toy animal', 2.8, elephant, true),
  motif('Pram', 'pram baby walk', 2.6, pram, true),
  motif('Balloons', 'balloon party birthday', 3, balloons, true),
  motif('Sleepy moon', 'moon sleep night', 2.2, sleepy, true),
  motif('Building blocks', 'blocks toy letters', 2.2, blocks, true),
  motif('Rubber duck', 'duck bath toy', 2.2, duck, true),
  motif('Toy rabbit', 'rabbit toy plush', 2.4, rabbit, true),
  motif('Rattle', 'rattle toy baby', 2, rattle, true),
  motif('Bootees', 'shoes knitted baby', 2, bootee, true),
  motif('Mobile', 'mobile star moon', 2.4, mobile),
  motif('Air balloon', 'balloon air sky', 3, airship, true),
  motif('Whale', 'whale sea animal', 2.4, whale, true),
  motif('Stacking rings', 'rings toy stack', 2, rings, true),
  motif('Spinning top', 'top toy play', 2, top_, true),
  motif('Drum', 'drum toy music', 2.2, drum, true),
  motif('Bottle', 'bottle milk baby', 2, bottle, true),
];
