/** What is written of the program is so: every file that is named is there, every key does what is said, every count is right. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { countries } from '@/core/calendar/holiday-data';
import { MOST_MONTHS } from '@/core/product/calendar';
import { FEWEST_PAGES, MOST_PAGES } from '@/core/product/book/settings';
import { CONDITIONS } from '@/core/press/conditions';
import { STARTS } from '@/core/product/starts';
import { FILE_VERSION } from '@/core/project/version';
import { KIT_VERSION } from '@/core/supplies/kit-file';
import { FAMILIES } from '@/core/text/families';
import { STITCH_NAMES } from '@/core/trail/thread/stitches';
import { PAINT_TIP_NAMES } from '@/core/trail/paint/tips';
import { COMMANDS } from '@/features/table/tasks';
import { HOUSE_KITS } from '../kits/kits';
import { ROOT } from '../node/platform';
import { supplies } from '../testing/shipped';

const read = (path: string): string => readFileSync(join(ROOT, path), 'utf8');
const markdown = (folder: string) => readdirSync(join(ROOT, folder)).filter((name) => name.endsWith('.md'));
const DOCS = ['README.md', ...markdown('docs').map((name) => `docs/${name}`)];
const README = read('README.md');
const ARCHITECTURE = read('docs/architecture.md');
const { scripts } = JSON.parse(read('package.json')) as { scripts: Record<string, string> };

test.each(DOCS)('%s: every link leads to something that is there', (doc) => {
  const links = [...read(doc).matchAll(/\]\(([^)\s]+)\)/g)].map(([, to]) => to!);
  for (const to of links) {
    if (/^https?:/.test(to)) continue;
    const [path, anchor] = to.split('#') as [string, string?];
    const file = path ? join(dirname(doc), path) : doc;
    expect([to, existsSync(join(ROOT, file))]).toEqual([to, true]);
    if (!anchor) continue;
    const anchors = [...read(file).matchAll(/^#+ (.+)$/gm)].map(
      ([, title]) =>
      title!.toLowerCase().replace(/[^\w\- ]/g, '').replaceAll(' ', '-'), // prettier-ignore
    );
    expect(anchors).toContain(anchor);
  }
});

/** `a/{b,c}.ts` as the two that it stands for; what is to be filled in as whatever may stand there. */
const spelt = (path: string): string[] => {
  const [, before, all, after] = /^(.*)\{([^}]+)\}(.*)$/.exec(path) ?? [];
  const each = all === undefined ? [path] : all.split(',').map((one) => `${before}${one.trim()}${after}`);
  return each.map((one) => one.replace(/<[^>]+>/g, '*'));
};
/** All there is, as paths from the root. */
const FILES = ['src', 'scripts', 'docs', 'public', 'e2e', 'bin', '.'].flatMap((folder) =>
  readdirSync(join(ROOT, folder), { recursive: folder !== '.' }).map((path) =>
    join('/', folder, String(path)),
  ),
);

/** Named whole, or by as much of its end as tells it. A star stands for the name of any file or folder. */
const isThere = (path: string): boolean => {
  const end = new RegExp(
    `/${path
      .replace(/^(\.\.?\/)+|\/$/g, '')
      .replace(/[.+?]/g, '\\$&')
      .replaceAll('*', '[^/]+')}$`,
  );
  return FILES.some((file) => end.test(file));
};

