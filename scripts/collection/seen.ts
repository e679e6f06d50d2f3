/** What other programs see in what was made: ImageMagick tells what a file looks like; poppler, MuPDF, Ghostscript, librsvg, qpdf read the outputs. */
import { execFile } from 'node:child_process';
import { mkdir, readdir, readFile, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import sharp from 'sharp';
import type { Box, Size } from '@/core/geometry/box';
import { OUT } from './browser';
import type { Entry } from './files';
import { CONVERT } from './variants';
import { boxAt, PPI, SQUARES } from './grid';
import type { Went } from './page';

const run = promisify(execFile);
const LARGE = { encoding: 'buffer', maxBuffer: 1e9 } as const;
const SRGB = '/usr/share/color/icc/colord/sRGB.icc';

interface Pixels extends Size {
  /** RGB, 8 bits. */
  data: Uint8Array;
}

/** Parts of a square, across and down, by which it is known how much changes within it. */
const FINE = 8;
/** A picture's edge that lies a fraction of a pixel elsewhere may change a square by this share of what changes within it. */
const AT_EDGES = 0.12;

interface Reference {
  size: Size;
  squares: number[];
  /** How far each may be off beside what is asked. */
  loose: number[];
}

/** A photo as ImageMagick shows it: upright, in sRGB, on white, in `SQUARES` x `SQUARES`. */
async function reference(path: string, index: number): Promise<Reference> {
  const first = path.endsWith('.svg') ? await drawnByLibrsvg(path) : `${path}[0]`;
  const { stdout: said } = await run(CONVERT, [first, '-auto-orient', '-format', '%w %h', 'info:']);
  const [width, height] = said.trim().split(' ').map(Number) as [number, number];
  // A photo fills its box; what is over at two sides is cropped.
  const box = boxAt(index, { width, height });
  const scale = Math.max(box.width / width, box.height / height);
  const crop = `${Math.round(box.width / scale)}x${Math.round(box.height / scale)}+0+0`;
  const shown = (...profile: string[]) =>
    run(
      CONVERT,
      [
        ...[
          first,
          '-auto-orient',
          '+repage',
          ...profile,
          '-colorspace',
          'sRGB',
          '-background',
          'white',
          '-alpha',
          'remove',
        ],
        ...[
          '-gravity',
          'center',
          '-crop',
          crop,
          '+repage',
          '-filter',
          'box',
          '-resize',
          `${SQUARES * FINE}x${SQUARES * FINE}!`,
          '-depth',
          '8',
          'rgb:-',
        ],
      ],
      LARGE,
    );
  // A profile that Little CMS can't read counts as none.
  const { stdout } = await shown('-profile', SRGB).catch(() => shown('-strip'));
  const [squares, loose]: number[][] = [[], []];
  for (let row = 0; row < SQUARES; row++)
    for (let column = 0; column < SQUARES; column++)
      for (let c = 0; c < 3; c++) {
        /** The values of the square, and of `around` parts of those beside it. */
        const values = (around: number) => {
          const found: number[] = [];
          for (let y = row * FINE - around; y < (row + 1) * FINE + around; y++)
            for (let x = column * FINE - around; x < (column + 1) * FINE + around; x++) {
              const value =
                x >= 0 && x < SQUARES * FINE ? stdout[3 * (y * SQUARES * FINE + x) + c] : undefined;
              if (value !== undefined) found.push(value);
            }
          return found;
        };
        const own = values(0);
        squares!.push(own.reduce((sum, value) => sum + value, 0) / own.length);
        loose!.push(AT_EDGES * (Math.max(...values(1)) - Math.min(...values(1))));
      }
  return { size: { width, height }, squares: squares!, loose: loose! };
}

/** A drawing as librsvg draws it, in a file beside what is looked at. */
async function drawnByLibrsvg(path: string): Promise<string> {
  const drawn = join(OUT, 'drawing.png');
  await mkdir(OUT, { recursive: true });
  await run('rsvg-convert', ['--unlimited', '-a', '-w', '600', '-o', drawn, path]);
  return drawn;
}

/** The mean colours of a box, in squares. */
function squaresIn({ data, width }: Pixels, box: Box): number[] {
  const [w, h] = [box.width / SQUARES, box.height / SQUARES];
  const squares: number[] = [];
  for (let row = 0; row < SQUARES; row++)
    for (let column = 0; column < SQUARES; column++)
      for (let c = 0; c < 3; c++) {
        let sum = 0;
        for (let y = 0; y < h; y++)
          for (let x = 0; x < w; x++)
            sum += data[3 * ((box.y + row * h + y) * width + box.x + column * w + x) + c]!;
        squares.push(sum / (w * h));
      }
  return squares;
}

const meanOf = (squares: readonly number[], channel: number): number =>
  squares.reduce((sum, value, i) => (i % 3 === channel ? sum + value : sum), 0) / (squares.length / 3);

const pixelsOf = async (picture: string | Buffer): Promise<Pixels> => {
  const { data, info } = await sharp(picture, { limitInputPixels: false })
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
};

/** How each output is looked at: by the name of who looks. */
const LOOKS: Record<string, Record<string, (path: string) => Promise<Pixels>>> = {
  'page.png': { libvips: pixelsOf },
  'page.jpg': { libvips: pixelsOf },
  'page.webp': { libvips: pixelsOf },
  'page.ora': {
    unzip: async (path) => pixelsOf((await run('unzip', ['-p', path, 'mergedimage.png'], LARGE)).stdout),
  },
  'page.svg': {
    librsvg: async (path) =>
      pixelsOf((await run('rsvg-convert', ['--unlimited', '-w', '1200', path], LARGE)).stdout),
  },
  'page.pdf': { poppler, mupdf, ghostscript },
  'noted.pdf': { poppler },
  'press.pdf': { ghostscript },
  'tiled.pdf': { poppler },
};
/** Made of pixels with some loss of their own. */
const LOSSY: Record<string, number> = { 'page.jpg': 3, 'page.webp': 7 };
/** Poppler shows what is made for a press as that press prints it: the same whether its colours are named in RGB or in inks. */
const NEAR_INKS = 18;

async function poppler(path: string): Promise<Pixels> {
  return pixelsOf((await run('pdftoppm', ['-r', String(PPI), '-singlefile', '-png', path], LARGE)).stdout);
}
async function mupdf(path: string): Promise<Pixels> {
  return pixelsOf(
    (await run('mutool', ['draw', '-q', '-r', String(PPI), '-F', 'png', '-o', '-', path, '1'], LARGE)).stdout,
  );
}
async function ghostscript(path: string): Promise<Pixels> {
  const options = ['-q', '-dSAFER', '-dBATCH', '-dNOPAUSE', '-sDEVICE=png16m', `-r${PPI}`, '-dLastPage=1'];
  return pixelsOf((await run('gs', [...options, '-sOutputFile=-', path], LARGE)).stdout);
}

/** Everything that went against the promise with a batch, a sentence each; the largest difference of colours. */
export async function looked(
  batch: string,
  entries: readonly Entry[],
  went: Went,
): Promise<{ faults: string[]; worst: number }> {
  const faults: string[] = Object.entries(went.failed).map(
    ([name, why]) => `${name} of batch ${batch}: ${why}`,
  );
  let worst = 0;
  const wanted = new Map<number, Reference>();
  for (const [i, { name, path, comesIn, near }] of entries.entries()) {
    const file = went.files[i]!;
    if ('refused' in file) {
      if (comesIn === true || !comesIn.test(file.refused))
        faults.push(`${name} did not come in: ${file.refused}`);
      continue;
    }
    if (comesIn !== true) faults.push(`${name} came in, though it must not`);
    // What was left out of a drawing was told.
    if (near === null || (file.dropped.length && path.endsWith('.svg'))) continue;
    const wished = await reference(path, i);
    const { size } = wished;
    if (!path.endsWith('.svg') && (size.width !== file.width || size.height !== file.height))
      faults.push(`${name} is ${size.width} x ${size.height}, not ${file.width} x ${file.height}`);
    wanted.set(i, wished);
  }
  const folder = join(OUT, batch);
  for (const [output, lookers] of Object.entries(LOOKS)) {
    const path = join(folder, output);
    if (went.failed[output] || !(await readdir(folder)).includes(output)) continue;
    if (output.endsWith('.pdf'))
      await run('qpdf', ['--check', path]).catch(({ stdout }) =>
        faults.push(`qpdf on ${output} of batch ${batch}: ${stdout}`),
      );
    for (const [who, look] of Object.entries(lookers)) {
      const pixels = await look(path).catch(
        (error: Error) =>
          void faults.push(`${who} on ${output} of batch ${batch}: ${error.message.slice(0, 200)}`),
      );
      if (!pixels) continue;
      for (const [i, { squares, loose }] of wanted) {
        // Debian's MuPDF and librsvg are built without colour management.
        if (['mupdf', 'librsvg'].includes(who) && entries[i]!.wide) continue;
        const seen = squaresIn(pixels, boxAt(i, went.files[i] as Size));
        const off = Math.max(
          ...squares.map((value, s) => Math.max(0, Math.abs(value - seen[s]!) - loose[s]!)),
          ...[0, 1, 2].map((c) => Math.abs(meanOf(squares, c) - meanOf(seen, c))),
        );
        worst = Math.max(worst, off);
        if (off > entries[i]!.near! + (LOSSY[output] ?? (who === 'mupdf' ? 1 : 0)))
          faults.push(`${entries[i]!.name} in ${output} by ${who} is off by ${off.toFixed(1)} of 255`);
      }
    }
  }
  faults.push(...(await otherwiseInInks(batch, entries, went)));
  for (const output of ['page.pdf', 'noted.pdf', 'press.pdf'])
    if (!went.failed[output] && (await readdir(folder)).includes(output))
      faults.push(...(await recoded(batch, output, entries, went)));
  await rm(folder, { recursive: true, force: true });
  return { faults, worst };
}

async function otherwiseInInks(batch: string, entries: readonly Entry[], went: Went): Promise<string[]> {
  const paths = ['press.pdf', 'inks.pdf'].map((name) => join(OUT, batch, name));
  await run('qpdf', ['--check', paths[1]!]);
  const [press, inks] = (await Promise.all(paths.map(poppler))) as [Pixels, Pixels];
  return entries.flatMap(({ name }, i) => {
    const file = went.files[i]!;
    if ('refused' in file) return [];
    const [one, other] = [press, inks].map((pixels) => squaresIn(pixels, boxAt(i, file))) as [
      number[],
      number[],
    ];
    const off = Math.max(...one.map((value, s) => Math.abs(value - other[s]!)));
    return off > NEAR_INKS
      ? [`${name} in the press’s inks is off by ${off.toFixed(1)} of 255 from itself in RGB`]
      : [];
  });
}

/** JPEG files of which a PDF does not hold the coded picture byte for byte, though nothing was told of it. */
async function recoded(
  batch: string,
  output: string,
  entries: readonly Entry[],
  went: Went,
): Promise<string[]> {
  const folder = join(OUT, batch);
  await run('pdfimages', ['-all', join(folder, output), join(folder, 'held')]);
  const names = (await readdir(folder)).filter((name) => /^held.*\.jpg$/.test(name));
  const held = await Promise.all(names.map((name) => readFile(join(folder, name))));
  await Promise.all(
    (await readdir(folder)).filter((name) => name.startsWith('held')).map((name) => rm(join(folder, name))),
  );
  const missing: string[] = [];
  for (const [i, { name, path }] of entries.entries()) {
    const file = went.files[i]!;
    if (
      'refused' in file ||
      file.type !== 'image/jpeg' ||
      went.told[output]?.some((says) => says.startsWith(name))
    )
      continue;
    const own = await readFile(path);
    // Not its header, which tells of cameras, nor its end.
    const copied = held.some((jpeg) => {
      const from = Math.floor(jpeg.length / 2);
      return own.includes(jpeg.subarray(from, Math.min(jpeg.length - 2, from + 3000)));
    });
    // What came in cleaned of press colours is another file by then.
    if (!copied && !/CMYK/.test(name) && /jpe?g$/.test(path))
      missing.push(`${name} was re-encoded in ${output}, and nothing said so`);
  }
  return missing;
}
