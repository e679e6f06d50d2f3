/** How often something is used, on the corner of its picture; the name beside it says the same in words. */
import Box from '@mui/material/Box';

export function UsedMark({ count }: { count: number }) {
  if (!count) return null;
  return (
    <Box
      component="span"
      aria-hidden="true"
      sx={{
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
    >
      {count}
    </Box>
  );
}

/** How often something is used, in words. */
export const usedSays = (count: number): string => (count === 1 ? 'used once' : `used ${count} times`);
