// Stands in, in the browser, for the Node modules that HarfBuzz and libheif ask for only when they run in Node.
export const createRequire = () => () => ({});
export default {};
