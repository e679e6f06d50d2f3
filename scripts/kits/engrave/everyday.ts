/** Every Day’s stamps. */
import { alarmClock, bulb, camera, headphones, notebook, pencil, scissors } from './desk';
import { pottedPlant } from './home';
import { basket, bicycle, cat, paperPlane, rain, umbrella, washing } from './street';
import { motif, type Motif } from './surface';

export const EVERYDAY_STAMPS: readonly Motif[] = [
  motif('Camera', 'camera photo picture', 2.4, camera, true),
  motif('Alarm clock', 'clock morning time', 2.2, alarmClock, true),
  motif('Umbrella', 'umbrella rain weather', 2.4, umbrella, true),
  motif('Bicycle', 'bicycle ride town', 3, bicycle, true),
  motif('Paper plane', 'plane paper play', 2, paperPlane, true),
  motif('Potted plant', 'plant pot window', 2.4, pottedPlant, true),
  motif('Sleeping cat', 'cat pet sleep', 2.6, cat, true),
  motif('Market basket', 'basket market food', 2.4, basket, true),
  motif('Washing line', 'washing laundry house', 3, washing, true),
  motif('Rain cloud', 'rain cloud weather', 2, rain, true),
  motif('Pencil', 'pencil write draw', 2.4, pencil, true),
  motif('Notebook', 'notebook write plan', 2.2, notebook, true),
  motif('Scissors', 'scissors cut craft', 2.2, scissors, true),
  motif('Light bulb', 'bulb light idea', 2, bulb, true),
  motif('Headphones', 'headphones music listen', 2.2, headphones, true),
];
