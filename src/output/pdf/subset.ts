/** Fonts cut down to the glyphs in use, their numbers kept (HarfBuzz's subsetter as WebAssembly). */

interface Exports {
  memory: WebAssembly.Memory;
  malloc(size: number): number;
  free(at: number): void;
  hb_blob_create(data: number, length: number, mode: number, user: number, destroy: number): number;
  hb_blob_get_data(blob: number, length: number): number;
  hb_blob_get_length(blob: number): number;
  hb_blob_destroy(blob: number): void;
  hb_face_create(blob: number, index: number): number;
  hb_face_reference_blob(face: number): number;
  hb_face_destroy(face: number): void;
  hb_set_add(set: number, value: number): void;
  hb_subset_input_create_or_fail(): number;
  hb_subset_input_destroy(input: number): void;
  hb_subset_input_glyph_set(input: number): number;
  hb_subset_input_set(input: number, which: number): number;
  hb_subset_input_set_flags(input: number, flags: number): void;
  hb_subset_input_pin_all_axes_to_default(input: number, face: number): number;
  hb_subset_or_fail(face: number, input: number): number;
  _initialize?(): void;
}

/** A font's bytes with the outlines of these glyphs alone; null if the font cannot be cut down. */
export type Subset = (font: Uint8Array, glyphs: Iterable<number>) => Uint8Array | null;

// hb-subset.h: flags, sets, and who owns memory.
const NO_HINTING = 0x1;
const RETAIN_GIDS = 0x2;
// The box for what a font lacks is printed as it is seen.
const NOTDEF_OUTLINE = 0x40;
const NO_LAYOUT_CLOSURE = 0x200;
const DROP_TABLES = 3;
const WRITABLE = 2;
const LAYOUT = ['GSUB', 'GPOS', 'GDEF', 'kern', 'morx', 'kerx'];

const tag = (name: string): number => [...name].reduce((sum, letter) => sum * 256 + letter.charCodeAt(0), 0);

let compiled: Promise<WebAssembly.Module> | undefined;

/** Compiled once: that goes on beside all else long after it could be used, and would again for every file that is made. */
function compile(read: () => Promise<BufferSource>): Promise<WebAssembly.Module> {
  const now = (compiled ??= read().then((wasm) => WebAssembly.compile(wasm)));
  now.catch(() => (compiled = undefined));
  return now;
}

/** `read` gives the subsetter's own bytes, if they were not read before. Each has its own memory. */
export async function openSubset(read: () => Promise<BufferSource>): Promise<Subset> {
  const { exports } = await WebAssembly.instantiate(await compile(read), {});
  const hb = exports as unknown as Exports;
  hb._initialize?.();
  return (font, glyphs) => {
    const at = hb.malloc(font.length);
    new Uint8Array(hb.memory.buffer, at, font.length).set(font);
    const blob = hb.hb_blob_create(at, font.length, WRITABLE, 0, 0);
    const face = hb.hb_face_create(blob, 0);
    const input = hb.hb_subset_input_create_or_fail();
    try {
      const wanted = hb.hb_subset_input_glyph_set(input);
      for (const glyph of glyphs) hb.hb_set_add(wanted, glyph);
      const dropped = hb.hb_subset_input_set(input, DROP_TABLES);
      for (const name of LAYOUT) hb.hb_set_add(dropped, tag(name));
      hb.hb_subset_input_set_flags(input, NO_HINTING | RETAIN_GIDS | NOTDEF_OUTLINE | NO_LAYOUT_CLOSURE);
      hb.hb_subset_input_pin_all_axes_to_default(input, face);
      const cut = hb.hb_subset_or_fail(face, input);
      if (!cut) return null;
      const made = hb.hb_face_reference_blob(cut);
      const length = hb.hb_blob_get_length(made);
      const data = hb.hb_blob_get_data(made, 0);
      const bytes = new Uint8Array(hb.memory.buffer, data, length).slice();
      hb.hb_blob_destroy(made);
      hb.hb_face_destroy(cut);
      return bytes.length ? bytes : null;
    } finally {
      hb.hb_subset_input_destroy(input);
      hb.hb_face_destroy(face);
      hb.hb_blob_destroy(blob);
      hb.free(at);
    }
  };
}
