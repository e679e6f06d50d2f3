/** Something told at the foot of the screen. */
export interface Notice {
  text: string;
  tone?: 'success' | 'info' | 'warning' | 'error';
  action?: { label: string; run: () => void };
}