test.each(['README.md', 'docs/architecture.md'])(
  '%s: every file and folder that is named is there',
  (doc) => {
    const named = [
      ...read(doc)
        .replace(/```[^]*?```/g, '')
        .matchAll(/`([^`]+)`/g),
    ]
      .map(([, token]) => token!)
      .filter((token) => /^[\w@.<>*{},/-]+$/.test(token) && /\/|\.(tsx?|mjs|cjs|json|md)$/.test(token))
      // What a package, a file or a browser calls its own; the demo is drawn when it is built.
      .filter((token) => !/^(@|\.\w+$|\/|image\/|public\/demo\/)/.test(token));
    expect(named.length).toBeGreaterThan(40);
    expect(named.flatMap(spelt).filter((path) => !isThere(path))).toEqual([]);
  },
);

test('the diagram names the folders there are, each task among them', () => {
  const [diagram] = /```mermaid[^]*?```/.exec(ARCHITECTURE)!;
  const folders = (path: string) =>
    readdirSync(join(ROOT, path), { withFileTypes: true }).flatMap((entry) =>
      entry.isDirectory() && !entry.name.startsWith('__') ? [entry.name] : [],
    );
  const [, tasks] = /tasks: ([^"\]]+)/.exec(diagram)!;
  expect(tasks!.split(', ').sort()).toEqual(folders('src/features/table/tasks').sort());
  for (const folder of [...folders('src'), ...folders('src/features'), ...folders('src/features/table')])
    expect(diagram).toContain(folder);
});

test('every command that is written is one: npm scripts, and what lies in bin', () => {
  const named = DOCS.flatMap((doc) =>
    [...read(doc).matchAll(/npm run (?:--silent )?([\w:-]+)/g)].map(([, name]) => name!),
  );
  expect(named.length).toBeGreaterThan(5);
  for (const name of new Set(named)) expect(scripts).toHaveProperty([name]);
  for (const [, name] of README.matchAll(/\bbin\/(\w+)/g))
    expect(existsSync(join(ROOT, 'bin', name!))).toBe(true);
  // All that render can be told, it knows.
  const [render] = /npm run render -- .*/.exec(README)!;
  const source = read('scripts/render.ts') + read('scripts/node/render.ts');
  for (const [, flag] of render.matchAll(/--([a-z][\w-]*)/g)) expect(source).toContain(flag!);
});

test('every key that is written beside a name is that command’s key', () => {
  const said = [...README.matchAll(/\*([^*]+)\* \(((?:(?:Shift|Ctrl|Alt) )*[A-Z0-9])\)/g)];
  expect(said.length).toBeGreaterThan(7);
  for (const [, name, key] of said) {
    const command = COMMANDS.find(({ keys }) => keys === key);
    const words = (text: string) => text.toLowerCase().match(/\w{4,}/g) ?? [];
    const known = words(`${command?.name} ${command?.more}`);
    // By other words, too, but not by none of them.
    expect([
      name,
      key,
      words(name!).some((word) => known.some((one) => one.startsWith(word.slice(0, 4)))),
    ]).toEqual([...[name, key, true]]);
  }
  for (const [, key] of README.matchAll(/(?:puts them away|or always|three) \((\w)\)/g))
    expect(COMMANDS.some(({ keys }) => keys === key)).toBe(true);
});

const IN_WORDS = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const count = (text: string): number => {
  const [tens = '', ones = ''] = text.toLowerCase().split('-');
  const at = IN_WORDS.indexOf(text.toLowerCase());
  return tens === 'twenty'
    ? 20 + IN_WORDS.indexOf(ones)
    : tens === 'thirteen'
      ? 13
      : at >= 0
        ? at
        : Number(text.replace(',', ''));
};

test.each([
  ['families of letters', /([\w-]+) families, all under/, FAMILIES.length],
  [
    'families with other faces',
    /(\w+) of them have bold or italic/,
    FAMILIES.filter(({ faces }) => Object.keys(faces).length).length,
  ],
  ['countries with holidays', /lists of (\d+) countries/, countries().length],
  ['months of a calendar', /1 to (\d+) months/, MOST_MONTHS],
  ['the fewest pages of a book', /(\d+) to \d+ pages, hardcover/, FEWEST_PAGES],
  ['the most pages of a book', /\d+ to (\d+) pages, hardcover/, MOST_PAGES],
  ['sizes of books', /in a design: (\w+) sizes/, STARTS.book.sizes.length],
  [
    'designs of books',
    /in one of (\w+) designs of the house/,
    supplies.filter(({ kind }) => kind === 'book').length,
  ],
  ['print conditions', /of a press: (\w+) print conditions/, CONDITIONS.length],
  ['tips of paint', /comes from (\w+) tips/, PAINT_TIP_NAMES.length],
  ['stitches', /sewn in (\w+) stitches/, STITCH_NAMES.length],
] as const)('README counts right: %s', (_, says, real) => {
  const [, written] = says.exec(README)!;
  expect(count(written!)).toBe(real);
});

test('kits are called by their names, file formats by their versions', () => {
  for (const { name } of HOUSE_KITS) expect(README).toContain(name);
  expect(read('docs/file-format.md')).toContain(`# The .bellagraph file, version ${FILE_VERSION}\n`);
  expect(read('docs/file-format.md')).toContain(`Version ${FILE_VERSION} added`);
  expect(read('docs/kit-format.md')).toMatch(new RegExp(`version"?:? ${KIT_VERSION}\\b`));
});

test('a picture of each main view, fewer than twenty, each shown in the README', () => {
  const pictures = readdirSync(join(ROOT, 'docs/screenshots'));
  expect(pictures.length).toBeLessThan(20);
  for (const name of pictures) expect(README).toContain(`](docs/screenshots/${name})`);
});
