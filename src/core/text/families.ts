/** The type families that ship with the app, all under the SIL Open Font Licence but for Special Elite, which is under the Apache Licence 2.0. A new family is one line here. */
export interface Family {
  id: string;
  name: string;
  look: 'script' | 'hand' | 'slab' | 'typewriter' | 'display' | 'plain';
  /** Font files in order of preference: a character missing in one is sought in the next. */
  fonts: readonly string[];
  /** Font files of its other faces, in the same order. */
  faces: Partial<Record<Face, readonly string[]>>;
}

/** How letters are cut beside the plain way. */
export type Face = 'bold' | 'italic' | 'bold italic';

/** What is wanted of a family's letters. */
export interface FamilyFace {
  family: string;
  bold?: boolean;
  italic?: boolean;
}

const filesOf = (id: string, cut: string): string[] => [`${id}-latin-${cut}`, `${id}-latin-ext-${cut}`];

const CUTS: Record<Face, string> = {
  bold: '700-normal',
  italic: '400-italic',
  'bold italic': '700-italic',
};

const family = (id: string, name: string, look: Family['look'], ...faces: Face[]): Family => ({
  id,
  name,
  look,
  fonts: filesOf(id, '400-normal'),
  faces: Object.fromEntries(faces.map((face) => [face, filesOf(id, CUTS[face])])),
});

const ALL_FACES: readonly Face[] = ['bold', 'italic', 'bold italic'];

export const FAMILIES: readonly Family[] = [
  family('great-vibes', 'Great Vibes', 'script'),
  family('parisienne', 'Parisienne', 'script'),
  family('sacramento', 'Sacramento', 'script'),
  family('dancing-script', 'Dancing Script', 'script', 'bold'),
  family('pacifico', 'Pacifico', 'script'),
  family('caveat', 'Caveat', 'hand', 'bold'),
  family('patrick-hand', 'Patrick Hand', 'hand'),
  family('amatic-sc', 'Amatic SC', 'hand', 'bold'),
  family('zilla-slab', 'Zilla Slab', 'slab', ...ALL_FACES),
  family('crete-round', 'Crete Round', 'slab', 'italic'),
  family('bitter', 'Bitter', 'slab', ...ALL_FACES),
  family('alfa-slab-one', 'Alfa Slab One', 'slab'),
  family('special-elite', 'Special Elite', 'typewriter'),
  family('courier-prime', 'Courier Prime', 'typewriter', ...ALL_FACES),
  family('cutive-mono', 'Cutive Mono', 'typewriter'),
  family('abril-fatface', 'Abril Fatface', 'display'),
  family('lobster', 'Lobster', 'display'),
  family('limelight', 'Limelight', 'display'),
  family('bungee', 'Bungee', 'display'),
  family('fredoka', 'Fredoka', 'display', 'bold'),
  family('lora', 'Lora', 'plain', ...ALL_FACES),
  family('crimson-pro', 'Crimson Pro', 'plain', ...ALL_FACES),
  family('nunito-sans', 'Nunito Sans', 'plain', ...ALL_FACES),
  family('atkinson-hyperlegible-next', 'Atkinson Hyperlegible', 'plain', ...ALL_FACES),
];

/** Families that go together: one for a title with one for what stands beside it. */
export const PAIRS: readonly (readonly [string, string])[] = [
  ['great-vibes', 'zilla-slab'],
  ['great-vibes', 'lora'],
  ['parisienne', 'crimson-pro'],
  ['sacramento', 'nunito-sans'],
  ['dancing-script', 'bitter'],
  ['pacifico', 'nunito-sans'],
  ['caveat', 'zilla-slab'],
  ['patrick-hand', 'lora'],
  ['amatic-sc', 'courier-prime'],
  ['amatic-sc', 'caveat'],
  ['alfa-slab-one', 'special-elite'],
  ['crete-round', 'patrick-hand'],
  ['special-elite', 'sacramento'],
  ['cutive-mono', 'dancing-script'],
  ['abril-fatface', 'lora'],
  ['abril-fatface', 'parisienne'],
  ['lobster', 'bitter'],
  ['limelight', 'crimson-pro'],
  ['bungee', 'special-elite'],
  ['fredoka', 'patrick-hand'],
];

/** Sought last for any character its own family lacks. */
export const PLAIN_FAMILY = 'atkinson-hyperlegible-next';

/** A family brought in by a person: its one font file is named by its SHA-256. */
export const OWN_FAMILY = /^own-[0-9a-f]{64}$/;
export const ownFamily = (sha: string): string => `own-${sha}`;
export const shaOfFamily = (id: string): string | null => (OWN_FAMILY.test(id) ? id.slice(4) : null);

/** What a family is called; `own` are a project's own fonts. */
export const familyName = (id: string, own: readonly { sha: string; name: string }[] = []): string =>
  FAMILIES.find((family) => family.id === id)?.name ??
  own.find(({ sha }) => ownFamily(sha) === id)?.name ??
  'A font not here';

export const isFamily = (id: string | undefined): boolean =>
  id === undefined || OWN_FAMILY.test(id) || FAMILIES.some((family) => family.id === id);

/** The font files of a family, in order of preference. */
export const fontsOf = (id: string): readonly string[] =>
  shaOfFamily(id) ? [id] : (FAMILIES.find((family) => family.id === id) ?? FAMILIES.at(-1)!).fonts;

