'use client';
/** What the calendar is of: one year in one field, and all that follows from it. */
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { IconCake, IconCalendarRepeat, IconPhotoDown } from '@tabler/icons-react';
import { FIRST_YEAR, LAST_YEAR } from '@/core/dates/days';
import { languagesOfDates } from '@/core/dates/languages';
import { monthNames, weekdayNames, weekStartOf } from '@/core/dates/names';
import { BINDINGS, type BindingKind } from '@/core/product/calendar/binding';
import { FORM_KINDS } from '@/core/product/calendar/form';
import { calendarIn, MOST_MONTHS, type CalendarProduct } from '@/core/product/calendar';
import * as act from '@/features/table/acts';
import { wholeWithin } from '@/features/table/parts/measures';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { InksOfMonths } from '@/features/table/tasks/calendar/InksOfMonths';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

export function CalendarSheet({ onClose }: { onClose: () => void }) {
  const calendar = useSession(({ history }) => calendarIn(history.project.product));
  return (
    <SideSheet title="The calendar" onClose={onClose}>
      {calendar ? <Settings calendar={calendar} /> : <Typography>This is no calendar.</Typography>}
    </SideSheet>
  );
}

function Settings({ calendar }: { calendar: CalendarProduct }) {
  const { store } = useRoom();
  const project = useSession(({ history }) => history.project);
  const readOnly = useSession((session) => session.readOnly);
  const { form, year, month, months, language, weekStart, cover, notes, leapDay } = calendar;
  const dated = !FORM_KINDS[form].anyYear;
  const set = (to: Partial<CalendarProduct>, label: string) => void act.changeCalendar(store, to, label);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 10px' }}>
      {dated && (
        <>
          <LengthField
            label="Year"
            disabled={readOnly}
            shown={String(year)}
            read={wholeWithin(FIRST_YEAR, LAST_YEAR)}
            onCommit={(year) => set({ year }, `date the calendar ${year}`)}
          />
          <Chosen
            label="First month"
            value={month}
            all={monthNames('en').map((name, i) => [i + 1, name])}
            disabled={readOnly}
            onChoose={(month) => set({ month }, 'change first month')}
          />
          <Typography variant="body2" color="text.secondary" sx={{ gridColumn: '1 / -1', mt: -0.5 }}>
            With it {goAlong(act.whatFollows(project), FORM_KINDS[form].one)}. Years are those of the
            Gregorian calendar, before 1582, too.
          </Typography>
          {form === 'year' ? (
            <LengthField
              label="Years"
              disabled={readOnly}
              shown={String(Math.ceil(months / 12))}
              read={wholeWithin(1, MOST_MONTHS / 12)}
              onCommit={(years) => set({ months: 12 * years }, `make it ${years * 12} months`)}
            />
          ) : (
            <LengthField
              label="Months"
              disabled={readOnly}
              shown={String(months)}
              read={wholeWithin(1, MOST_MONTHS)}
              onCommit={(months) => set({ months }, `make it ${months} months`)}
            />
          )}
          <Chosen
            label="Weeks begin on"
            value={weekStart}
            all={weekdayNames('en').map((name, i) => [i + 1, name])}
            disabled={readOnly}
            onChoose={(weekStart) =>
              set({ weekStart: weekStart as CalendarProduct['weekStart'] }, 'change first day of weeks')
            }
          />
        </>
      )}
      <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>
        <Chosen
          label="Months are called in"
          value={language}
          all={languagesOfDates().map(({ tag, name }) => [tag, name])}
          disabled={readOnly}
          onChoose={(language) =>
            set({ language, weekStart: weekStartOf(language) }, 'change language of the months')
          }
        />
      </Box>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column' }}>
        {FORM_KINDS[form].cover && (
          <Turned
            label="With a cover"
            on={Boolean(cover)}
            disabled={readOnly}
            onTurn={(on) => set({ cover: on || undefined }, on ? 'add a cover' : 'take away the cover')}
          />
        )}
        <Turned
          label="With a page for notes"
          on={Boolean(notes)}
          disabled={readOnly}
          onTurn={(on) =>
            set({ notes: on || undefined }, on ? 'add a page for notes' : 'take away the notes')
          }
        />
      </Box>
      {FORM_KINDS[form].bound && <Binding calendar={calendar} disabled={readOnly} set={set} />}
      <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>
        <Chosen
          label="Born on 29 February, told of on"
          value={leapDay}
          all={[
            ['february', '28 February in other years'],
            ['march', '1 March in other years'],
          ]}
          disabled={readOnly}
          onChoose={(leapDay) => set({ leapDay }, 'change where leap days go')}
        />
      </Box>
      <InksOfMonths inks={calendar.inks} disabled={readOnly} />
      <FillButton disabled={readOnly} />
      <Button
        color="inherit"
        size="small"
        startIcon={<IconCalendarRepeat size={18} />}
        onClick={() => store.getState().openSheet('carry')}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        Carry on to other months
      </Button>
      <Button
        color="inherit"
        size="small"
        startIcon={<IconCake size={18} />}
        onClick={() => store.getState().openSheet('days')}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        Days to remember
      </Button>
    </Box>
  );
}

