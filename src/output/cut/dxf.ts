/**
 * A mat as DXF of release 12, which everything reads: polylines in millimetres, y upwards, a layer for each tool
 * (group codes by the DXF reference of release 12, from memory).
 */
import { fromPoints } from '@/core/units/lengths';
import { layersOf, type CutSheet } from '@/output/cut/sheet';

/** Colour numbers of layers: red, blue, then black for pens. */
const COLOURS = { cut: 1, score: 5, draw: 7 };

export function writeDxf(sheet: CutSheet): string {
  const { size, title } = sheet;
  const mm = (points: number): string => fromPoints(points, 'mm').toFixed(4);
  const layers = layersOf(sheet).map((layer) => ({
    ...layer,
    name: layer.id.toUpperCase().replace(/[^A-Z0-9_-]/g, '_'),
  }));
  const tags: (string | number)[] = [];
  const add = (...pairs: (string | number)[]) => tags.push(...pairs);
  add(999, `${title.replace(/[^\x20-\x7e]/g, '?')}: lengths in millimetres`);
  add(0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, 4, 9, '$MEASUREMENT', 70, 1);
  add(9, '$EXTMIN', 10, '0.0', 20, '0.0', 9, '$EXTMAX', 10, mm(size.width), 20, mm(size.height), 0, 'ENDSEC');
  add(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LTYPE', 70, 1);
  add(0, 'LTYPE', 2, 'CONTINUOUS', 70, 0, 3, 'Solid line', 72, 65, 73, 0, 40, '0.0', 0, 'ENDTAB');
  add(0, 'TABLE', 2, 'LAYER', 70, layers.length);
  for (const { name, doing } of layers) add(0, 'LAYER', 2, name, 70, 0, 62, COLOURS[doing], 6, 'CONTINUOUS');
  add(0, 'ENDTAB', 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES');
  for (const { name, lines } of layers)
    for (const { points, closed } of lines) {
      add(0, 'POLYLINE', 8, name, 66, 1, 10, '0.0', 20, '0.0', 30, '0.0', 70, closed ? 1 : 0);
      for (const { x, y } of points) add(0, 'VERTEX', 8, name, 10, mm(x), 20, mm(size.height - y), 30, '0.0');
      add(0, 'SEQEND', 8, name);
    }
  add(0, 'ENDSEC', 0, 'EOF');
  let written = '';
  for (let i = 0; i < tags.length; i += 2) written += `${String(tags[i]).padStart(3)}\n${tags[i + 1]}\n`;
  return written;
}
