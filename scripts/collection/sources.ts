/** Photos, drawings and fonts that others made, out of Debian's packages. Nothing of them is kept in the repository. */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../node/platform';

/** Everything lies here, outside git; it is made when it is missing. */
export const FOLDER = join(ROOT, '.cache', 'collection');

/** Where a package's files lie; it is downloaded and unpacked the first time, and not installed. */
export function unpackedPackage(name: string): string {
  const folder = join(FOLDER, 'packages', name);
  if (existsSync(folder)) return folder;
  const debs = join(FOLDER, 'debs');
  mkdirSync(debs, { recursive: true });
  const found = () => readdirSync(debs).find((file) => file.startsWith(`${name}_`));
  // apt writes into the folder it is called in.
  if (!found()) execFileSync('apt-get', ['download', '-qq', name], { cwd: debs, stdio: 'ignore' });
  mkdirSync(folder, { recursive: true });
  execFileSync('dpkg-deb', ['-x', join(debs, found()!), folder]);
  return folder;
}

/** Files of a package with one of these endings, by name. */
export const filesOf = (name: string, ...endings: string[]): string[] => {
  const folder = unpackedPackage(name);
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && endings.some((ending) => entry.name.toLowerCase().endsWith(ending)))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
};

/** Photos taken by people: of landscapes, flowers, a building. */
export const photos = (): string[] => [
  ...filesOf('ukui-wallpapers', '.jpg', '.jpeg'),
  ...filesOf('lomiri-wallpapers-20.04', '.jpg', '.png'),
  ...filesOf('python3-sklearn', '.jpg'),
];

/** Icons as several drawing programs wrote them. */
export const drawings = (): string[] => [
  ...filesOf('tango-icon-theme', '.svg'),
  ...filesOf('adwaita-icon-theme', '.svg'),
];
