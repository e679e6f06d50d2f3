/** Who goes where at the least cost in all. */

/**
 * For each row the column it takes, every column at most once, so that the sum of costs is the least there is. `costs` holds
 * `rows` x `columns` finite numbers, row by row; there must be at least as many columns as rows (RangeError). Shortest
 * augmenting paths with prices (Kuhn 1955, Munkres 1957, in the form of Jonker & Volgenant, “A Shortest Augmenting Path
 * Algorithm for Dense and Sparse Linear Assignment Problems”, 1987, without its starting heuristics): rows² · columns steps.
 */
export function assign(costs: Float64Array, rows: number, columns: number): Int32Array {
  if (rows > columns) throw new RangeError('There must be at least as many columns as rows.');
  const rowPrice = new Float64Array(rows);
  const columnPrice = new Float64Array(columns);
  const rowOf = new Int32Array(columns).fill(-1);
  const from = new Int32Array(columns);
  const least = new Float64Array(columns);
  const done = new Uint8Array(columns);
  for (let start = 0; start < rows; start++) {
    least.fill(Infinity);
    done.fill(0);
    let row = start;
    let column = -1;
    // Columns are reached in the order of their distance until one is free.
    for (;;) {
      let near = Infinity;
      let next = -1;
      const price = rowPrice[row]!;
      const at = row * columns;
      const travelled = column < 0 ? 0 : least[column]!;
      for (let c = 0; c < columns; c++) {
        if (done[c]) continue;
        const way = travelled + costs[at + c]! - price - columnPrice[c]!;
        if (way < least[c]!) {
          least[c] = way;
          from[c] = column;
        }
        if (least[c]! < near) {
          near = least[c]!;
          next = c;
        }
      }
      column = next;
      done[column] = 1;
      if (rowOf[column]! < 0) break;
      row = rowOf[column]!;
    }
    const reached = least[column]!;
    rowPrice[start]! += reached;
    for (let c = 0; c < columns; c++)
      if (done[c] && c !== column) {
        columnPrice[c]! -= reached - least[c]!;
        rowPrice[rowOf[c]!]! += reached - least[c]!;
      }
    while (column >= 0) {
      const before = from[column]!;
      rowOf[column] = before < 0 ? start : rowOf[before]!;
      column = before;
    }
  }
  const columnOf = new Int32Array(rows);
  for (let c = 0; c < columns; c++) if (rowOf[c]! >= 0) columnOf[rowOf[c]!] = c;
  return columnOf;
}
