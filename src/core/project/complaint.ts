/** Why a project, or a change of one, does not pass the door, in the words of the hobby: which thing it is, and what is wrong with it. */
import type { ValidationError } from 'yup';
import { shortened } from '@/core/text/named';

type Path = readonly string[];

/** `surfaces[0].pile[3].name` as its steps. */
export const stepsOf = (path: string): string[] => path.match(/[^.[\]"]+/g) ?? [];

const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>(
    (part, step) =>
      part !== null && typeof part === 'object' ? (part as Record<string, unknown>)[step] : undefined,
    value,
  );

/** “Tide pools” on “Page 2”. */
export function whichThing(project: unknown, path: Path): string {
  const named = (what: string, steps: Path): string => {
    const name = (at(project, steps) as { name?: unknown } | undefined)?.name;
    return typeof name === 'string' && name ? `“${shortened(name, 60)}”` : what;
  };
  const [list, , inner] = path;
  if (list === 'surfaces' && path.length > 1) {
    const page = named(`page ${Number(path[1]) + 1}`, path.slice(0, 2));
    if (inner === 'pile' && path.length > 3) return `${named('a piece', path.slice(0, 4))} on ${page}`;
    if (inner === 'groups' && path.length > 3) return `the group ${named('', path.slice(0, 4))} on ${page}`;
    return inner === 'guides' ? `a guide of ${page}` : page;
  }
  const one = path.length > 1 ? ONE_OF[list ?? ''] : undefined;
  return one ? `${one} ${named('', path.slice(0, 2))}`.trim() : 'the project';
}

const ONE_OF: Record<string, string> = {
  looks: 'the look',
  styles: 'the text style',
  fonts: 'the font',
  profiles: 'the colour profile',
  guides: 'a guide',
  assets: 'the picture',
};

/** What the steps of a path are called; the last one known is named. */
const PARTS: Record<string, string> = {
  surfaces: 'the list of pages',
  pile: 'the pile',
  groups: 'the groups it lies in',
  guides: 'the guides',
  assets: 'the list of pictures',
  looks: 'the looks',
  styles: 'the text styles',
  fonts: 'the fonts',
  profiles: 'the colour profiles',
  name: 'its name',
  title: 'its title',
  role: 'what it is',
  material: 'what it is made of',
  outline: 'its cut',
  finish: 'its finish',
  placement: 'its place',
  tucks: 'where it is tucked',
  size: 'the size of its letters',
  text: 'its words',
  between: 'what stands between its words',
  spans: 'its words in other letters',
  width: 'its width',
  height: 'its height',
  x: 'its place across',
  y: 'its place down',
  turn: 'its turn',
  bleed: 'the bleed',
  safe: 'the safe area',
  ground: 'the colour of the page',
  light: 'the page light',
  shadows: 'its shadows',
  echoes: 'its echoes',
  mats: 'its mats',
  stroke: 'its stroke',
  window: 'how the photo lies in it',
  colour: 'its ink',
  opacity: 'its opacity',
  leading: 'the distance of its lines',
  tracking: 'the room between its letters',
  events: 'the days to remember',
  holidays: 'the holidays',
  repeat: 'its rows and columns',
  letters: 'its letters',
};

const partOf = (path: Path): string | undefined =>
  path.map((step) => (Object.hasOwn(PARTS, step) ? PARTS[step] : undefined)).findLast(Boolean);

const round = (value: unknown): string =>
  typeof value === 'number' ? value.toLocaleString('en', { maximumFractionDigits: 2 }) : String(value);

/** What is wrong, as the end of a sentence that names the part. */
function wrong({ type, params, errors, path = '' }: ValidationError): string {
  const { value, min, max, more, less } = (params ?? {}) as Record<string, unknown>;
  const long = typeof value === 'string' || Array.isArray(value) ? value.length : value;
  const counted = typeof value === 'string' ? ' letters long' : '';
  if (typeof long === 'number' && Number.isFinite(long)) {
    if (type === 'min') return `would be ${round(long)}${counted}: ${round(min ?? more)} is the least`;
    if (type === 'max') return `would be ${round(long)}${counted}: ${round(max ?? less)} is the most`;
  }
  const said = errors[0] ?? '';
  // What a schema of ours says by itself is plain; what the library says is not.
  if (type && OWN.has(type))
    return said
      .replace(path, '')
      .replace(/^(this)? *(is )?/, 'is ')
      .trim();
  return 'cannot be read';
}

/** Tests whose messages are written for a person. */
const OWN = new Set(['kind', 'family', 'order', 'pixels', 'outline']);

/** As the beginning of a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The whole sentence, without its full stop. */
export function complaint(project: unknown, error: ValidationError): string {
  const path = stepsOf(error.path ?? '');
  if (error.type === 'names') return 'the list of pictures is damaged';
  const ofOne = path.length > 1 && (path[0] === 'surfaces' || Object.hasOwn(ONE_OF, path[0]!));
  return `${whichThing(project, path)}: ${partOf(path.slice(ofOne ? 2 : 0)) ?? 'it'} ${wrong(error)}`;
}
