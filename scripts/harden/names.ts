/** Names at their worst, through every file that is written: read by tools that are not ours, and by our own doors. */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { conditionOf } from '@/core/press/conditions';
import { readKit, writeKit } from '@/core/supplies/kit-file';
import { readProject, writeProject } from '@/core/project/file';
import { asName } from '@/core/text/named';
import { fileName } from '@/features/shared/download';
import { packProject } from '@/storage/project-file';
import { KitZip } from '@/workers/zip';
import { openZip } from '@/workers/zipped';
import { making } from '../testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../testing/samples';
import { WORST_NAMES } from '../testing/worst-names';
import type { Row } from './report';

export async function worstNames(): Promise<Row> {
  const faults: string[] = [];
  const { made, register, files, folder } = making();
  let tries = 0;
  for (const [i, [what, name]] of Object.entries(WORST_NAMES).entries()) {
    const attempt = async (doing: string, act: () => unknown) => {
      tries++;
      try {
        await act();
      } catch (error) {
        const { stderr, message } = error as Error & { stderr?: Buffer };
        faults.push(`${what}, ${doing}: ${String(stderr ?? '').slice(0, 160) || message.slice(0, 160)}`);
      }
    };
    const holds = (so: boolean, says: string) => {
      if (!so) throw new Error(says);
    };
    const zipHolds = async (blob: Blob, path: string) => {
      writeFileSync(path, new Uint8Array(await blob.arrayBuffer()));
      execFileSync('unzip', ['-tqq', path], { stdio: 'pipe' });
    };
    const asset = register(quarters(60, 40), 60, 40, { name });
    const words = name.slice(0, 400);
    const page = {
      ...laid(
        [
          { ...inkPiece('a'), name: name.slice(0, 400) },
          photoOf('b', asset, { x: 90, y: 30, width: 60, height: 40 }),
          wordsOf('c', words || 'x'),
        ],
        [asset],
      ),
      title: name.slice(0, 200),
    };
    const at = (ending: string) => `${i}.${ending}`;
    await attempt('SVG', async () => {
      const path = await made(page, { format: 'svg', ppi: 72 }, at('svg'));
      execFileSync('xmllint', ['--noout', '--nonet', path], { stdio: 'pipe' });
    });
    await attempt('PDF', async () => {
      const path = await made(page, { format: 'pdf', ppi: 72, press: conditionOf('coated') }, at('pdf'));
      execFileSync('qpdf', ['--check', path], { stdio: 'pipe' });
      const said = execFileSync('pdfinfo', ['-meta', path]);
      if (said.length) execFileSync('xmllint', ['--noout', '-'], { input: said, stdio: 'pipe' });
    });
    await attempt('OpenRaster', async () => {
      const path = await made(page, { format: 'ora', ppi: 36 }, at('ora'));
      execFileSync('unzip', ['-tqq', path], { stdio: 'pipe' });
      const stack = execFileSync('unzip', ['-p', path, 'stack.xml']);
      execFileSync('xmllint', ['--noout', '-'], { input: stack, stdio: 'pipe' });
    });
    await attempt('project file', async () => {
      const packed = await packProject(page, async (sha) => files.get(sha));
      if (!packed.ok) throw new Error(packed.message);
      await zipHolds(packed.value.blob, join(folder, at('bellagraph')));
      const read = readProject(writeProject(page));
      holds(read.ok, 'is not read again');
    });
    await attempt('zip of pages', async () => {
      const zip = openZip();
      const called = fileName(name);
      holds(called.length > 0 && called.length < 100 && !/[\\/\u0000-\u001f\u202e]/.test(called), called);
      await zip.add(`${called}.png`, new Blob([Uint8Array.from(quarters(9, 9, 'image/png'))]));
      await zipHolds(await zip.close(), join(folder, at('zip')));
    });
    await attempt('kit', async () => {
      const json = writeKit({
        kit: {
          name: name.slice(0, 120) || 'Kit',
          description: name.slice(0, 2000),
          author: '',
          licence: '',
          tags: [],
        },
        supplies: [{ kind: 'embellishment', name: name.slice(0, 200) || 'Kite', file: 'kite.png', tags: [] }],
      });
      const zip = zipSync({ 'kit.json': strToU8(json), 'kite.png': quarters(9, 9, 'image/png') });
      const read = readKit(json);
      // What has nothing to be seen in its name is refused in words.
      holds(read.ok || !asName(name, 120), read.ok ? '' : read.message);
      if (read.ok) {
        const [supply] = read.value.supplies;
        holds(supply!.name === asName(supply!.name, 200), 'keeps what is not shown');
      }
      await KitZip.open(new Blob([zip as Uint8Array<ArrayBuffer>]));
    });
  }
  return {
    attack: 'names at their worst, in every file',
    tries,
    faults,
    seen: 'xmllint, qpdf, unzip, our own doors',
  };
}
