/** What was written into a picture file beside its pixels: by the camera, and by people (Exif, IPTC-IIM, XMP). */
import { notesFrom, type PhotoNotes } from '@/core/photos/notes';
import { meaningfulDensity } from '@/core/pixels/header';

export interface FileNotes {
  /** 1 to 8, as in Exif; 1 if the file does not say. */
  orientation: number;
  /** Local time, as in `Asset`. */
  taken?: string;
  ppi?: number;
  /** Whether a camera wrote some of it. */
  camera: boolean;
  notes?: PhotoNotes;
}

/** Never throws: notes that cannot be read are none. */
export async function fileNotes(bytes: Uint8Array): Promise<FileNotes> {
  const { parse } = (await import('exifr/dist/full.esm.mjs')).default;
  const tags =
    (await parse(bytes, {
      tiff: true,
      exif: true,
      gps: true,
      iptc: true,
      xmp: true,
      translateValues: false,
      reviveValues: false,
    }).catch(() => undefined)) ?? {};
  const orientation = Number(tags.Orientation);
  // Exif 2.32: a resolution unit of 3 is centimetres, else inches.
  const density = Number(tags.XResolution) * (Number(tags.ResolutionUnit) === 3 ? 2.54 : 1);
  return {
    camera: Boolean(tags.Make ?? tags.Model ?? tags.ExposureTime ?? tags.DateTimeOriginal),
    ppi: density > 0 ? meaningfulDensity(density) : undefined,
    orientation: Number.isInteger(orientation) && orientation >= 1 && orientation <= 8 ? orientation : 1,
    taken: timeIn(tags.DateTimeOriginal ?? tags.CreateDate ?? tags.DateCreated),
    notes: notesFrom(tags),
  };
}

/** Days that clocks begin at which were never set. */
const NEVER_SET = /^(0000|1904-01-01|1970-01-01|1980-01-01)/;

/** `2026:05:16 11:05:41` or `2026-05-16T11:05:41+02:00` as local time; undefined if it is no day there ever was. */
export function timeIn(written: unknown): string | undefined {
  const [, year, month, day, time = '00:00:00'] =
    /^(\d{4})[:-](\d\d)[:-](\d\d)(?:[ T](\d\d:\d\d:\d\d))?/.exec(String(written ?? '')) ?? [];
  const taken = `${year}-${month}-${day}T${time}`;
  const date = new Date(`${taken}Z`);
  // 30 February and 25 o'clock come back as another time or as none.
  if (!year || NEVER_SET.test(taken) || Number.isNaN(date.valueOf())) return undefined;
  return date.toISOString().startsWith(taken) ? taken : undefined;
}
