/**
 * npm run render -- FILE.bellagraph --pages all|1|2-5 --as flat|spreads|pages|cut|sheets --format png|jpg|pdf|pdfx|svg|dxf|hpgl --ppi 300 --out FILE
 *   [--press coated|uncoated|commercial] [--notes] [--bleed] [--crop-marks] [--folds 1|2|3] [--nested SHEETS] [--over side|head] [--plan] [--mat 12x12|12x24|a4] [--laid]
 * Renders sides of a project file with the same core and outputs as the app: flat as they are designed, as single pages
 * (the panels of what is folded), for an electronic cutter (a file for each mat, its parts packed or as they are laid), or on sheets of paper (PDF): folded, or packed and turned over sideways or over the head for their backs. Several go into one PDF, or into files numbered before their ending.
 */
import { render, Stopped } from './node/render';

await render(process.argv.slice(2), console.log, console.error).catch((error: unknown) => {
  console.error(
    error instanceof Stopped ? error.message : `Nothing was rendered: ${(error as Error).message}`,
  );
  process.exit(1);
});
