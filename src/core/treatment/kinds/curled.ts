/** The light on a sheet that stands up in places. Nobody chooses it as a treatment: it comes with how a piece lies. */
import { bentAt, CURL_KINDS, type Curl } from '@/core/treatment/curl';
import { light } from '@/core/treatment/relief';
import type { TreatmentKind } from '@/core/treatment/treatment';

/** A curl as numbers, its size in points. */
export const curlValues = (curl: Curl, width: number, height: number): Record<string, number> => ({
  kind: CURL_KINDS.indexOf(curl.kind),
  corners: curl.corners.reduce((sum, up, i) => sum + (up ? 2 ** i : 0), 0),
  rise: (curl.rise * 72) / 25.4,
  reach: curl.reach,
  width,
  height,
});

const plain = (id: string, most: number) => ({
  id,
  name: id,
  unit: 'length' as const,
  least: 0,
  most,
  first: 0,
});

export const curled: TreatmentKind = {
  name: 'Curled',
  settings: [
    plain('kind', 2),
    plain('corners', 15),
    plain('rise', 100),
    plain('reach', 1),
    plain('width', 1e6),
    plain('height', 1e6),
  ],
  paint(field, { value }, toward, out) {
    const mask = value('corners');
    const up = (i: number) => (mask & (1 << i)) !== 0;
    const rise = value('rise');
    const bent = bentAt(
      {
        kind: CURL_KINDS[value('kind')]!,
        corners: [up(0), up(1), up(2), up(3)],
        rise,
        reach: value('reach'),
      },
      { width: value('width'), height: value('height') },
    );
    // Just outside of the shape too, so that the slope at its edge is the sheet's own.
    const heights = new Float32Array(field.width * field.height);
    for (let y = 0, i = 0; y < field.height; y++)
      for (let x = 0; x < field.width; x++, i++)
        heights[i] = rise * bent(field.x + (x + 0.5) / field.scale, field.y + (y + 0.5) / field.scale);
    light(field, heights, toward, 0.75, out);
  },
};
