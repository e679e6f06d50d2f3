/**
 * Every ready outline, one by one: pages kept for decades name them. What each covers of its box, the parts it falls into, its
 * holes, and whether it is the same mirrored left to right (|) or top to bottom (-). A line of this table changes only if
 * the drawing was wrong.
 */
import fc from 'fast-check';
import { common, areaOf, polygons, signedArea } from '@/core/geometry/offset';
import { scaling } from '@/core/geometry/matrix';
import { contains, distanceToEdge, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { punch } from '@/core/piece/outline/punch';
import { FAMILIES, valuesFor, type Punch, type Setting } from '@/core/piece/outline/punches/punch';
import { PUNCHES, punchOf } from '@/core/piece/outline/punches';

/** Name, share of its box, parts, holes, symmetries; in a box of its own shape, 120 points wide. */
const KNOWN = `
  square                 1.0000  1  0 |-
  oblong                 1.0000  1  0 |-
  circle                 0.7856  1  0 |-
  oval                   0.7856  1  0 |-
  ring                   0.4223  1  1 |-
  half-round             0.7856  1  0 |
  quarter-round          0.7856  1  0 .
  pill                   0.9107  1  0 |-
  scalloped-round        0.7503  1  0 |-
  seal                   0.7054  1  0 |-
  wavy-round             0.6945  1  0 |-
  egg                    0.7720  1  0 |
  pebble                 0.7778  1  0 .
  drop                   0.6187  1  0 |
  triangle               0.5000  1  0 |
  right-triangle         0.5000  1  0 .
  diamond                0.5000  1  0 |-
  even-corners           0.6910  1  0 |
  hexagon                0.7500  1  0 |-
  octagon                0.8283  1  0 |-
  slanted                0.7633  1  0 .
  trapezium              0.8200  1  0 |
  chevron                0.4500  1  0 |
  cross                  0.5904  1  0 |-
  cut-corners            0.9607  1  0 |-
  tag                    0.9357  1  1 -
  pointed-tag            0.8784  1  1 -
  round-ended-tag        0.9363  1  1 -
  luggage-label          0.9606  1  1 |
  key-tag                0.7059  1  1 |
  index-tab              0.9759  1  0 |
  folder-tab             0.8083  1  0 |
  bracket-label          0.7241  1  0 |-
  ogee-label             0.9132  1  0 |-
  stepped-plaque         0.8546  1  0 |-
  spool-label            0.7867  1  0 |-
  banner                 0.9208  1  0 -
  double-banner          0.8625  1  0 |-
  hanging-banner         0.8800  1  0 |
  pointed-banner         0.8772  1  0 |
  pennant                0.5000  1  0 -
  bunting-flag           0.5000  1  0 |
  waving-flag            0.7948  1  0 .
  ribbon-banner          0.7140  1  0 |
  scalloped-pennon       0.9714  1  0 |
  ticket                 0.9618  1  0 |-
  bitten-ticket          0.8657  1  0 |-
  stub-ticket            0.9742  1  0 |-
  arch                   0.9196  1  0 |
  pointed-arch           0.8611  1  0 |
  double-arch            0.8285  1  0 |-
  shouldered-arch        0.8436  1  0 |
  window-frame           0.3859  1  4 |-
  square-frame           0.4816  1  1 |-
  instant-photo-frame    0.3591  1  1 |
  filmstrip              0.8933  1 32 |-
  shield                 0.7352  1  0 |
  crest                  0.7486  1  0 |
  quatrefoil             0.6604  1  0 |-
  heart                  0.6941  1  0 |
  slim-heart             0.6665  1  0 |
  folk-heart             0.7277  1  0 .
  star                   0.3758  1  0 |
  soft-star              0.4992  1  0 |
  sparkle                0.2199  1  0 |-
  burst                  0.5589  1  0 |
  shooting-star          0.2225  3  0 .
  crown                  0.6695  1  0 |
  leaf                   0.6973  1  0 |
  leaf-with-stalk        0.5542  1  0 .
  round-leaf             0.7063  1  0 |
  oak-leaf               0.5123  1  0 |
  maple-leaf             0.4266  1  0 .
  sprig                  0.4068  1  0 .
  fern                   0.3451  1  0 .
  blossom                0.7468  1  0 |
  daisy                  0.4560  1  0 |-
  tulip                  0.5549  1  0 .
  clover                 0.5053  1  0 .
  mushroom               0.5585  1  0 |
  round-tree             0.5473  1  0 |
  fir                    0.4233  1  0 |
  cloud                  0.7440  1  0 .
  long-cloud             0.7134  1  0 .
  sun                    0.4855  17  0 |-
  moon                   0.5499  1  0 -
  raindrop               0.6215  1  0 |
  lightning              0.4115  1  0 .
  waves                  0.8068  1  0 .
  hills                  0.6760  1  0 .
  mountains              0.5040  1  0 .
  kite                   0.5000  1  0 |
  kite-with-tail         0.3175  1  0 .
  sailing-boat           0.4435  3  0 .
  lighthouse             0.4738  5  0 |
  anchor                 0.2354  2  1 |
  fish                   0.6623  1  0 .
  shell                  0.6172  1  0 .
  starfish               0.5105  1  0 |
  bird                   0.3473  1  0 .
  butterfly              0.6789  1  0 |
  house                  0.6646  1  0 .
  arrow                  0.4440  1  0 -
  double-arrow           0.4600  1  0 |-
  pointer                0.8500  1  0 -
  fletched-arrow         0.2549  1  0 -
  curved-arrow           0.3554  1  0 .
  loop-arrow             0.2803  1  1 .
  round-speech           0.6295  1  0 .
  square-speech          0.7897  1  0 .
  thought                0.5242  3  0 .
  exclaiming             0.4434  1  0 .
  hand-pointing          0.6059  1  0 .
  doily                  0.6454  1 60 |-
  rosette-doily          0.6162  1 24 |-
  square-doily           0.9080  1 28 |-
  postage-stamp          0.9390  1  0 |-
  scalloped-box          0.9576  1  0 |-
  snowflake              0.3600  1  0 |-
  cog                    0.5926  1  1 |-
`;

interface Known {
  id: string;
  share: number;
  parts: number;
  holes: number;
  same: string;
}
const known = KNOWN.trim()
  .split('\n')
  .map((line): Known => {
    const [id, share, parts, holes, same] = line.trim().split(/\s+/);
    return { id: id!, share: Number(share), parts: Number(parts), holes: Number(holes), same: same! };
  });

const cut = (id: string, width: number, height: number, settings = {}): Path =>
  punch.cut({ kind: 'punch', punch: id, settings }, { width, height }, undefined as never).path;

/** Specks a hundredth of a square point large come of rounding. */
const partsOf = (path: Path) => polygons(path).filter((ring) => signedArea(ring) > 0.01).length;

/** What a path and the same, mirrored, have in common, as a share of it. */
const mirrored = (path: Path, x: 1 | -1, y: 1 | -1) =>
  common(path, transformPath(scaling(x, y), path)).reduce((sum, ring) => sum + signedArea(ring), 0) /
  areaOf(path);

test('there are as many as are known, each once, each in a family that is shown', () => {
  expect(PUNCHES.map(({ id }) => id)).toEqual(known.map(({ id }) => id));
  expect(new Set(PUNCHES.map(({ name }) => name)).size).toBe(PUNCHES.length);
  expect([...new Set(PUNCHES.map(({ family }) => family))]).toEqual([...FAMILIES]);
});

test.each(known)('$id is drawn as it always was', ({ id, share, parts, holes, same }) => {
  const { shape } = punchOf(id);
  const [width, height] = [120, Math.round(120 / shape)];
  const path = cut(id, width, height);
  const rings = polygons(path);
  expect(areaOf(path) / (width * height)).toBeCloseTo(share, 3);
  expect(rings.filter((ring) => signedArea(ring) > 0)).toHaveLength(parts);
  expect(rings.filter((ring) => signedArea(ring) < 0)).toHaveLength(holes);
  expect(mirrored(path, -1, 1) > 0.997).toBe(same.includes('|'));
  expect(mirrored(path, 1, -1) > 0.997).toBe(same.includes('-'));
  // It fills its box, about its middle.
  const box = pathBounds(path);
  for (const [at, wanted] of [
    [box.x, -width / 2],
    [box.y, -height / 2],
    [box.width, width],
    [box.height, height],
  ] as const)
    expect(Math.abs(at - wanted)).toBeLessThan(0.02 * width);
});

/** A value a setting may have: up to what a box of these sizes can show. */
const valueOf = ({ unit, least, most }: Setting): fc.Arbitrary<number> =>
  unit === 'count'
    ? fc.integer({ min: least, max: most })
    : fc.double({ min: least, max: Math.min(most, unit === 'share' ? most : 150), noNaN: true });
const settingsOf = ({ settings }: Punch) =>
  fc.record(Object.fromEntries(settings.map((setting) => [setting.id, valueOf(setting)])));
const side = fc.integer({ min: 60, max: 240 });

/** A sun’s rays touch its disc or do not, as long as they are. */
const LOOSE = ['sun'];

test.each(PUNCHES.filter(({ settings, id }) => settings.length && !LOOSE.includes(id)))(
  '$id falls into no more parts however it is set, in whatever box: no hole meets another or the edge',
  (of) => {
    const { parts } = known.find(({ id }) => id === of.id)!;
    fc.assert(
      fc.property(settingsOf(of), side, side, (settings, width, height) => {
        expect(partsOf(cut(of.id, width, height, settings))).toBe(parts);
      }),
      { numRuns: 13 },
    );
  },
);

test('a handle lies where its setting says, and set back where it lies it sets the same', () => {
  const grips = PUNCHES.flatMap((of) =>
    of.settings.flatMap((setting) => (setting.grip ? [{ of, setting, grip: setting.grip }] : [])),
  );
  expect(grips.length).toBeGreaterThan(20);
  for (const { of, setting, grip } of grips)
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.4, noNaN: true }), side, side, (share, width, height) => {
        const size = { width, height };
        const value =
          setting.unit === 'share'
            ? setting.least + share * (setting.most - setting.least)
            : share * Math.min(width, height);
        const at = grip.at(size, value);
        expect([
          of.id,
          setting.id,
          at.x >= -1e-9 && at.x <= width + 1e-9,
          at.y >= -1e-9 && at.y <= height + 1e-9,
        ]).toEqual([of.id, setting.id, true, true]);
        expect([of.id, setting.id, Math.abs(grip.value(size, at) - value) < 1e-6]).toEqual([
          of.id,
          setting.id,
          true,
        ]);
      }),
      { numRuns: 10 },
    );
});

