/** Our mark: a page corner held by a stitched seam. */
export function Mark({ size = 24 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <path d="M3 5.5 18.2 3 21 18.4 5.8 21Z" fill="var(--mui-palette-primary-main)" />
      <path
        d="M5.6 7.4 16.6 5.6 18.6 16.7 7.6 18.6Z"
        fill="none"
        stroke="var(--mui-palette-background-paper)"
        strokeWidth="1.3"
        strokeDasharray="2.4 1.7"
        strokeLinecap="round"
      />
    </svg>
  );
}
