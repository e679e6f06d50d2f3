/** Every way in which ordinary programs write a photo, by every encoder at hand. */
import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { promisify } from 'node:util';
import type { Sharp } from 'sharp';

/** What a variant is made of: a photo of some 640 pixels, as PNG and as PPM, and a folder for its parts. */
export interface Base {
  png: string;
  ppm: string;
  sharp(): Sharp;
}

export interface Variant {
  name: string;
  ending: string;
  make(base: Base, out: string): Promise<unknown>;
  comesIn?: RegExp;
  near?: number | null;
  wide?: true;
}

const run = promisify(execFile);

const COLORD = '/usr/share/color/icc/colord';
const PYTHON = '/usr/bin/python3';
/** ImageMagick by its path: other machines have stand-ins by this name. */
export const CONVERT = '/usr/bin/convert';

const cjpeg = (name: string, ...options: string[]): Variant => ({
  name: `turbo ${name}`,
  ending: 'jpg',
  make: (base, out) => run('cjpeg', [...options, '-outfile', out, base.ppm]),
});
const magick = (name: string, ending: string, ...options: string[]): Variant => ({
  name: `magick ${name}`,
  ending,
  make: (base, out) => run(CONVERT, [base.png, ...options, out]),
});
const bySharp = (name: string, ending: string, change: (of: Sharp) => Sharp): Variant => ({
  name: `sharp ${name}`,
  ending,
  make: (base, out) => change(base.sharp()).toFile(out),
});
const pillow = (name: string, ending: string, save: string, more = ''): Variant => ({
  name: `pillow ${name}`,
  ending,
  make: (base, out) =>
    run(PYTHON, [
      '-c',
      `import sys\nfrom PIL import Image\nim = Image.open(sys.argv[1]).convert('RGB')\n${more}\nim.save(sys.argv[2], ${save})`,
      base.png,
      out,
    ]),
});
const ffmpeg = (name: string, ...options: string[]): Variant => ({
  name: `ffmpeg ${name}`,
  ending: 'jpg',
  make: (base, out) =>
    run('ffmpeg', ['-loglevel', 'error', '-y', '-i', base.png, ...options, '-frames:v', '1', out]),
});
/** Some other variant, changed by exiftool or byte by byte. */
const changed = (
  of: Variant,
  name: string,
  change: (bytes: Buffer) => Buffer,
  more: Partial<Variant> = {},
): Variant => ({
  ...of,
  name,
  async make(base, out) {
    await of.make(base, out);
    await writeFile(out, change(await readFile(out)));
  },
  ...more,
});
const tagged = (of: Variant, name: string, ...tags: string[]): Variant => ({
  ...of,
  name,
  async make(base, out) {
    await of.make(base, out);
    await run('exiftool', ['-q', '-overwrite_original', ...tags, out]);
  },
});

const QUALITIES = [30, 75, 92];
const SAMPLINGS = ['1x1', '2x1', '2x2', '4x1', '1x2'];
const PLAIN = cjpeg('plain', '-quality', '85');

/** An APP2 segment that says it is a colour profile, and is what is given. */
const withProfileBytes = (bytes: Buffer, profile: Buffer): Buffer => {
  const length = 2 + 14 + profile.length;
  const head = Buffer.from([0xff, 0xe2, length >> 8, length & 255]);
  return Buffer.concat([
    bytes.subarray(0, 2),
    head,
    Buffer.from('ICC_PROFILE\0\x01\x01', 'latin1'),
    profile,
    bytes.subarray(2),
  ]);
};
/** Where the first frame header begins. */
function frameAt(bytes: Buffer): number {
  let at = 2;
  while (!(bytes[at + 1]! >= 0xc0 && bytes[at + 1]! <= 0xc2)) at += 2 + bytes.readUInt16BE(at + 2);
  return at;
}
const segment = (marker: number, data: Buffer): Buffer =>
  Buffer.concat([Buffer.from([0xff, marker, (data.length + 2) >> 8, (data.length + 2) & 255]), data]);

