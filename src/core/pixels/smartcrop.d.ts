declare module 'smartcrop' {
  interface Pixels {
    width: number;
    height: number;
    data: Uint8ClampedArray;
  }
  interface Options {
    width: number;
    height: number;
    minScale: number;
    maxScale: number;
    ruleOfThirds: boolean;
    prescale: boolean;
    imageOperations: {
      open(image: Pixels): Promise<Pixels>;
      resample(image: Pixels, width: number, height: number): Promise<Pixels>;
      getData(image: Pixels): Promise<Pixels>;
    };
  }
  interface Crop {
    x: number;
    y: number;
    width: number;
    height: number;
  }
  const smartcrop: { crop(image: Pixels, options: Options): Promise<{ topCrop: Crop }> };
  export default smartcrop;
}
