/** Marking what shall be cut out of a supply, and cutting it: the supply gets a new picture, the old file stays as it was. */
import { useEffect, useMemo, useState } from 'react';
import { uprightSize } from '@/core/picture/asset';
import { alikeAround } from '@/core/pixels/regions';
import { trace } from '@/core/pixels/trace';
import { LOOSE_KIT, looseKit, type Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { bringIn, describeTrouble } from '@/features/shared/bringIn';
import { newId } from '@/features/shared/ids';
import { readablePictureOf } from '@/features/shared/supplyFiles';
import { pngWithDensity } from '@/output/pixels/density';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

interface Spot {
  /** Shares of the picture's width and height. */
  x: number;
  y: number;
}

/** What will be open is shown in this colour. */
const MARK = [47, 111, 104, 170] as const;

export function useOpenings(supply: Supply, cupboard: Cupboard, side: number) {
  const notify = useNotify();
  const [picture, setPicture] = useState<OffscreenCanvas | null>(null);
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [closeness, setCloseness] = useState(0.08);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);

  useEffect(() => {
    let gone = false;
    void (async () => {
      const found = await readablePictureOf(supply);
      if (gone) return;
      if (!found.ok) return setProblem(found.message);
      const bitmap = await createImageBitmap(found.value.blob);
      const scale = side / Math.max(bitmap.width, bitmap.height);
      const canvas = new OffscreenCanvas(
        Math.max(1, Math.round(bitmap.width * scale)),
        Math.max(1, Math.round(bitmap.height * scale)),
      );
      canvas
        .getContext('2d', { willReadFrequently: true })!
        .drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      bitmap.close();
      if (!gone) setPicture(canvas);
    })().catch((error) => !gone && setProblem(inWords(error, `${supply.name} could not be read`)));
    return () => {
      gone = true;
    };
  }, [supply, side]);

  /** 255 where it will be open. */
  const open = useMemo(() => {
    if (!picture || !spots.length) return null;
    const { width, height } = picture;
    const { data } = picture.getContext('2d')!.getImageData(0, 0, width, height);
    const values = new Uint8Array(width * height);
    for (const { x, y } of spots) {
      const cell = (share: number, count: number) => Math.min(count - 1, Math.floor(share * count));
      const region = alikeAround(data, width, height, cell(x, width), cell(y, height), closeness);
      region.values.forEach((value, i) => value && (values[i] = 255));
    }
    return { values, width, height };
  }, [picture, spots, closeness]);

  const share = useMemo(() => (open ? open.values.filter(Boolean).length / open.values.length : 0), [open]);

  const area = useMemo(() => {
    if (!open) return null;
    const canvas = new OffscreenCanvas(open.width, open.height);
    const context = canvas.getContext('2d')!;
    const image = context.createImageData(open.width, open.height);
    open.values.forEach((value, i) => value && image.data.set(MARK, 4 * i));
    context.putImageData(image, 0, 0);
    return canvas;
  }, [open]);

  /** Cuts at full size. A shipped supply stays as it is: the cut one is laid among the loose supplies. */
  async function cut(): Promise<boolean> {
    if (!open) return false;
    const failed = (text: string) => (notify({ text, tone: 'error' }), false);
    setBusy(true);
    try {
      const found = await readablePictureOf(supply);
      if (!found.ok) return failed(found.message);
      const { asset, blob } = found.value;
      const { width, height } = uprightSize(asset);
      const canvas = new OffscreenCanvas(width, height);
      const context = canvas.getContext('2d')!;
      const whole = await createImageBitmap(blob);
      context.drawImage(whole, 0, 0, width, height);
      whole.close();
      context.globalCompositeOperation = 'destination-out';
      context.fill(new Path2D(trace(open, 128, width / open.width)));
      const png = await canvas.convertToBlob({ type: 'image/png' });
      const parts = pngWithDensity(new Uint8Array(await png.arrayBuffer()), asset.ppi);
      const brought = await bringIn(
        [new File(parts as Uint8Array<ArrayBuffer>[], `${supply.name}.png`, { type: 'image/png' })],
        new AbortController().signal,
      );
      const [arrived] = brought.arrived;
      if (!arrived) return failed(describeTrouble(brought) ?? 'It could not be cut.');
      const { at: _, thumb: __, ...plain } = supply;
      const next: Supply = {
        ...plain,
        kind: supply.kind === 'embellishment' && arrived.asset.holes?.length ? 'frame' : supply.kind,
        asset: { ...arrived.asset, name: supply.name, ppi: asset.ppi },
      };
      if (supply.at) {
        await cupboard.add(looseKit(cupboard.kits, Date.now()), [
          { ...next, id: newId(), kit: LOOSE_KIT, added: Date.now() },
        ]);
        notify({
          text: `The cut ${supply.name} lies among the loose supplies; the shipped one stays whole.`,
        });
      } else {
        await cupboard.change([supply], () => next);
        notify({ text: `${supply.name} has its opening.` });
      }
      return true;
    } catch (error) {
      return failed(inWords(error, `${supply.name} was not cut`));
    } finally {
      setBusy(false);
    }
  }

  return {
    picture,
    area,
    share,
    spots,
    closeness,
    busy,
    problem,
    setCloseness,
    point: (x: number, y: number) => setSpots([...spots, { x, y }]),
    clear: () => setSpots([]),
    cut,
  };
}
