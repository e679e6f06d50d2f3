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

/** Sought last for any character its own family lacks. */
export const PLAIN_FAMILY = 'atkinson-hyperlegible-next';

export const familyById = (id: string): Family =>
  FAMILIES.find((f) => f.id === id) ?? FAMILIES[FAMILIES.length - 1]!;

/** Every font file the families name, once each. */
export const FONT_FILES: readonly string[] = FAMILIES.flatMap((f) => f.fonts);
