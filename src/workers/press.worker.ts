/** Colours as a press prints them, beside the page: a profile is opened once and stays. */
import { expose, transfer } from 'comlink';
import type { Condition } from '@/core/press/conditions';
import { lookedAt, type Looked, type LookedFor } from '@/core/press/look';
import { openPress, type Press } from '@/core/press/press';
import { fail, ok, type Result } from '@/core/result';
import { lcmsAt } from '@/workers/beside';
import { bytesAt } from '@/workers/fetched';

const open = new Map<string, Promise<Result<Press>>>();

type Of = Pick<Condition, 'id' | 'file'>;

const opened = async ({ file }: Of, own: Blob | null, folder: string): Promise<Result<Press>> =>
  openPress(own ? new Uint8Array(await own.arrayBuffer()) : await bytesAt(`${folder}/${file}`), () =>
    lcmsAt(folder),
  );

/** Pixels (RGBA) as a condition prints them, with what is to be told of them. `own` is its profile, where it does not ship. */
async function look(
  of: Of,
  own: Blob | null,
  folder: string,
  pixels: Uint8ClampedArray,
  width: number,
  how: LookedFor,
): Promise<Result<Looked>> {
  const { id } = of;
  if (!open.has(id)) open.set(id, opened(of, own, folder));
  const press = await open.get(id)!.catch((error: Error) => {
    open.delete(id);
    throw error;
  });
  if (!press.ok) return fail(press.message);
  const looked = lookedAt(press.value, pixels, width, how);
  return transfer(ok(looked), [looked.pixels.buffer]);
}

const room = { look };
export type PressRoom = typeof room;
expose(room);