/** How its leaves hang together. */
function Binding({
  calendar: { binding, form },
  disabled,
  set,
}: {
  calendar: CalendarProduct;
  disabled: boolean;
  set: (to: Partial<CalendarProduct>, label: string) => void;
}) {
  const at = binding?.at ?? 'top';
  return (
    <>
      <Chosen
        label="Bound with"
        value={binding?.by ?? 'none'}
        all={[
          ['none', 'Nothing'],
          ...Object.entries(BINDINGS).map(([kind, { name }]) => [kind as BindingKind, name] as const),
        ]}
        disabled={disabled}
        onChoose={(by) =>
          set(
            { binding: by === 'none' ? undefined : { by, at } },
            by === 'none' ? 'take away the binding' : `bind with ${BINDINGS[by].name.toLowerCase()}`,
          )
        }
      />
      {binding && binding.by !== 'hook' && !FORM_KINDS[form].panels && (
        <Chosen
          label="Bound at"
          value={at}
          all={[
            ['top', 'The top'],
            ['left', 'The left'],
          ]}
          disabled={disabled}
          onChoose={(at) => set({ binding: { ...binding, at } }, `bind at the ${at}`)}
        />
      )}
    </>
  );
}

/** Photos that wait go into the places that are empty. */
function FillButton({ disabled }: { disabled: boolean }) {
  const { store } = useRoom();
  const photos = useSession((session) => act.toFill(session).photos);
  const places = useSession((session) => act.toFill(session).places);
  if (!places) return null;
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Button
        color="inherit"
        size="small"
        disabled={disabled || !photos}
        startIcon={<IconPhotoDown size={18} />}
        onClick={() => act.fillMonths(store)}
      >
        Fill the months with photos
      </Button>
      <Typography variant="body2" color="text.secondary">
        {photos
          ? `${photos} ${photos === 1 ? 'waits' : 'wait'} for ${places} ${places === 1 ? 'place' : 'places'}, each goes to the month it was taken in.`
          : `${places} ${places === 1 ? 'place is' : 'places are'} empty: bring photos in, and they fill them by their dates.`}
      </Typography>
    </Box>
  );
}

/** `go 12 months and 13 titles` */
function goAlong({ months, words, days }: ReturnType<typeof act.whatFollows>, one: string): string {
  const many = (count: number, what: string) => (count ? [`${count} ${what}${count === 1 ? '' : 's'}`] : []);
  const all = [
    ...many(months, one === 'week' ? 'grid' : 'month'),
    ...many(words, 'title'),
    ...(days ? [`${days} ${days === 1 ? 'day' : 'days'} to remember`] : []),
  ];
  return all.length ? `go ${new Intl.ListFormat('en').format(all)}` : 'goes nothing yet';
}
