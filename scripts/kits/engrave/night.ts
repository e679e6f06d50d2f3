/** Lantern Night’s stamps. */
import { bunting, crown, drum, hat, horn, mask } from './feast';
import { balloons, cracker, fireworks, glasses, rocket, sparkler } from './fireworks';
import { lampion, lantern, starLantern, tallLantern } from './lanterns';
import { motif, type Motif } from './surface';
import { bauble, bell, flake, gift, holly, pine, tree } from './winter';

export const NIGHT_STAMPS: readonly Motif[] = [
  motif('Paper lantern', 'lantern light evening', 2.4, lantern, true),
  motif('Ribbed lantern', 'lantern light evening', 2.4, tallLantern, true),
  motif('Candle lantern', 'lantern candle light', 2.2, lampion),
  motif('Star lantern', 'star lantern night', 2.4, starLantern, true),
  motif('Fireworks', 'firework night feast', 2.6, fireworks),
  motif('Rocket', 'rocket firework night', 2.2, rocket),
  motif('Sparkler', 'sparkler spark night', 2.2, sparkler),
  motif('Balloons', 'balloon party birthday', 2.6, balloons, true),
  motif('Gift', 'gift present birthday', 2, gift, true),
  motif('Bells', 'bell christmas wedding', 2.2, bell, true),
  motif('Bauble', 'bauble christmas tree', 1.9, bauble, true),
  motif('Pine and cones', 'pine cone winter', 2.6, pine),
  motif('Holly', 'holly berry winter', 2, holly, true),
  motif('Fir tree', 'fir tree winter', 3.2, tree),
  motif('Snow crystal', 'snow winter flake', 1.8, flake),
  motif('Party hat', 'hat party birthday', 1.9, hat),
  motif('Horn', 'horn music feast', 2.2, horn),
  motif('Drum', 'drum music feast', 2, drum),
  motif('Two glasses', 'glass toast feast', 2.2, glasses),
  motif('Cracker', 'cracker party table', 2.2, cracker),
  motif('Crown', 'crown birthday party', 1.8, crown),
  motif('Feathered mask', 'mask party feather', 2.2, mask, true),
  motif('Bunting', 'bunting flag party', 3, bunting),
];
