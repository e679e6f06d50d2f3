/** Finds faces in photos, here and nowhere else: the model ships with the app, nothing is sent. */
import { expose } from 'comlink';
import type { Box } from '@/core/geometry/box';
import { MOST_FACES } from '@/core/photos/faces';

/** Pixels at its longer side that a photo is looked at in; a face of a fortieth of that is still found. */
const SIDE = 416;
/** Pixels of the detector's cells; SIDE is a multiple of it. */
const CELL = 32;
/** What it says of a cell, before the logistic function, when there is surely no face. */
const NEVER = -1e4;
/** How sure the detector must be, 0 to 1. */
const SURE = 0.42;

type FaceApi = typeof import('@vladmandic/face-api/dist/face-api.esm.js');
let ready: Promise<{ api: FaceApi; net: InstanceType<FaceApi['TinyFaceDetector']> }> | undefined;

interface Tensor {
  shape: number[];
  dispose(): void;
}
/** The package's own types leave out what the tensors are made and cut with. */
interface Tensors {
  slice(of: Tensor, from: number[], size: number[]): Tensor;
  pad(of: Tensor, by: [number, number][], value: number): Tensor;
}
interface Input {
  toBatchTensor(size: number, centred: boolean): Tensor;
  getReshapedInputDimensions(index: number): { width: number; height: number };
}
interface Detector {
  forwardInput(input: Input, size: number): Tensor;
}
interface Backends {
  setWasmPaths(at: string): void;
  setBackend(name: string): Promise<boolean>;
  ready(): Promise<void>;
}

/** The detector with its weights, on WebAssembly; fetched when it is first wanted. */
async function open(at: string) {
  const api = await import('@vladmandic/face-api/dist/face-api.esm.js');
  // There is no document in a worker; pixels are handed over as numbers, so that none is needed.
  const canvas = () => new OffscreenCanvas(1, 1) as never;
  const none = class {} as never;
  api.env.setEnv({
    ...{
      Canvas: OffscreenCanvas as never,
      CanvasRenderingContext2D: OffscreenCanvasRenderingContext2D as never,
    },
    ...{ Image: none, ImageData: ImageData as never, Video: none },
    ...{ createCanvasElement: canvas, createImageElement: canvas, createVideoElement: canvas },
    ...{ fetch: fetch as never, readFile: () => Promise.reject(new Error('no files here')) },
  });
  // The package's own types leave out what chooses the backend.
  const tf = api.tf as unknown as Backends;
  tf.setWasmPaths(`${at}/`);
  await tf.setBackend('wasm');
  await tf.ready();
  const read = async (name: string) => {
    const answer = await fetch(`${at}/${name}`);
    if (!answer.ok) throw new Error(`${name} was not found`);
    return answer;
  };
  const [manifest, weights] = await Promise.all([
    read('weights.json').then((answer) => answer.json()),
    read('weights.bin').then((answer) => answer.arrayBuffer()),
  ]);
  const net = new api.TinyFaceDetector();
  net.loadFromWeightMap(api.tf.io.decodeWeights(weights, manifest[0].weights) as never);
  lookWithin(net as unknown as Detector, api.tf as unknown as Tensors);
  return { api, net };
}

/**
 * The detector looks at squares, a photo made up to one with nothing. Here it passes by that nothing, a quarter of
 * most photos, and says of its cells that no face is there: what it finds is the same.
 */
function lookWithin(net: Detector, { slice, pad }: Tensors): void {
  const whole = net.forwardInput.bind(net);
  net.forwardInput = (input, size) => {
    const square = input.toBatchTensor(size, false);
    const { width, height } = input.getReshapedInputDimensions(0);
    const [down, across] = [height, width].map((side) => Math.min(size, Math.ceil(side / CELL) * CELL));
    const photo = slice(square, [0, 0, 0, 0], [1, down!, across!, 3]);
    const part: Input = { toBatchTensor: () => photo, getReshapedInputDimensions: () => ({ width, height }) };
    const seen = whole(part, size);
    const [, rows, columns] = seen.shape as [number, number, number];
    const cells = size / CELL;
    const answer = pad(
      seen,
      [
        [0, 0],
        [0, cells - rows],
        [0, cells - columns],
        [0, 0],
      ],
      NEVER,
    );
    for (const tensor of [square, photo, seen]) tensor.dispose();
    return answer;
  };
}

/** Faces of an upright picture, as shares of its width and height, the largest first. `at` is where the model lies. */
async function find(picture: Blob, at: string): Promise<Box[]> {
  ready ??= open(at);
  ready.catch(() => (ready = undefined));
  const { api, net } = await ready;
  // Made small as it is decoded, which costs a fraction.
  const bitmap = await createImageBitmap(picture, { resizeWidth: SIDE, resizeQuality: 'medium' });
  const scale = SIDE / Math.max(bitmap.width, bitmap.height);
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  const rgb = new Int32Array(3 * width * height);
  for (let i = 0; i < width * height; i++) for (let k = 0; k < 3; k++) rgb[3 * i + k] = data[4 * i + k]!;
  const tensor = api.tf.tensor3d(rgb, [height, width, 3], 'int32');
  try {
    const found = await net.locateFaces(tensor as never, { inputSize: SIDE, scoreThreshold: SURE });
    return found
      .map(({ box }): Box => {
        const within = (value: number) => Math.min(1, Math.max(0, value));
        const [x, y] = [within(box.x / width), within(box.y / height)];
        return {
          x,
          y,
          width: within((box.x + box.width) / width) - x,
          height: within((box.y + box.height) / height) - y,
        };
      })
      .filter((box) => box.width > 0 && box.height > 0)
      .sort((a, b) => b.width * b.height - a.width * a.height)
      .slice(0, MOST_FACES);
  } finally {
    tensor.dispose();
  }
}

const finder = { find };
export type FaceFinder = typeof finder;
expose(finder);
