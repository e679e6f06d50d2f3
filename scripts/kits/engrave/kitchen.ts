/** Kitchen Table’s stamps. */
import { bowl, cakeStand, croissant, cupcake, loaf, pie, pretzel, rollingPin, whisk } from './baking';
import { cherries, honey, jar, lemon } from './larder';
import { envelope, garlic, grinder, pepperMill, spoons } from './spoonfuls';
import { motif, type Motif, moved } from './surface';
import { eggCup, jug, kettle, milk, teacup, teapot } from './vessels';

export const KITCHEN_STAMPS: readonly Motif[] = [
  motif('Teapot', 'tea pot kitchen', 2.4, teapot, true),
  motif('Teacup', 'tea cup saucer', 1.9, teacup, true),
  motif('Jug of flowers', 'jug flower table', 2.4, jug, true),
  motif('Mixing bowl', 'bowl whisk baking', 2.2, bowl),
  motif('Whisk', 'whisk baking tool', 2, () => moved(whisk(), { z: 28 })),
  motif('Rolling pin', 'rolling pin baking', 2.4, rollingPin),
  motif('Loaf', 'bread loaf baking', 2.2, loaf, true),
  motif('Croissant', 'croissant bread breakfast', 1.9, croissant),
  motif('Pretzel', 'pretzel bread snack', 1.8, pretzel),
  motif('Cupcake', 'cupcake cake birthday', 1.8, cupcake, true),
  motif('Cake on a stand', 'cake birthday party', 3.1, cakeStand, true),
  motif('Pie', 'pie baking sunday', 2.2, pie),
  motif('Jam jar', 'jam jar preserve', 1.9, jar, true),
  motif('Honey dipper', 'honey sweet spoon', 2.2, honey),
  motif('Egg in a cup', 'egg breakfast cup', 1.8, eggCup),
  motif('Lemon', 'lemon fruit slice', 2, lemon, true),
  motif('Cherries', 'cherry fruit summer', 1.8, cherries, true),
  motif('Garlic', 'garlic herb cook', 1.5, garlic),
  motif('Pepper mill', 'pepper mill spice', 2, pepperMill),
  motif('Kettle', 'kettle tea stove', 2.2, kettle),
  motif('Coffee grinder', 'coffee grinder mill', 2, grinder),
  motif('Spoons', 'spoon whisk tool', 2.4, spoons),
  motif('Letter', 'letter envelope post', 2, envelope, true),
  motif('Milk bottle', 'milk bottle glass', 2, milk),
];
