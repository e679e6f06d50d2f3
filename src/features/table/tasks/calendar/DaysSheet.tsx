'use client';
/** Days to remember: typed or pasted line by line, listed by the year, taken out again. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconCalendarDown, IconCalendarUp, IconTrash } from '@tabler/icons-react';
import { useMemo, useRef, useState } from 'react';
import { EVENT_KINDS, MOST_EVENTS, type DayEvent, type EventKind } from '@/core/calendar/events';
import { heldSays } from '@/core/piece/held';
import type { ReadDays } from '@/core/calendar/typed';
import { languageOf } from '@/core/product';
import { shortened } from '@/core/text/named';
import { newId } from '@/features/shared/ids';
import * as days from '@/features/table/acts/days';
import { HolidayControls } from '@/features/table/tasks/calendar/HolidayControls';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';

const NONE: readonly DayEvent[] = [];

/** In the order of the year; what has no day of its own stands where its month begins. */
const inOrder = (events: readonly DayEvent[]): DayEvent[] =>
  [...events].sort(
    (a, b) => a.month - b.month || (a.day ?? 0) - (b.day ?? 0) || a.name.localeCompare(b.name),
  );

export function DaysSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const events = useSession(({ history }) => history.project.events ?? NONE);
  const readOnly = useSession((session) => session.readOnly);
  const sorted = useMemo(() => inOrder(events), [events]);
  return (
    <SideSheet title="Days to remember" onClose={onClose}>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        Months tell of them wherever they are, with ages where the year is known.
      </Typography>
      {!readOnly && <Adding room={MOST_EVENTS - events.length} />}
      <Box sx={{ mt: 2 }}>
        <HolidayControls />
      </Box>
      <Files count={events.length} readOnly={readOnly} />
      <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mt: 2, mb: 0.5 }}>
        {events.length ? `${events.length} ${events.length === 1 ? 'day' : 'days'}` : 'None yet'}
      </Typography>
      <Box component="ul" aria-label="Days to remember" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {sorted.map((event) => (
          <Box
            component="li"
            key={event.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              borderBottom: '1px dotted',
              borderColor: 'divider',
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0, py: 0.5 }}>
              <Typography variant="body2" noWrap sx={{ fontWeight: 600 }}>
                {event.name}
              </Typography>
              <Typography variant="caption" color="text.secondary">
                {dayInWords(event)}
              </Typography>
            </Box>
            <IconButton
              size="small"
              color="inherit"
              disabled={readOnly}
              aria-label={`Take out ${event.name}`}
              title="Take it out"
              onClick={() => days.forgetDays(store, [event])}
            >
              <IconTrash size={17} />
            </IconButton>
          </Box>
        ))}
      </Box>
    </SideSheet>
  );
}

/** `Birthday, 3 August, born 2018` */
function dayInWords({ kind, year, ...on }: DayEvent): string {
  const since = year === undefined ? '' : kind === 'once' ? ` ${year}` : `, since ${year}`;
  return `${EVENT_KINDS[kind].name}, ${heldSays(on)}${since}`;
}

function Adding({ room }: { room: number }) {
  const { store } = useRoom();
  const language = useSession(({ history }) => languageOf(history.project.product));
  const [text, setText] = useState('');
  const [kind, setKind] = useState<EventKind>('birthday');
  const [refused, setRefused] = useState<ReadDays['refused']>([]);
  const put = () => {
    const monthFirst = navigator.language === 'en-US';
    const { taken, left } = days.daysTyped(text, room, { kind, language, monthFirst });
    if (taken.length)
      days.remember(
        store,
        taken.map((event) => ({ ...event, id: newId() })),
        says(taken.length),
      );
    setRefused(left);
    // What could not be put in stays, to be put right.
    setText(left.map(({ line }) => line).join('\n'));
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <TextField
        label="A name and a date, each on a line"
        multiline
        minRows={3}
        maxRows={9}
        value={text}
        placeholder={'Ada 3 August 2018\nFly-in, last Saturday of May'}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) put();
        }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, maxLength: 200_000 } }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr auto', gap: 1 }}>
        <Chosen
          label="They are"
          value={kind}
          all={(Object.keys(EVENT_KINDS) as EventKind[]).map((each) => [each, EVENT_KINDS[each].name])}
          disabled={false}
          onChoose={setKind}
        />
        <Button variant="contained" disabled={!text.trim()} onClick={put}>
          Put in
        </Button>
      </Box>
      <Box role="status" aria-live="polite">
        {refused.slice(0, 8).map(({ line, why }) => (
          <Typography key={`${line} ${why}`} variant="body2" color="warning.main">
            “{shortened(line, 40)}”: {why}.
          </Typography>
        ))}
        {refused.length > 8 && (
          <Typography variant="body2" color="warning.main">
            And {refused.length - 8} more lines.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** From other programs, and for them. */
function Files({ count, readOnly }: { count: number; readOnly: boolean }) {
  const { store } = useRoom();
  const input = useRef<HTMLInputElement>(null);
  const [told, setTold] = useState<string[]>([]);
  const take = async (files: FileList | null) => {
    const [file] = files ?? [];
    if (file) setTold(await days.daysOfFile(store, file).catch(() => ['This file could not be read.']));
  };
  return (
    <Box sx={{ mt: 1 }}>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="File with days"
        accept=".ics,.vcf,text/calendar,text/vcard"
        onChange={(event) => {
          void take(event.target.files);
          event.target.value = '';
        }}
      />
      <Button
        size="small"
        color="inherit"
        disabled={readOnly}
        startIcon={<IconCalendarDown size={18} />}
        onClick={() => input.current?.click()}
      >
        From a file (.ics, .vcf)
      </Button>
      {count > 0 && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconCalendarUp size={18} />}
          onClick={() => void days.saveDays(store)}
        >
          Save as .ics
        </Button>
      )}
      <Box role="status" aria-live="polite">
        {told.map((line) => (
          <Typography key={line} variant="body2" color="text.secondary">
            {line}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}

const says = (count: number): string | undefined => (count === 1 ? undefined : `put in ${count} days`);
