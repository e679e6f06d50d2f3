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
  family('caveat', 'Caveat', 'hand'),
  family('zilla-slab', 'Zilla Slab', 'slab'),
  family('special-elite', 'Special Elite', 'typewriter'),
  family('abril-fatface', 'Abril Fatface', 'display'),
  family('atkinson-hyperlegible-next', 'Atkinson Hyperlegible', 'plain'),
];

/** Sought last for any character its own family lacks. */
export const PLAIN_FAMILY = 'atkinson-hyperlegible-next';

export const familyById = (id: string): Family =>
  FAMILIES.find((f) => f.id === id) ?? FAMILIES[FAMILIES.length - 1]!;

/** Every font file the families name, once each. */
export const FONT_FILES: readonly string[] = FAMILIES.flatMap((f) => f.fonts);
