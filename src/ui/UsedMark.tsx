/** How often something is used, on the corner of its picture; a picture, as its name says the same in words (WCAG 2.5.3). */
import Box from '@mui/material/Box';

export function UsedMark({ count }: { count: number }) {
  if (!count) return null;
  return (
    <Box
      component="span"
      aria-hidden="true"
      data-count={count}
      sx={{
        '&::before': { content: 'attr(data-count)' },
        position: 'absolute',
        top: -6,
        right: -7,
        minWidth: 22,
        height: 22,
        px: 0.5,
        borderRadius: 11,
        bgcolor: 'secondary.main',
        color: 'secondary.contrastText',
        fontSize: 14,
        fontWeight: 600,
        textAlign: 'center',
        lineHeight: '22px',
        pointerEvents: 'none',
      }}
    />
  );
}

/** How often something is used, in words. */
export const usedSays = (count: number): string => (count === 1 ? 'used once' : `used ${count} times`);
