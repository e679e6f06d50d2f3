/** The type families that ship with the app, all under the SIL Open Font Licence. A new family is one line here. */
export interface Family {
  id: string;
  name: string;
  look: 'script' | 'hand' | 'slab' | 'typewriter' | 'display' | 'plain';
  /** Font files in order of preference: a character missing in one is sought in the next. */
  fonts: readonly string[];
}

const family = (id: string, name: string, look: Family['look']): Family => ({
  id,
  name,
  look,
  fonts: [`${id}-latin-400-normal`, `${id}-latin-ext-400-normal`],
});

export const FAMILIES: readonly Family[] = [
  family('great-vibes', 'Great Vibes', 'script'),
  family('parisienne', 'Parisienne', 'script'),
  family('sacramento', 'Sacramento', 'script'),
  family('dancing-script', 'Dancing Script', 'script'),
  family('pacifico', 'Pacifico', 'script'),
  family('caveat', 'Caveat', 'hand'),
  family('patrick-hand', 'Patrick Hand', 'hand'),
  family('amatic-sc', 'Amatic SC', 'hand'),
  family('zilla-slab', 'Zilla Slab', 'slab'),
  family('crete-round', 'Crete Round', 'slab'),
  family('bitter', 'Bitter', 'slab'),
  family('alfa-slab-one', 'Alfa Slab One', 'slab'),
  family('special-elite', 'Special Elite', 'typewriter'),
  family('courier-prime', 'Courier Prime', 'typewriter'),
  family('cutive-mono', 'Cutive Mono', 'typewriter'),
  family('abril-fatface', 'Abril Fatface', 'display'),
  family('lobster', 'Lobster', 'display'),
  family('limelight', 'Limelight', 'display'),
  family('bungee', 'Bungee', 'display'),
  family('fredoka', 'Fredoka', 'display'),
  family('lora', 'Lora', 'plain'),
  family('crimson-pro', 'Crimson Pro', 'plain'),
  family('nunito-sans', 'Nunito Sans', 'plain'),
  family('atkinson-hyperlegible-next', 'Atkinson Hyperlegible', 'plain'),
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
const OWN = /^own-[0-9a-f]{64}$/;
export const ownFamily = (sha: string): string => `own-${sha}`;
export const shaOfFamily = (id: string): string | null => (OWN.test(id) ? id.slice(4) : null);

/** What a family is called; `own` are a project's own fonts. */
export const familyName = (id: string, own: readonly { sha: string; name: string }[] = []): string =>
  FAMILIES.find((family) => family.id === id)?.name ??
  own.find(({ sha }) => ownFamily(sha) === id)?.name ??
  'A font not here';

export const isFamily = (id: string | undefined): boolean =>
  id === undefined || OWN.test(id) || FAMILIES.some((family) => family.id === id);

/** The font files of a family, in order of preference. */
export const fontsOf = (id: string): readonly string[] =>
  shaOfFamily(id) ? [id] : (FAMILIES.find((family) => family.id === id) ?? FAMILIES.at(-1)!).fonts;

/** Every font file the families name, once each. */
export const FONT_FILES: readonly string[] = FAMILIES.flatMap((family) => family.fonts);

/** Fonts that are opened only for the characters they alone have: scripts beside Latin, and small pictures in outline. */
const FALLBACKS: readonly { font: string; has: RegExp }[] = [
  { font: 'noto-sans-hebrew-hebrew-400-normal', has: /[\u0590-\u05ff\ufb1d-\ufb4f]/ },
  {
    font: 'noto-naskh-arabic-arabic-400-normal',
    has: /[\u0600-\u06ff\u0750-\u077f\u08a0-\u08ff\ufb50-\ufdff\ufe70-\ufefc]/,
  },
  { font: 'noto-emoji-emoji-400-normal', has: /(?![0-9#*©®])\p{Emoji}/u },
];

export const FALLBACK_FILES: readonly string[] = FALLBACKS.map(({ font }) => font);

/** The fallback fonts a text has use for. */
export const fallbacksFor = (text: string): string[] =>
  FALLBACKS.filter(({ has }) => has.test(text)).map(({ font }) => font);
