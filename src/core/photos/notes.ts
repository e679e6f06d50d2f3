/** What is known of a photo beyond its pixels: who, where, what of it, how good. Read from the file, then a person’s own. */
import { array, number, object, string } from 'yup';
import { asName, shortened } from '@/core/text/named';

export interface PhotoNotes {
  /** What is seen, or what happened. */
  caption?: string;
  /** Who is in it, each once. */
  people?: string[];
  /** Where it was, in words. */
  place?: string;
  /** Where it was, degrees north and east (WGS 84). */
  position?: { north: number; east: number };
  /** 1 to 5, as in XMP's rating. */
  stars?: number;
}

export const LONGEST_CAPTION = 2000;
export const LONGEST_NAME = 120;
const MOST_PEOPLE = 60;
const MOST_STARS = 5;

export const notesSchema = object({
  caption: string().min(1).max(LONGEST_CAPTION),
  people: array(string().min(1).max(LONGEST_NAME).required()).min(1).max(MOST_PEOPLE),
  place: string().min(1).max(LONGEST_NAME),
  position: object({
    north: number().min(-90).max(90).required(),
    east: number().min(-180).max(180).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  stars: number().integer().min(1).max(MOST_STARS),
}).noUnknown();

/** Names as they are typed in a row, with commas between; each once, in their order. */
export const namesIn = (text: string): string[] => {
  const names = text.split(/[,;\n]/).map((name) => asName(name, LONGEST_NAME));
  return [...new Set(names.filter(Boolean))].slice(0, MOST_PEOPLE);
};

const tidy = (text: string, longest: number): string =>
  // Control characters other than line ends have no business in a note.
  shortened(text.replace(/[\u0000-\u0009\u000b-\u001f\u007f]/g, ' ').trim(), longest).trim();

/** Notes within their limits, without what says nothing; undefined if nothing is left. */
export function tidyNotes(notes: PhotoNotes): PhotoNotes | undefined {
  const caption = tidy(notes.caption ?? '', LONGEST_CAPTION);
  const people = namesIn((notes.people ?? []).join(','));
  const place = asName(notes.place ?? '', LONGEST_NAME);
  const stars = Math.round(notes.stars ?? 0);
  const { north = NaN, east = NaN } = notes.position ?? {};
  const tidied: PhotoNotes = {
    ...(caption ? { caption } : {}),
    ...(people.length ? { people } : {}),
    ...(place ? { place } : {}),
    ...(Math.abs(north) <= 90 && Math.abs(east) <= 180 ? { position: { north, east } } : {}),
    ...(stars >= 1 ? { stars: Math.min(MOST_STARS, stars) } : {}),
  };
  return Object.keys(tidied).length ? tidied : undefined;
}

type Tags = Readonly<Record<string, unknown>>;

/** A tag that may be a text, a list of texts, or a text in several languages; the first text of it. */
function textOf(value: unknown): string {
  if (typeof value === 'string') return asUtf8(value);
  if (Array.isArray(value)) return textOf(value[0]);
  if (value && typeof value === 'object' && 'value' in value) return textOf(value.value);
  return '';
}

/** Text that was read byte by byte as Latin-1, as it was meant if those bytes are UTF-8. */
function asUtf8(text: string): string {
  if (!/[\u0080-\u00ff]/.test(text) || /[^\u0000-\u00ff]/.test(text)) return text;
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(Uint8Array.from(text, (c) => c.charCodeAt(0)));
  } catch {
    return text;
  }
}

const textsOf = (value: unknown): string[] => (Array.isArray(value) ? value.map(textOf) : [textOf(value)]);
const first = (...values: unknown[]): string => values.map(textOf).find((text) => text.trim()) ?? '';

/** What cameras and old programs write where nothing was written. */
const EMPTY_CAPTION = /^\s*(OLYMPUS DIGITAL CAMERA|SONY DSC|DCIM|KONICA MINOLTA DIGITAL CAMERA|\0*)\s*$/i;

/**
 * Notes out of a file's tags as exifr names them: IPTC-IIM 4.2 (Caption-Abstract, City, ...), XMP (dc, photoshop, xmp:Rating,
 * Iptc4xmpExt:PersonInImage, the named faces of mwg-rs regions) and Exif (ImageDescription, GPS). XMP is believed before
 * IPTC-IIM before Exif, as the Metadata Working Group recommends (MWG guidelines 2.0, chapter 3).
 */
export function notesFrom(tags: Tags): PhotoNotes | undefined {
  const caption = first(tags.description, tags.Caption, tags.ImageDescription);
  const place = [
    first(tags.Location, tags.Sublocation),
    first(tags.City),
    first(tags.Country, tags.CountryName),
  ].filter(Boolean);
  const { latitude, longitude, Rating } = tags;
  return tidyNotes({
    caption: EMPTY_CAPTION.test(caption) ? '' : caption,
    people: [...textsOf(tags.PersonInImage), ...facesIn(tags.Regions ?? tags.RegionInfo)].map(inOrder),
    place: [...new Set(place)].join(', '),
    ...(typeof latitude === 'number' && typeof longitude === 'number'
      ? { position: { north: latitude, east: longitude } }
      : {}),
    stars: Number(Rating) > 0 ? Number(Rating) : undefined,
  });
}

/** `Finch, Ada` is one person, by the name she is called by. */
const inOrder = (name: string): string =>
  name.replace(/^([^,;]+)[,;]\s*([^,;]+)$/, '$2 $1').replace(/[,;]/g, ' ');

function facesIn(regions: unknown): string[] {
  const list = (regions as { RegionList?: unknown } | undefined)?.RegionList;
  return (Array.isArray(list) ? list : [list]).flatMap((region: { Name?: unknown; Type?: unknown } | null) =>
    region?.Type === 'Face' ? [textOf(region.Name)] : [],
  );
}
