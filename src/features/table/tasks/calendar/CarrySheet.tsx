'use client';
/** What lies on this month carried on to the next or to all, each a little different if one likes. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconArrowRight, IconArrowsShuffle, IconCalendarRepeat } from '@tabler/icons-react';
import { useState } from 'react';
import { AS_IT_IS, type Carrying } from '@/core/calendar/carry';
import { calendarIn } from '@/core/product/calendar';
import { FORM_KINDS } from '@/core/product/calendar/form';
import * as carrying from '@/features/table/acts/carrying';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { Turned } from '@/ui/Turned';
import { RowSlider } from '@/ui/RowSlider';

export function CarrySheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const why = useSession(carrying.whyNotCarried);
  const all = useSession((session) => carrying.monthsToCarryTo(session, 'all').length);
  const next = useSession((session) => carrying.monthsToCarryTo(session, 'next').length);
  const count = useSession((session) => session.selection.length);
  const page = useSession(
    ({ history, surfaceId }) => history.project.surfaces.find(({ id }) => id === surfaceId)!.name,
  );
  const [how, setHow] = useState<Carrying>(AS_IT_IS);
  const set = (to: Partial<Carrying>) => setHow({ ...how, ...to });
  const one = useSession(({ history }) => {
    const calendar = calendarIn(history.project.product);
    return calendar ? FORM_KINDS[calendar.form].one : 'month';
  });
  // Another chance is for what was carried last, whatever is looked at since.
  const [last, setLast] = useState<carrying.CarriedFrom | null>(null);
  const carry = (to: carrying.CarryTo) => {
    const { surfaceId, selection } = store.getState();
    setLast({ surfaceId, selection });
    carrying.carryOn(store, to, how);
  };
  const differs = how.vary > 0 || how.shuffle || how.count;
  return (
    <SideSheet title="Carry on to other months" onClose={onClose}>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {count
          ? `${count === 1 ? 'What is selected goes' : `The ${count} selected pieces go`} where it lies to other months.`
          : `All of ${page} goes to other months, in place of their papers and things. Select pieces to carry only those.`}{' '}
        Photos, words, dates and what is held to days stay; what was carried from here before is replaced.
      </Typography>
      <RowSlider
        label="Different"
        least={0}
        most={100}
        value={Math.round(how.vary * 100)}
        spoken={(value) => `${value} percent`}
        disabled={readOnly}
        onChange={(value) => set({ vary: value / 100 })}
      />
      <Box sx={{ display: 'flex', flexDirection: 'column', mt: 1 }}>
        <Turned
          label="They change places with each other"
          on={how.shuffle}
          disabled={readOnly}
          onTurn={(shuffle) => set({ shuffle })}
        />
        <Turned
          label="Some left out, some twice"
          on={how.count}
          disabled={readOnly}
          onTurn={(count) => set({ count })}
        />
        <Turned
          label="They may lie over numbers"
          on={how.over}
          disabled={readOnly}
          onTurn={(over) => set({ over })}
        />
      </Box>
      {why && (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5 }}>
          {why}
        </Typography>
      )}
      <Box sx={{ display: 'grid', gap: 1, mt: 2 }}>
        <Button
          variant="contained"
          disabled={readOnly || why !== null}
          startIcon={<IconCalendarRepeat size={18} />}
          onClick={() => carry('all')}
        >
          To {all === 1 ? `the other ${one}` : `all ${all} other ${one}s`}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          disabled={readOnly || why !== null || !next}
          startIcon={<IconArrowRight size={18} />}
          onClick={() => carry('next')}
        >
          To the next {one}
        </Button>
        {differs && last && (
          <Button
            color="inherit"
            disabled={readOnly}
            startIcon={<IconArrowsShuffle size={18} />}
            onClick={() => {
              const again = { ...how, seed: how.seed + 1 };
              setHow(again);
              carrying.carryOn(store, 'all', again, last);
            }}
          >
            The same to all, by another chance
          </Button>
        )}
      </Box>
    </SideSheet>
  );
}
