/** Ready-made projects that ship, without their pictures. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { readProject } from '@/core/project/file';
import type { Project } from '@/core/project/model';
import type { Supply } from '@/core/supplies/model';
import { ROOT } from '../node/platform';

export const { supplies }: { supplies: Supply[] } = JSON.parse(
  readFileSync(join(ROOT, 'public/house/kits.json'), 'utf8'),
);

/** What a design holds; its pictures lie beside it. Throws if it cannot be read. */
export function projectOf({ at }: Supply): Project {
  const { 'project.json': json } = unzipSync(new Uint8Array(readFileSync(join(ROOT, 'public', at!))), {
    filter: ({ name }) => name === 'project.json',
  });
  const read = readProject(new TextDecoder().decode(json));
  if (!read.ok) throw new Error(read.message);
  return read.value;
}

/** The first of a kind. */
export const shipped = (kind: Supply['kind']): Project =>
  projectOf(supplies.find((one) => one.kind === kind && one.page)!);
