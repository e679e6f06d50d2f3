declare module 'munkres-js' {
  /** For a square table of costs, pairs of row and column of least sum. */
  export default function munkres(table: number[][]): [number, number][];
}
