'use client';
/** The holidays of a country, each to be called otherwise or taken out. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconEye, IconEyeOff } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import type { Place } from '@/core/calendar/holiday-data';
import { LONGEST_HOLIDAY, type Holiday, type Holidays } from '@/core/calendar/holidays';
import { heldSays } from '@/core/piece/held';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';
import { useTyped } from '@/ui/useTyped';

const NOWHERE = 'none';
const ALL_OF_IT = 'all';

export function HolidayControls() {
  const { store } = useRoom();
  const holidays = useSession(({ history }) => history.project.holidays);
  const readOnly = useSession((session) => session.readOnly);
  const [data, setData] = useState<{ countries: Place[]; states(country: string): Place[] } | null>(null);
  const [problem, setProblem] = useState(false);
  useEffect(() => {
    let gone = false;
    void import('@/core/calendar/holiday-data')
      .then(({ countries, statesOf }) => !gone && setData({ countries: countries(), states: statesOf }))
      .catch(() => !gone && setProblem(true));
    return () => {
      gone = true;
    };
  }, []);
  if (problem)
    return <Typography variant="body2">The holidays could not be fetched. Open this sheet again.</Typography>;
  if (!data) return <Typography variant="body2">Fetching what is known of holidays …</Typography>;
  const states = holidays ? data.states(holidays.country) : [];
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Chosen
        label="Holidays of"
        value={holidays?.country ?? NOWHERE}
        all={[[NOWHERE, 'No country'], ...data.countries.map(({ id, name }) => [id, name] as const)]}
        disabled={readOnly}
        onChoose={(country) => void act.keepHolidays(store, country === NOWHERE ? null : { country })}
      />
      {holidays && states.length > 0 && (
        <Chosen
          label="A part of it"
          value={holidays.state ?? ALL_OF_IT}
          all={[[ALL_OF_IT, 'All of it'], ...states.map(({ id, name }) => [id, name] as const)]}
          disabled={readOnly}
          onChoose={(state) =>
            void act.keepHolidays(store, {
              country: holidays.country,
              ...(state === ALL_OF_IT ? {} : { state }),
            })
          }
        />
      )}
      {holidays && <List holidays={holidays} disabled={readOnly} />}
    </Box>
  );
}

/** Those of the first year, each once. */
function List({ holidays, disabled }: { holidays: Holidays; disabled: boolean }) {
  const { store } = useRoom();
  const { days, out } = holidays;
  const first = days.filter(
    ({ year, rule }, i) => year === days[0]!.year && days.findIndex((day) => day.rule === rule) === i,
  );
  const set = (to: Partial<Holidays>, label: string) =>
    act.changeHolidays(store, { ...holidays, ...to }, label);
  return (
    <Box
      component="ul"
      aria-label="Holidays"
      sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 0.75 }}
    >
      {first.map((day) => {
        const kept = !out.includes(day.rule);
        return (
          <Box component="li" key={day.rule} sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
            <NameField
              day={day}
              shown={holidays.names[day.rule] ?? day.name}
              disabled={disabled || !kept}
              onName={(name) => {
                const { [day.rule]: _, ...others } = holidays.names;
                set(
                  { names: name === day.name || !name ? others : { ...others, [day.rule]: name } },
                  `rename ${day.name}`,
                );
              }}
            />
            <IconButton
              size="small"
              color="inherit"
              disabled={disabled}
              aria-pressed={!kept}
              aria-label={kept ? `Take out ${day.name}` : `Put ${day.name} back`}
              title={kept ? 'Take it out' : 'Put it back'}
              onClick={() =>
                set(
                  { out: kept ? [...out, day.rule] : out.filter((rule) => rule !== day.rule) },
                  kept ? `take out ${day.name}` : `put ${day.name} back`,
                )
              }
            >
              {kept ? <IconEye size={17} /> : <IconEyeOff size={17} />}
            </IconButton>
          </Box>
        );
      })}
      {out.length > 0 && (
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          onClick={() => set({ out: [] }, 'put all holidays back')}
        >
          Put all back
        </Button>
      )}
    </Box>
  );
}

interface NameProps {
  day: Holiday;
  shown: string;
  disabled: boolean;
  onName: (name: string) => void;
}

function NameField({ day, shown, disabled, onName }: NameProps) {
  const { typed, type, commit, back } = useTyped((text) =>
    text.trim() === shown ? null : onName(text.trim()),
  );
  return (
    <TextField
      label={heldSays({ month: day.month, day: day.day })}
      value={typed ?? shown}
      disabled={disabled}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') back();
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_HOLIDAY } }}
      sx={{ flex: 1, minWidth: 0 }}
    />
  );
}
