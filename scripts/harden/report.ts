/** What each attack came to, as a table. */

export interface Row {
  attack: string;
  tries: number;
  /** What went against the promise; none may. */
  faults: string[];
  /** What else was counted: how many were refused, mended, how long at most. */
  seen: string;
}

export function table(rows: readonly Row[]): string {
  const cells = [
    ['attack', 'tries', 'faults', 'seen'],
    ...rows.map(({ attack, tries, faults, seen }) => [attack, String(tries), String(faults.length), seen]),
  ];
  const wide = [0, 1, 2].map((column) => Math.max(...cells.map((row) => row[column]!.length)));
  const lines = cells.map((row) =>
    row
      .map((cell, i) => (i === 1 || i === 2 ? cell.padStart(wide[i]!) : cell.padEnd(wide[i] ?? 0)))
      .join('  '),
  );
  const told = rows.flatMap(({ attack, faults }) =>
    faults.slice(0, 5).map((fault) => `FAULT  ${attack}: ${fault}`),
  );
  return [...lines, ...told].join('\n');
}