test('what nobody set goes with the size; what was set stays, within what the setting allows', () => {
  for (const of of PUNCHES)
    for (const setting of of.settings) {
      const size = { width: 90, height: 70 };
      const start = valuesFor(of, size, {})(setting.id);
      expect([of.id, start >= setting.least && start <= setting.most]).toEqual([of.id, true]);
      expect(valuesFor(of, size, { [setting.id]: 1e9 })(setting.id)).toBe(setting.most);
      expect(valuesFor(of, size, { [setting.id]: -1 })(setting.id)).toBe(setting.least);
      if (setting.unit === 'count')
        expect(valuesFor(of, size, { [setting.id]: setting.least + 0.6 })(setting.id)).toBe(
          setting.least + 1,
        );
    }
  expect(() => valuesFor(punchOf('square'), { width: 1, height: 1 }, {})('hole')).toThrow(RangeError);
  expect(() => punchOf('none')).toThrow('There is no punch “none”.');
});

test('a tag’s hole is as wide as was asked, or as there is paper about it', () => {
  for (const id of ['tag', 'pointed-tag', 'round-ended-tag', 'luggage-label', 'key-tag'])
    for (const hole of [4, 9, 20, 60, 400]) {
      const path = cut(id, 150, 80, { hole });
      const rings = polygons(path);
      const round = rings.find((ring) => signedArea(ring) < 0)!;
      const area = -signedArea(round);
      expect([id, hole, area <= Math.PI * (hole / 2) ** 2 * 1.001]).toEqual([id, hole, true]);
      if (hole === 4) expect(area / (Math.PI * 4)).toBeCloseTo(1, 1);
      // There is a rim all round it.
      const outer = path.slice(0, path.findIndex(([kind]) => kind === 'Z') + 1);
      expect(round.every((point) => contains(outer, point) && distanceToEdge(outer, point) > 0.1)).toBe(true);
    }
});

test('scaled, lengths grow with the piece and shares do not', () => {
  const { scaled } = punch;
  const of = { kind: 'punch', punch: 'tag', settings: { corner: 10, hole: 6 } } as const;
  expect(scaled!(of, 3)).toEqual({ ...of, settings: { corner: 30, hole: 18 } });
  expect(scaled!(of, 1e6)).toEqual({ ...of, settings: { corner: 4320, hole: 4320 } });
  const star = { kind: 'punch', punch: 'star', settings: { points: 7, depth: 0.4 } } as const;
  expect(scaled!(star, 3)).toEqual(star);
  const grown = cut(
    'tag',
    380,
    200,
    scaled!({ kind: 'punch', punch: 'tag', settings: { corner: 12, hole: 5 } }, 2)!.settings,
  );
  const plain = transformPath(scaling(2), cut('tag', 190, 100, { corner: 12, hole: 5 }));
  expect(areaOf(grown) / areaOf(plain)).toBeCloseTo(1, 5);
});
