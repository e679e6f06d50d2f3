/** Colours as a press prints them, beside the page: a profile is opened once and stays. */
import { expose, transfer } from 'comlink';
import type { Condition } from '@/core/press/conditions';
import { heavyPlaces, type HeavyPlace } from '@/core/press/heavy';
import { lookedAt, type Looked, type LookedFor } from '@/core/press/look';
import { openPress, type Press, type ProofHow } from '@/core/press/press';
import { fail, ok, type Result } from '@/core/result';
import { lcmsAt } from '@/workers/beside';
import { bytesAt } from '@/workers/fetched';

/** A condition, and where its profile is to be had: `own`, or in the folder of those that ship. */
export interface Paper extends Pick<Condition, 'id' | 'file'> {
  own: Blob | null;
  folder: string;
}

/** Pixels as RGBA. */
interface Pixels {
  data: Uint8ClampedArray;
  width: number;
  /** In Display P3 in place of sRGB. */
  wide: boolean;
}

const open = new Map<string, Promise<Result<Press>>>();

const opened = async ({ file, own, folder }: Paper): Promise<Result<Press>> =>
  openPress(own ? new Uint8Array(await own.arrayBuffer()) : await bytesAt(`${folder}/${file}`), () =>
    lcmsAt(folder),
  );

async function pressOf(paper: Paper): Promise<Result<Press>> {
  const { id } = paper;
  if (!open.has(id)) open.set(id, opened(paper));
  return open.get(id)!.catch((error: Error) => {
    open.delete(id);
    throw error;
  });
}

/** Pixels as a condition prints them, with what is to be told of them. */
async function look(paper: Paper, { data, width, wide }: Pixels, how: LookedFor): Promise<Result<Looked>> {
  const press = await pressOf(paper);
  if (!press.ok) return fail(press.message);
  const looked = lookedAt(press.value, data, width, { ...how, wide });
  return transfer(ok(looked), [looked.pixels.buffer]);
}

/** Where more than `most` percent of ink would lie; nowhere with a profile that cannot be read, which is told where the page is shown. */
async function heavy(
  paper: Paper,
  { data, width, wide }: Pixels,
  how: ProofHow,
  most: number,
): Promise<HeavyPlace[]> {
  const press = await pressOf(paper);
  return press.ok ? heavyPlaces(press.value, data, width, how, most, wide) : [];
}

const room = { look, heavy };
export type PressRoom = typeof room;
expose(room);
