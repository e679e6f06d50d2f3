'use client';
/** Living words: what words can say of this project, what it says now, and where it is said. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconCalendarPlus, IconPlus, IconTrash } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { DAY_FORMS, isDay, type DayForm, type Fact, type Field } from '@/core/living/field';
import { FIELDS } from '@/core/living/fields';
import { livingIn, type Living } from '@/core/living/living';
import { LONGEST_FACT, LONGEST_FACT_NAME, MOST_FACTS } from '@/core/project/edits/facts';
import { newId } from '@/features/shared/ids';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useTyped } from '@/ui/useTyped';

const NO_FACTS: readonly Fact[] = [];

/** What a day looks like while it is chosen how it is written. */
const EXAMPLE = '2026-05-29';

export function LivingSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const at = useSession((session) => (act.wordsAtHand(session) ? session.mode.kind : null));
  const { facts = NO_FACTS } = project;
  const places = useMemo(() => livingIn(project), [project]);
  const usedBy = (field: Field) =>
    places.filter(({ field: { kind, fact } }) => kind === field.kind && fact === field.fact);
  const said = (kind: Field['kind']) =>
    usedBy({ kind }).length > 0 || act.saysHere(store.getState(), { kind }) !== null;
  const add = (name: string, kind: Fact['kind']) => {
    const taken = (one: string) => facts.some((fact) => fact.name === one);
    let called = name;
    for (let i = 2; taken(called); i++) called = `${name} ${i}`;
    act.know(store, { id: newId(), name: called, kind, value: '' });
  };
  return (
    <SideSheet title="Living words" onClose={onClose}>
      <Typography role="status" variant="body2" sx={{ mb: 1 }}>
        They say what is true, and change wherever they stand when it changes.{' '}
        {at === 'write'
          ? 'Put them where you write.'
          : at
            ? 'Put them at the end of the words that are selected.'
            : 'Put them on the page as words of their own.'}
      </Typography>
      <Box component="ul" aria-label="Of every project" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {(['page', 'pages', 'title', 'month', 'year'] as const).filter(said).map((kind) => (
          <Row key={kind} field={{ kind }} name={FIELDS[kind].name} used={usedBy({ kind })} />
        ))}
      </Box>
      <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mt: 1.5, mb: 1 }}>
        Known of this project
      </Typography>
      <Box component="ul" aria-label="Known of this project" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {facts.map((fact) => (
          <KnownRow key={fact.id} fact={fact} used={usedBy({ kind: 'fact', fact: fact.id })} />
        ))}
      </Box>
      {!facts.length && (
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          Nothing yet. A name or a day that is kept here is written once, and can be said on every page.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          size="small"
          color="inherit"
          disabled={readOnly || facts.length >= MOST_FACTS}
          startIcon={<IconPlus size={17} />}
          onClick={() => add('Name', 'words')}
        >
          A name
        </Button>
        <Button
          size="small"
          color="inherit"
          disabled={readOnly || facts.length >= MOST_FACTS}
          startIcon={<IconCalendarPlus size={17} />}
          onClick={() => add('Day', 'day')}
        >
          A day
        </Button>
      </Box>
    </SideSheet>
  );
}

function Row({ field, name, used }: { field: Field; name: string; used: readonly Living[] }) {
  const says = useSession((session) => act.saysHere(session, field));
  return (
    <Box component="li" sx={{ py: 0.75, borderTop: '1px dotted', borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          {name}
          <Box component="span" sx={{ display: 'block', fontSize: 14, color: 'text.secondary' }}>
            here: {says}
          </Box>
        </Box>
        <Put field={field} name={name} />
      </Box>
      <Used places={used} />
    </Box>
  );
}

function Put({ field, name }: { field: Field; name: string }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  return (
    <Button
      size="small"
      variant="outlined"
      disabled={readOnly}
      aria-label={`Put: ${name}`}
      // The words that are being written keep the caret.
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => act.putField(store, field)}
    >
      Put
    </Button>
  );
}

function KnownRow({ fact, used }: { fact: Fact; used: readonly Living[] }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const [as, setAs] = useState<DayForm>('full');
  const day = fact.kind === 'day';
  const field: Field = { kind: 'fact', fact: fact.id, ...(day && as !== 'full' ? { as } : {}) };
  return (
    <Box component="li" sx={{ py: 1, borderTop: '1px dotted', borderColor: 'divider' }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr', gap: 1 }}>
        <FactField
          label="Called"
          shown={fact.name}
          most={LONGEST_FACT_NAME}
          take={(name) =>
            name.trim() ? act.know(store, { ...fact, name: name.trim() }) : 'Give it a name to find it by.'
          }
        />
        <FactField
          label={day ? 'Day' : 'Says'}
          type={day ? 'date' : 'text'}
          shown={fact.value}
          most={LONGEST_FACT}
          take={(value) =>
            day && value && !isDay(value)
              ? 'There is no such day.'
              : act.know(store, { ...fact, value: value.trim() })
          }
        />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}>
        {day ? (
          <TextField
            select
            label="Written as"
            value={as}
            onChange={(event) => setAs(event.target.value as DayForm)}
            sx={{ flex: 1, minWidth: 0 }}
          >
            {(Object.keys(DAY_FORMS) as DayForm[]).map((form) => (
              <MenuItem key={form} value={form}>
                {DAY_FORMS[form].says(isDay(fact.value) ? fact.value : EXAMPLE)}
              </MenuItem>
            ))}
          </TextField>
        ) : (
          <Box sx={{ flex: 1 }} />
        )}
        <IconButton
          size="small"
          color="inherit"
          disabled={readOnly}
          aria-label={`Forget ${fact.name}`}
          title="Forget it: where it is said the words stay as they are"
          onClick={() => act.forget(store, fact)}
        >
          <IconTrash size={18} />
        </IconButton>
        <Put field={field} name={fact.name} />
      </Box>
      <Used places={used} />
    </Box>
  );
}

interface FactFieldProps {
  label: string;
  shown: string;
  most: number;
  type?: 'text' | 'date';
  take: (text: string) => string | null | void;
}

function FactField({ label, shown, most, type = 'text', take }: FactFieldProps) {
  const readOnly = useSession((session) => session.readOnly);
  const {
    typed,
    problem,
    type: write,
    commit,
    back,
  } = useTyped((text) => (text === shown ? null : take(text)));
  return (
    <TextField
      label={label}
      type={type}
      value={typed ?? shown}
      disabled={readOnly}
      error={problem !== null}
      helperText={problem}
      onChange={(event) => write(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') back();
      }}
      slotProps={{ htmlInput: { maxLength: most }, inputLabel: { shrink: true } }}
      sx={{ minWidth: 0 }}
    />
  );
}

/** Where it is said; one goes there by a press. */
function Used({ places }: { places: readonly Living[] }) {
  const { store } = useRoom();
  if (!places.length) return null;
  const pages = [...new Map(places.map((place) => [place.surfaceId, place])).values()];
  return (
    <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
      Said on{' '}
      {pages.slice(0, 12).map((place, i) => (
        <span key={place.surfaceId}>
          {i > 0 && ', '}
          <Link
            component="button"
            color="inherit"
            sx={{ verticalAlign: 'baseline' }}
            onClick={() => {
              act.toPageAt(store, place.surfaceId);
              store.getState().select([place.pieceId]);
            }}
          >
            {place.page}
          </Link>
        </span>
      ))}
      {pages.length > 12 && ` and ${pages.length - 12} more`}
    </Typography>
  );
}
