/** libjpeg-turbo, compiled to WebAssembly (package @cornerstonejs/codec-libjpeg-turbo-8bit): of it only what is used. */
import type { EncodeGrey } from '@/output/pdf/four-scans';

export interface TurboJpeg {
  JPEGEncoder: new () => {
    /** The pixels to be filled in. */
    getDecodedBuffer(of: {
      width: number;
      height: number;
      bitsPerSample: 8;
      componentCount: 1;
      isSigned: false;
    }): Uint8Array;
    setQuality(quality: number): void;
    setProgressive(progressive: boolean): void;
    encode(): void;
    /** Of the library's own memory. */
    getEncodedBuffer(): ArrayLike<number>;
    delete(): void;
  };
}

export const greyEncoder =
  ({ JPEGEncoder }: TurboJpeg): EncodeGrey =>
  (grey, width, height, quality) => {
    const encoder = new JPEGEncoder();
    try {
      encoder
        .getDecodedBuffer({ width, height, bitsPerSample: 8, componentCount: 1, isSigned: false })
        .set(grey);
      encoder.setQuality(quality);
      encoder.setProgressive(false);
      encoder.encode();
      return new Uint8Array(encoder.getEncodedBuffer());
    } finally {
      encoder.delete();
    }
  };