/** The faces a family has beside its plain letters; a font of a person's own has none. */
export const facesOf = (id: string): Family['faces'] =>
  FAMILIES.find((family) => family.id === id)?.faces ?? {};

/** The face of a family that comes nearest to what is wanted; null for its plain letters. */
export function nearestFace({ family, bold, italic }: FamilyFace): Face | null {
  const has = facesOf(family);
  if (bold && italic && has['bold italic']) return 'bold italic';
  if (bold && has.bold) return 'bold';
  return italic && has.italic ? 'italic' : null;
}

/** The font files of the face that is wanted, opened only for words that are written in it; none for plain letters. */
export function faceFonts(wanted: FamilyFace): readonly string[] {
  const face = nearestFace(wanted);
  return (face && facesOf(wanted.family)[face]) || [];
}

/** Every font file of the families' plain letters, once each. */
export const FONT_FILES: readonly string[] = FAMILIES.flatMap((family) => family.fonts);
/** Those of their other faces. */
export const FACE_FILES: readonly string[] = FAMILIES.flatMap(({ faces }) => Object.values(faces).flat());

/** Fonts that are opened only for the characters they alone have: scripts beside Latin, and small pictures in outline. */
const FALLBACKS: readonly { font: string; name: string; has: RegExp }[] = [
  {
    font: 'noto-sans-hebrew-hebrew-400-normal',
    name: 'Noto Sans Hebrew',
    has: /[\u0590-\u05ff\u20aa\ufb1d-\ufb4f]/,
  },
  {
    font: 'noto-naskh-arabic-arabic-400-normal',
    name: 'Noto Naskh Arabic',
    has: /[\u0600-\u06ff\u0750-\u077f\u0870-\u08ff\u204f\u2e41\ufb50-\ufdff\ufe70-\ufefc]/,
  },
  { font: 'noto-sans-greek-400-normal', name: 'Noto Sans', has: /[\u0370-\u03ff]/ },
  {
    font: 'noto-sans-cyrillic-400-normal',
    name: 'Noto Sans',
    has: /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/,
  },
  {
    font: 'noto-sans-cyrillic-ext-400-normal',
    name: 'Noto Sans',
    has: /[\u0460-\u048f\u0492-\u052f\u1c80-\u1c88\u20b4\ua640-\ua69f]/,
  },
  {
    font: 'noto-sans-vietnamese-400-normal',
    name: 'Noto Sans',
    has: /[\u01a0\u01a1\u01af\u01b0\u1ea0-\u1ef9\u20ab]/,
  },
  // Of Latin what the plain family has not: letters of Esperanto, Baltic and African languages, of phonetics; currencies.
  {
    font: 'noto-sans-latin-ext-400-normal',
    name: 'Noto Sans',
    has: /[\u0108\u0109\u0114\u0115\u011c\u011d\u0124\u0125\u0128\u0129\u012c\u012d\u0134\u0135\u0138\u013f\u0140\u0149-\u014f\u0156\u0157\u015c\u015d\u0166-\u0169\u016c\u016d\u017f-\u0191\u0193-\u01ae\u01b1-\u0217\u021c-\u02d7\u02de-\u02ff\u1d00-\u1dbf\u1e00-\u1e9f\u1efa-\u1eff\u20a0-\u20c0\u2113\u2c60-\u2c7f\ua720-\ua7ff]/,
  },
  { font: 'noto-sans-devanagari-400-normal', name: 'Noto Sans', has: /[\u0900-\u097f]/ },
  { font: 'noto-emoji-emoji-400-normal', name: 'Noto Emoji', has: /(?![0-9#*©®])\p{Emoji}/u },
  {
    font: 'noto-sans-symbols-2-symbols-400-normal',
    name: 'Noto Sans Symbols',
    has: /(?!\p{Emoji})[\u2300-\u244a\u25a0-\u27bf\u2800-\u28ff\u2981\u29bf\u29eb\u2b00-\u2bff\u4dc0-\u4dff\u{10140}-\u{102fb}\u{10e60}-\u{10e7e}\u{1d2c0}-\u{1d378}\u{1f000}-\u{1fbf9}]/u,
  },
  // Primes for feet and inches, notes of music, and all that is reckoned with.
  {
    font: 'noto-sans-math-latin-400-normal',
    name: 'Noto Sans Math',
    has: /[\u01b5\u02d4\u02d5\u1d46\u2010\u2015-\u2017\u2021\u2025\u2032-\u2038\u2040-\u2043\u2047\u2050\u2057\u2100-\u214b\u2190-\u23ff\u2422\u2423\u2474\u2475\u2500-\u2593\u263b-\u263e\u2669-\u266f\u26a5\u26b2\u2720\u27c0-\u27ff\u2900-\u2aff\u2b0e-\u2b4c\u2bfe\u3012\uff5b-\uff5d\u{1d400}-\u{1d7ff}\u{1ee00}-\u{1eef1}\u{1f780}-\u{1f7d8}]/u,
  },
];

export const FALLBACK_FILES: readonly string[] = FALLBACKS.map(({ font }) => font);

/** The fallback fonts a text has use for. */
export const fallbacksFor = (text: string): string[] =>
  FALLBACKS.filter(({ has }) => has.test(text)).map(({ font }) => font);

export const fallbackName = (font: string): string => FALLBACKS.find((one) => one.font === font)!.name;
