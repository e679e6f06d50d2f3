/** All of the collection in through the door and out of every output, in batches. */
import { BATCH } from './grid';
import { openRoom } from './browser';
import { collection } from './files';
import { looked } from './seen';
import type { Row } from '../harden/report';

/** `most` files, all without; `only` those whose name fits. `say` hears of each batch. */
export async function throughEverything(
  { most, only }: { most?: number; only?: RegExp },
  say: (line: string) => void = () => {},
): Promise<Row> {
  const entries = await collection(most, only);
  const room = await openRoom();
  const faults: string[] = [];
  let [worst, cameIn, refused] = [0, 0, 0];
  try {
    for (let from = 0; from < entries.length; from += BATCH) {
      const these = entries.slice(from, from + BATCH);
      const batch = String(from / BATCH);
      const went = await room.through(batch, these);
      const found = await looked(batch, these, went);
      const out = went.files.filter((file) => 'refused' in file).length;
      refused += out;
      cameIn += these.length - out;
      faults.push(...found.faults);
      worst = Math.max(worst, found.worst);
      say(`${from + these.length} of ${entries.length}: ${found.faults.length} faults`);
      found.faults.forEach((fault) => say(fault));
    }
  } finally {
    await room.close();
  }
  return {
    ...{ attack: 'the collection, through every output', tries: entries.length, faults },
    seen: `${cameIn} came in, ${refused} refused in words, colours off by ${worst.toFixed(1)} of 255 at most`,
  };
}
