/** Libraries that lie beside the profiles, as their own files: bundlers trip over what they do in Node. */
import type { Lcms } from '@/core/press/lcms';
import { greyEncoder, type TurboJpeg } from '@/output/pdf/grey-jpeg';
import type { EncodeGrey } from '@/output/pdf/four-scans';
import { bytesAt } from '@/workers/fetched';

/** A module of that folder, with its WebAssembly. */
async function besideIn<Module>(folder: string, name: string) {
  const [module, wasmBinary] = await Promise.all([
    import(/* webpackIgnore: true */ /* turbopackIgnore: true */ `${folder}/${name}.js`) as Promise<Module>,
    bytesAt(`${folder}/${name}.wasm`),
  ]);
  return { module, wasmBinary };
}

type Begin<Library> = (options: { wasmBinary: Uint8Array }) => Promise<Library>;

/** Little CMS. */
export async function lcmsAt(folder: string): Promise<Lcms> {
  const { module, wasmBinary } = await besideIn<{ instantiate: Begin<Lcms> }>(folder, 'lcms');
  return module.instantiate({ wasmBinary });
}

/** libjpeg-turbo. */
export async function greyJpegAt(folder: string): Promise<EncodeGrey> {
  const { module, wasmBinary } = await besideIn<{ default: Begin<TurboJpeg> }>(folder, 'jpeg');
  return greyEncoder(await module.default({ wasmBinary }));
}
