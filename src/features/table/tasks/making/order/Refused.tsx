'use client';
/** What a shop could not print, each with its cure. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconAlertTriangle } from '@tabler/icons-react';
import { useCallback } from 'react';
import type { Found } from '@/core/order/answers';
import type { OrderRow } from '@/storage/database';
import { useRoom } from '@/features/table/room/context';
import { cureFor, placeOf } from '@/features/table/tasks/making/order/cures';
import { toPageAt } from '@/features/table/acts';

interface Props {
  row: OrderRow;
  /** Something of it is shown on the table. */
  onShown: () => void;
  /** It is not wanted any more. */
  onForget: () => void;
}

export function Refused({ row, onShown, onForget }: Props) {
  const { store } = useRoom();
  const show = useCallback(
    (found: Found) => {
      const place = placeOf(store.getState(), found);
      if (!place) return;
      toPageAt(store, place.surface.id);
      store.getState().select(place.piece ? [place.piece.id] : []);
      onShown();
    },
    [store, onShown],
  );
  const { reasons = [], notes = [] } = row.state.answer ?? {};
  return (
    <Alert severity="warning" icon={false} data-testid="refused">
      <Typography sx={{ fontWeight: 600, mb: 1 }}>
        {row.shop} cannot print it yet: {reasons.length === 1 ? 'one thing' : `${reasons.length} things`} to
        mend. Nothing was ordered.
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}>
        {[...reasons, ...notes].map((found, i) => {
          const place = placeOf(store.getState(), found);
          const cure = i < reasons.length ? cureFor(store.getState(), found) : null;
          return (
            <Box component="li" key={i} sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
              <Box sx={{ color: i < reasons.length ? 'warning.main' : 'text.secondary', pt: 0.25 }}>
                <IconAlertTriangle size={18} />
              </Box>
              <Typography variant="body2" sx={{ flex: 1 }}>
                {place && <b>{[place.surface.name, place.piece?.name].filter(Boolean).join(', ')}: </b>}
                {found.says}
              </Typography>
              {cure ? (
                <Button size="small" onClick={() => cure.run(store)}>
                  {cure.says}
                </Button>
              ) : (
                place && (
                  <Button size="small" onClick={() => show(found)}>
                    Show
                  </Button>
                )
              )}
            </Box>
          );
        })}
      </Box>
      <Button size="small" color="inherit" onClick={onForget} sx={{ mt: 1 }}>
        Let it be
      </Button>
    </Alert>
  );
}
