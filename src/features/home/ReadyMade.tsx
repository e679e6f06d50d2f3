'use client';
/** Ready-made ones of a product, by their pictures: a press makes one's own copy. Fetched when it is first wanted. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { ProductName } from '@/core/product';
import { KINDS, readyKind, type Supply } from '@/core/supplies/model';
import { useReadyMade } from '@/features/shared/useReadyMade';

interface Props {
  product: ProductName;
  onBegin: (supply: Supply) => void;
}

export function ReadyMade({ product, onBegin }: Props) {
  const kind = readyKind(product);
  const all = useReadyMade(kind);
  if (!all) return null;
  if (!all.length)
    return (
      <Typography variant="body2" color="text.secondary">
        No {KINDS[kind].many} yet. One you made can be kept as one, at its table.
      </Typography>
    );
  return (
    <Box
      component="ul"
      aria-label={`${KINDS[kind].many.charAt(0).toUpperCase()}${KINDS[kind].many.slice(1)}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(3, 1fr)',
        alignItems: 'end',
        gap: 1.25,
        p: 0.5,
        m: 0,
        mx: -0.5,
        listStyle: 'none',
        maxHeight: 400,
        overflowY: 'auto',
        scrollbarWidth: 'thin',
      }}
    >
      {all.map(({ supply, address, kit }, i) => (
        <li key={supply.id} style={kit === all[i - 1]?.kit ? undefined : { gridColumnStart: 1 }}>
          {kit !== all[i - 1]?.kit && (
            // Over the first of its kit, as wide as three.
            <Typography
              variant="body2"
              aria-hidden
              sx={{ color: 'text.secondary', whiteSpace: 'nowrap', mt: i ? 1.5 : 0, mb: 1 }}
            >
              {kit}
            </Typography>
          )}
          <ButtonBase
            aria-label={`Begin with ${supply.name}, of ${kit}`}
            onClick={() => onBegin(supply)}
            sx={{
              display: 'block',
              width: '100%',
              borderRadius: 1,
              fontFamily: 'inherit',
              '& img': { transition: 'transform 120ms' },
              '&:hover img': { transform: 'translateY(-2px)' },
            }}
          >
            <img
              src={address}
              alt=""
              style={{
                display: 'block',
                margin: '0 auto',
                maxWidth: '100%',
                maxHeight: 112,
                boxShadow: '0 1px 2px rgba(20,14,8,0.35), 1px 3px 6px rgba(20,14,8,0.24)',
              }}
            />
            <Box
              component="span"
              sx={{ display: 'block', fontSize: 14, lineHeight: 1.25, mt: 0.75, px: 0.25 }}
            >
              {supply.name}
            </Box>
          </ButtonBase>
        </li>
      ))}
    </Box>
  );
}
