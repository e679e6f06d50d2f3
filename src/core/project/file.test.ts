/** What each version of the file added, read back the same, against the published JSON Schema. */
import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import { evenly } from '@/core/geometry/sides';
import { onlySeen } from '@/core/product';
import { checkProject, readProject, writeProject } from '@/core/project/file';
import { FIRST_WORDS } from '@/core/piece/material/words';
import type { Project } from '@/core/project/model';
import { assetOf, CUTS, laid, photoOf, quarters } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(600, 400), 600, 400);
const full = laid([photoOf('photo', asset, { x: 10, y: 10, width: 90, height: 60 }, CUTS[0])], [asset]);

describe('project.json', () => {
  test('a product that only a newer program knows can be looked at, and is written again as it was', () => {
    const product = { kind: 'fan', blades: 12, spread: { degrees: 140 } };
    const file = writeProject(full).replace(/"product": \{[^}]*\}/, `"product": ${JSON.stringify(product)}`);
    const read = readProject(file);
    if (!read.ok) throw new Error(read.message);
    expect(read.mended).toBeUndefined();
    expect(read.value.surfaces).toEqual(full.surfaces);
    expect(onlySeen(read.value)).toMatch(/^A newer Bellagraph made this fan: .*not changed\.$/);
    expect(JSON.parse(writeProject(read.value)).project.product).toEqual(product);
    // In the browser's store it is kept as it is held, and passes that door, too.
    expect(checkProject(structuredClone(read.value))).toEqual({ ok: true, value: read.value });
    expect(onlySeen(full)).toBeNull();
  });

  test('what had one bleed for all sides has it on each', () => {
    const of = full;
    const surfaces = of.surfaces.map((surface) => ({ ...surface, bleed: 9, safe: 18 }));
    const old = { format: 'bellagraph', version: 12, project: { ...of, surfaces } };
    const read = readProject(JSON.stringify(old));
    expect(read).toEqual({
      ok: true,
      value: {
        ...of,
        surfaces: of.surfaces.map((each) => ({ ...each, bleed: evenly(9), safe: evenly(18) })),
      },
    });
  });

  test('copies that grow, turn and fade, words whose count is set and plain punches are read back the same', () => {
    const validate = new Ajv({ allErrors: true }).compile(
      JSON.parse(readFileSync('docs/project.schema.json', 'utf8')),
    );
    const page = full.surfaces[0]!;
    const repeat = { columns: 3, rows: 2, gapX: 6, gapY: 6, shift: 0, scale: 0.8, turn: -15, fade: 0.9 };
    const written: Project = {
      ...full,
      surfaces: [
        {
          ...page,
          groups: [{ id: 'g', name: 'Birds', repeat }],
          pile: Array.from({ length: 6 }, (_, i) => ({
            ...page.pile[0]!,
            id: `bird ${i}`,
            groups: ['g'],
            outline: { kind: 'punch', punch: 'circle', settings: {} },
            material: { ...FIRST_WORDS, text: 'KITE', family: 'lora', size: 9, across: 10, down: 12 },
          })),
        },
      ],
    };
    expect(readProject(writeProject(written))).toEqual({ ok: true, value: written });
    expect(validate(JSON.parse(writeProject(written)))).toBe(true);
    // Of rows that lack a piece only the group is left: laid anew, they would lose another.
    const [rows] = written.surfaces;
    const torn = { ...written, surfaces: [{ ...rows!, pile: rows!.pile.slice(1) }] };
    const { repeat: _, ...plain } = rows!.groups[0]!;
    const read = readProject(writeProject(torn));
    expect(read.ok && read.value.surfaces[0]).toEqual({ ...torn.surfaces[0], groups: [plain] });
  });

  test('words in all their forms are read back the same and satisfy the schema; stretches over each other are refused', () => {
    const validate = new Ajv({ allErrors: true }).compile(
      JSON.parse(readFileSync('docs/project.schema.json', 'utf8')),
    );
    const page = full.surfaces[0]!;
    const [first] = page.pile;
    const letters = { family: 'lora', size: 12, tracking: 0.1, features: ['onum'], bold: true, italic: true };
    const own = `own-${'a'.repeat(64)}`;
    const written: Project = {
      ...full,
      styles: [
        {
          id: 's',
          name: 'Label',
          ...letters,
          align: 'right',
          leading: 1.1,
          hyphens: 'de',
          hanging: true,
          ink: '#123456',
        },
      ],
      facts: [{ id: 'when', name: 'Day', kind: 'day', value: '2026-05-29' }],
      fonts: [{ sha: 'a'.repeat(64), name: 'Quill', bytes: 1200 }],
      surfaces: [
        {
          ...page,
          guides: [{ axis: 'x', at: 72, through: true }],
          groups: [
            {
              id: 'g',
              name: 'KITE',
              letters: {
                text: 'KITE',
                alphabet: [{ character: 'K', assets: [asset.sha] }],
                tallest: 80,
                height: 72,
                room: 4,
                family: 'lora',
                hop: 0.1,
                lean: 5,
                seed: 3,
              },
            },
          ],
          pile: [
            {
              ...first!,
              id: 'lines',
              groups: ['g'],
              role: 'caption',
              round: 'r',
              outline: {
                kind: 'glyphs',
                text: 'Kites over the bay',
                ...letters,
                family: own,
                align: 'justify',
                leading: 1.2,
                spans: [
                  {
                    start: 0,
                    end: 5,
                    family: 'lobster',
                    scale: 2,
                    ink: '#2f6f68',
                    tracking: 0,
                    features: ['swsh'],
                    italic: false,
                  },
                  { start: 6, end: 10, field: { kind: 'title' } },
                  { start: 11, end: 14, field: { kind: 'fact', fact: 'when', as: 'year' } },
                ],
                columns: { count: 2, gap: 12 },
                hyphens: 'en',
                hanging: true,
                wrap: true,
                wished: 40,
                fixed: true,
                joined: { how: 'bar', at: 0, thick: 0.1 },
                style: 's',
              },
              material: {
                kind: 'photos',
                photos: [{ asset: asset.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } }],
              },
              finish: { ...first!.finish, echoes: [{ x: 3, y: 3, colour: '#123456', blur: 0, line: 1 }] },
            },
            {
              ...first!,
              id: 'along',
              outline: {
                kind: 'running',
                text: 'round',
                ...letters,
                base: { kind: 'punch', punch: 'heart', settings: {} },
                side: 'inside',
                clockwise: false,
                start: 0.25,
                repeat: true,
                between: ' * ',
                corners: 'round',
                gap: 2,
                line: { width: 1, colour: '#123456' },
              },
              material: {
                kind: 'words',
                text: 'sea\nwind',
                ...letters,
                inks: ['#123456'],
                ground: '#ffffff',
                gapX: 3,
                gapY: -1,
                shift: 0.5,
                turn: 12,
                vary: 0.4,
                seed: 7,
              },
            },
          ],
        },
      ],
    };
    expect(readProject(writeProject(written))).toEqual({ ok: true, value: written });
    validate(JSON.parse(writeProject(written)));
    expect(validate.errors).toBeNull();
    const torn = writeProject(written).replace('"start": 0,', '"start": 9,');
    const mended = readProject(torn);
    expect(mended).toMatchObject({ ok: true, mended: [expect.stringMatching(/was set aside/)] });
  });

  test('recolouring, colour beneath lines and running inks are read back the same and satisfy the schema; older files know none', () => {
    const validate = new Ajv({ allErrors: true }).compile(
      JSON.parse(readFileSync('docs/project.schema.json', 'utf8')),
    );
    const dye = { id: 'd', name: 'Hull', change: { how: 'ink' as const, ink: '#b3262e' }, strength: 0.8 };
    const strokes = [{ points: [0.1, 0.2, 0.3, 0.4], width: 0.02, closeness: 0.1, away: true as const }];
    const page = full.surfaces[0]!;
    const [first] = page.pile;
    const coloured: Project = {
      ...full,
      surfaces: [
        {
          ...page,
          pile: [
            {
              ...first!,
              id: 'art',
              material: {
                kind: 'art',
                asset: asset.sha,
                dyes: [
                  { ...dye, where: { strokes, area: '4 2 1 2 2 1', soften: 0.02, filled: true } },
                  { ...dye, where: { parts: [0, 3] }, outside: true, off: true },
                  { ...dye, change: { how: 'protect' }, where: { strokes, area: '4 2 1 2' } },
                  { ...dye, change: { how: 'shift', hue: 20, saturation: -5, lightness: 0 } },
                ],
                fills: [{ ink: '#e8c66a', texture: 'pencil', shade: 0.3, light: 315, area: '4 4 4 9' }],
              },
            },
            {
              ...first!,
              id: 'run',
              material: { kind: 'gradient', colours: ['#24506b', '#ffffff'], turn: 90, round: true },
            },
          ],
        },
      ],
    };
    expect(readProject(writeProject(coloured))).toEqual({ ok: true, value: coloured });
    validate(JSON.parse(writeProject(coloured)));
    expect(validate.errors).toBeNull();
    const torn = writeProject(coloured).replace('4 2 1 2 2 1', '4 2 1 2 2 9');
    const mended = readProject(torn);
    expect(mended).toMatchObject({ ok: true, mended: [expect.stringMatching(/was set aside/)] });
  });
});