export const VARIANTS: readonly Variant[] = [
  // libjpeg-turbo.
  ...QUALITIES.flatMap((quality) =>
    SAMPLINGS.flatMap((sample) =>
      [[], ['-progressive'], ['-optimize']].map((mode) =>
        cjpeg(
          `${quality} ${sample} ${mode.join('')}`,
          '-quality',
          String(quality),
          '-sample',
          sample,
          ...mode,
        ),
      ),
    ),
  ),
  ...[1, 2, 7, 64].flatMap((rows) =>
    [[], ['-progressive']].map((mode) =>
      cjpeg(`restart ${rows}${mode.join('')}`, '-restart', `${rows}B`, ...mode),
    ),
  ),
  ...[[], ['-progressive']].map((mode) => cjpeg(`grey ${mode.join('')}`, '-grayscale', ...mode)),
  ...[[], ['-progressive']].map((mode) => cjpeg(`rgb ${mode.join('')}`, '-rgb', '-quality', '90', ...mode)),
  { ...cjpeg('arithmetic', '-arithmetic'), comesIn: /cannot show \(arithmetic coding\)/ },
  changed(PLAIN, 'twelve bits', (bytes) => ((bytes[frameAt(bytes) + 4] = 12), bytes), {
    comesIn: /cannot show \(12 bits a colour\)/,
  }),
  changed(PLAIN, 'lossless', (bytes) => ((bytes[frameAt(bytes) + 1] = 0xc3), bytes), {
    comesIn: /cannot show \(lossless\)/,
  }),
  cjpeg('quality 100 smooth', '-quality', '100', '-smooth', '20'),
  cjpeg('floating point', '-dct', 'float', '-quality', '88'),
  // mozjpeg.
  ...[40, 80, 95].flatMap((quality) => [
    bySharp(`mozjpeg ${quality}`, 'jpg', (of) => of.jpeg({ mozjpeg: true, quality })),
    bySharp(`trellis ${quality}`, 'jpg', (of) =>
      of.jpeg({
        quality,
        trellisQuantisation: true,
        overshootDeringing: true,
        optimiseScans: true,
        progressive: true,
      }),
    ),
    bySharp(`table 3 ${quality}`, 'jpg', (of) =>
      of.jpeg({ quality, quantisationTable: 3, chromaSubsampling: '4:4:4' }),
    ),
  ]),
  bySharp('grey', 'jpg', (of) => of.greyscale().jpeg({ quality: 90 })),
  // ImageMagick.
  ...[20, 60, 98].flatMap((quality) =>
    ['4:4:4', '4:2:0', '4:1:1'].map((sampling) =>
      magick(
        `${quality} ${sampling}`,
        'jpg',
        '-quality',
        String(quality),
        '-sampling-factor',
        sampling,
        '-interlace',
        quality === 60 ? 'JPEG' : 'none',
      ),
    ),
  ),
  magick('exif and xmp as a program leaves them', 'jpg', '-set', 'comment', 'Saltmarsh'),
  { ...magick('CMYK', 'jpg', '-colorspace', 'CMYK'), near: null },
  { ...magick('CMYK progressive', 'jpg', '-colorspace', 'CMYK', '-interlace', 'JPEG'), near: null },
  // Pillow.
  ...[0, 1, 2].map((subsampling) =>
    pillow(`subsampling ${subsampling}`, 'jpg', `quality=88, subsampling=${subsampling}`),
  ),
  pillow('progressive', 'jpg', 'quality=80, progressive=True, optimize=True'),
  pillow('grey', 'jpg', 'quality=85', "im = im.convert('L')"),
  { ...pillow('CMYK', 'jpg', 'quality=90', "im = im.convert('CMYK')"), near: null },
  pillow(
    'several pictures (MPO)',
    'jpg',
    "format='MPO', save_all=True, append_images=[im.resize((160,120))]",
  ),
  pillow('with a JFIF density', 'jpg', 'quality=85, dpi=(240,240)'),
  // ffmpeg.
  ...['yuvj420p', 'yuvj422p', 'yuvj444p'].flatMap((format) =>
    [2, 8, 20].map((quality) => ffmpeg(`${format} ${quality}`, '-pix_fmt', format, '-q:v', String(quality))),
  ),
  // Notes: each turn, with a thumbnail.
  ...[1, 2, 3, 4, 5, 6, 7, 8].map((turn) =>
    tagged(
      PLAIN,
      `turned ${turn}`,
      `-EXIF:Orientation#=${turn}`,
      '-EXIF:DateTimeOriginal=2026:05:02 11:00:00',
      '-EXIF:Make=Box',
    ),
  ),
  ...[3, 6, 8].map((turn) =>
    tagged(cjpeg('progressive', '-progressive'), `turned progressive ${turn}`, `-EXIF:Orientation#=${turn}`),
  ),
  ...[1, 6].map((turn): Variant => ({
    ...PLAIN,
    name: `thumbnail ${turn}`,
    async make(base, out) {
      await PLAIN.make(base, out);
      const small = `${out}.small.jpg`;
      await base.sharp().resize(160).jpeg().toFile(small);
      await run('exiftool', [
        '-q',
        '-overwrite_original',
        `-EXIF:Orientation#=${turn}`,
        `-ThumbnailImage<=${small}`,
        '-XMP:Creator=Ines',
        '-IPTC:Keywords=kite',
        out,
      ]);
    },
  })),
  tagged(
    PLAIN,
    'much noted',
    '-XMP:Description=' + 'x'.repeat(60_000),
    '-EXIF:UserComment=' + 'y'.repeat(20_000),
  ),
  // Colour profiles.
  ...[
    'AdobeRGB1998',
    'ProPhotoRGB',
    'WideGamutRGB',
    'AppleRGB',
    'ECI-RGBv2',
    'BetaRGB',
    'sRGB',
    'SwappedRedAndGreen',
  ].map((profile): Variant => ({
    ...magick(
      `in ${profile}`,
      'jpg',
      '-profile',
      `${COLORD}/sRGB.icc`,
      '-profile',
      `${COLORD}/${profile}.icc`,
      '-quality',
      '92',
    ),
    wide: true,
    // What a screen can't show is clipped by each program as it likes.
    ...(/ProPhoto|WideGamut|BetaRGB/.test(profile) ? { near: 7 } : {}),
  })),
  { ...bySharp('in P3', 'jpg', (of) => of.withIccProfile('p3').jpeg({ quality: 90 })), wide: true },
  changed(PLAIN, 'with a broken profile', (bytes) => withProfileBytes(bytes, Buffer.alloc(400, 7)), {
    near: 3,
  }),
  changed(
    PLAIN,
    'with half a profile',
    (bytes) => withProfileBytes(bytes, readFileSync(`${COLORD}/AdobeRGB1998.icc`).subarray(0, 200)),
    { near: 3 },
  ),
  changed(
    cjpeg('grey', '-grayscale'),
    'grey with a colour profile',
    (bytes) => withProfileBytes(bytes, readFileSync(`${COLORD}/AdobeRGB1998.icc`)),
    { near: null },
  ),
  // What programs and cards leave in files.
  changed(PLAIN, 'with bytes after its end', (bytes) => Buffer.concat([bytes, Buffer.alloc(5000, 0xff)])),
  changed(PLAIN, 'with a second picture after its end', (bytes) => Buffer.concat([bytes, bytes])),
  changed(PLAIN, 'with fill bytes', (bytes) => {
    const at = frameAt(bytes);
    return Buffer.concat([bytes.subarray(0, at), Buffer.from([0xff, 0xff, 0xff]), bytes.subarray(at)]);
  }),
  changed(PLAIN, 'with an unknown segment', (bytes) =>
    Buffer.concat([bytes.subarray(0, 2), segment(0xef, Buffer.alloc(900, 1)), bytes.subarray(2)]),
  ),
  changed(PLAIN, 'without JFIF', (bytes) =>
    Buffer.concat([bytes.subarray(0, 2), bytes.subarray(4 + bytes.readUInt16BE(4))]),
  ),
  changed(PLAIN, 'cut off', (bytes) => bytes.subarray(0, bytes.length * 0.6), { comesIn: /cut off/ }),
  // PNG.
  ...[1, 2, 4].map((bits) =>
    magick(
      `palette of ${2 ** bits}`,
      'png',
      '-dither',
      'None',
      '-colors',
      String(2 ** bits),
      '-define',
      `png:bit-depth=${bits}`,
      '-define',
      'png:color-type=3',
    ),
  ),
  ...[1, 2, 4, 8, 16].map((bits) =>
    magick(
      `grey ${bits}`,
      'png',
      '-colorspace',
      'Gray',
      '-dither',
      'None',
      '-define',
      `png:bit-depth=${bits}`,
      '-define',
      'png:color-type=0',
    ),
  ),
  magick('16 bits', 'png', '-define', 'png:color-type=2', '-define', 'png:bit-depth=16'),
  magick(
    '16 bits, clear',
    'png',
    '-alpha',
    'set',
    '-channel',
    'A',
    '-evaluate',
    'set',
    '60%',
    '-define',
    'png:color-type=6',
    '-define',
    'png:bit-depth=16',
  ),
  magick('interlaced', 'png', '-interlace', 'PNG'),
  magick('one colour clear', 'png', '-define', 'png:color-type=2', '-transparent', 'white'),
  magick(
    'grey and clear',
    'png',
    '-colorspace',
    'Gray',
    '-alpha',
    'set',
    '-channel',
    'A',
    '-evaluate',
    'set',
    '50%',
    '-define',
    'png:color-type=4',
  ),
  tagged(magick('noted', 'png'), 'png turned', '-Orientation#=6'),
  bySharp('P3', 'png', (of) => of.withIccProfile('p3').png()),
  bySharp('palette', 'png', (of) => of.png({ palette: true })),
  ...['-sRGB', '-gAMA'].map((chunk) =>
    magick(`with ${chunk}`, 'png', '-define', `png:include-chunk=${chunk.slice(1)}`),
  ),
  {
    name: 'ffmpeg moving',
    ending: 'png',
    make: (base, out) =>
      run('ffmpeg', [
        '-loglevel',
        'error',
        '-y',
        '-loop',
        '1',
        '-i',
        base.png,
        '-frames:v',
        '3',
        '-f',
        'apng',
        out,
      ]),
  },
  // WebP.
  ...[20, 80, 100].map((quality) => bySharp(`${quality}`, 'webp', (of) => of.webp({ quality }))),
  bySharp('lossless', 'webp', (of) => of.webp({ lossless: true })),
  bySharp('near lossless', 'webp', (of) => of.webp({ nearLossless: true, quality: 60 })),
  bySharp('clear', 'webp', (of) => of.ensureAlpha(0.5).webp({ quality: 85 })),
  pillow('moving', 'webp', 'save_all=True, append_images=[im.rotate(90), im], duration=100'),
  pillow('noted', 'webp', "exif=b'Exif\\x00\\x00MM\\x00*\\x00\\x00\\x00\\x08\\x00\\x00'"),
  // Others.
  ...[40, 80].map((quality): Variant => ({
    name: `heif-enc ${quality}`,
    ending: 'heic',
    make: (base, out) => run('heif-enc', ['-q', String(quality), '-o', out, base.png]),
    near: 4,
  })),
  bySharp('moving', 'gif', (of) => of.gif()),
  magick('old', 'bmp', '-alpha', 'off'),
  bySharp('quality 60', 'avif', (of) => of.avif({ quality: 60, effort: 1 })),
  { ...bySharp('scanned', 'tif', (of) => of.tiff()), comesIn: /TIFF/ },
];
