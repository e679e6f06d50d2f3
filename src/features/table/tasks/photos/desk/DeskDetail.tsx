'use client';
/** What is known of the chosen photos, and changed there for one or for all of them. */
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Rating from '@mui/material/Rating';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useId, useMemo } from 'react';
import type { Asset } from '@/core/picture/asset';
import { uprightSize } from '@/core/picture/asset';
import { LONGEST_CAPTION, LONGEST_NAME, namesIn } from '@/core/photos/notes';
import { dayInWords, secondsOf } from '@/core/photos/when';
import { plainName } from '@/core/project/create';
import { changeNotes, setTaken, shiftTaken } from '@/core/project/edits/notes';
import type { Edit } from '@/core/project/edits/edit';
import type { Project } from '@/core/project/model';
import { SOFT_PPI } from '@/core/proof/sharpness';
import { fail, ok, type Result } from '@/core/result';
import { formatSize, PRINT_PPI, type Unit } from '@/core/units/lengths';
import type { Desk } from '@/features/table/tasks/photos/desk/useDesk';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { screenBlob } from '@/storage/assets';
import { TextOnLeaving } from '@/ui/TextOnLeaving';
import { useTyped } from '@/ui/useTyped';
import { LengthField } from '@/ui/LengthField';

interface Props {
  project: Project;
  photos: readonly Asset[];
  desk: Desk;
  disabled: boolean;
  perform: (edit: Edit) => void;
  onStars: (stars: number) => void;
}

/** Photos that are shown side by side. */
const MOST_SHOWN = 4;

export function DeskDetail({ project, photos, desk, disabled, perform, onStars }: Props) {
  const shas = useMemo(() => photos.map(({ sha }) => sha), [photos]);
  const large = useThumbs(
    useMemo(() => shas.slice(0, MOST_SHOWN), [shas]),
    screenBlob,
  );
  const names = useMemo(
    () => [...new Set(project.photos.flatMap((sha) => project.assets[sha]?.notes?.people ?? []))].sort(),
    [project],
  );
  const starsId = useId();
  const [only, ...others] = photos;
  if (!only)
    return (
      <Typography color="text.secondary">
        Press a photo to see it larger and to say who is in it and where it was. Shift takes all up to the one
        that is pressed, Ctrl one more.
      </Typography>
    );
  const one = others.length === 0;
  /** What all of them say, if they say the same. */
  const common = <T,>(of: (asset: Asset) => T): T | undefined =>
    photos.every((asset) => of(asset) === of(only)) ? of(only) : undefined;
  const shared = (only.notes?.people ?? []).filter((name) =>
    photos.every(({ notes }) => notes?.people?.includes(name)),
  );
  const setPeople = (next: readonly string[]) => {
    const gone = new Set(shared.filter((name) => !next.includes(name)));
    const come = next.filter((name) => !shared.includes(name));
    perform(
      changeNotes(shas, 'people', ({ people = [] }) => [
        ...people.filter((name) => !gone.has(name)),
        ...come.filter((name) => !people.includes(name)),
      ]),
    );
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.75 }} key={shas.join()}>
      <Box
        sx={{
          display: 'grid',
          gap: 0.75,
          gridTemplateColumns: one ? '1fr' : '1fr 1fr',
          gridAutoRows: one ? 208 : 116,
        }}
      >
        {photos.slice(0, MOST_SHOWN).map((asset) => (
          <Box
            key={asset.sha}
            component="img"
            alt={plainName(asset.name)}
            src={large.get(asset.sha)}
            sx={{
              width: '100%',
              height: '100%',
              minHeight: 0,
              objectFit: 'contain',
              bgcolor: 'table.main',
              borderRadius: 1,
            }}
          />
        ))}
      </Box>
      <Box>
        <Typography variant="h3" component="h3" sx={{ overflowWrap: 'anywhere', mb: 0.25 }}>
          {one ? plainName(only.name) : `${photos.length} photos`}
        </Typography>
        {(one ? factsOf(only, project, desk) : comparedIn(photos, desk)).map((line) => (
          <Typography key={line} variant="body2" color="text.secondary">
            {line}
          </Typography>
        ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography id={starsId} variant="body2">
          Stars
        </Typography>
        <Rating
          aria-labelledby={starsId}
          value={common(({ notes }) => notes?.stars) ?? null}
          disabled={disabled}
          onChange={(_, stars) => onStars(stars ?? 0)}
          sx={{ color: 'warning.main' }}
        />
      </Box>
      {one && (
        <TextOnLeaving
          label="Caption"
          value={only.notes?.caption ?? ''}
          longest={LONGEST_CAPTION}
          lines
          disabled={disabled}
          onCommit={(caption) => perform(changeNotes(shas, 'caption', () => caption))}
        />
      )}
      <Autocomplete
        multiple
        freeSolo
        autoSelect
        size="small"
        options={names}
        value={shared}
        disabled={disabled}
        onChange={(_, next) => setPeople(next.flatMap(namesIn))}
        renderValue={(people, itemProps) =>
          people.map((name, index) => {
            const { key, ...chip } = itemProps({ index });
            return <Chip key={key} size="small" label={name} {...chip} />;
          })
        }
        renderInput={(input) => (
          <TextField {...input} label={one ? 'Who is in it' : 'Who is in all of them'} />
        )}
      />
      <TextOnLeaving
        label="Where"
        value={common(({ notes }) => notes?.place ?? '') ?? ''}
        hint={common(({ notes }) => notes?.place ?? '') === undefined ? 'at several places' : undefined}
        longest={LONGEST_NAME}
        disabled={disabled}
        onCommit={(place) => perform(changeNotes(shas, 'place', () => place))}
      />
      {one && (
        <TakenField
          value={only.taken ?? ''}
          disabled={disabled}
          onCommit={(taken) => perform(setTaken(only.sha, taken || null))}
        />
      )}
      {photos.some(({ taken }) => taken) && (
        <LengthField
          label="The clock was slow by"
          unit="hours"
          shown="0"
          read={readHours}
          disabled={disabled}
          onCommit={(hours) => perform(shiftTaken(shas, Math.round(3600 * hours)))}
        />
      )}
    </Box>
  );
}

/** A year is as far as a clock is put right. */
const MOST_HOURS = 8784;
function readHours(text: string): Result<number> {
  const hours = Number(text.replace(',', '.').trim());
  return text.trim() && Math.abs(hours) <= MOST_HOURS
    ? ok(hours)
    : fail('Hours, such as 1 or -7.5; if it was fast, below zero.');
}

/** What is known of one photo. */
function factsOf(asset: Asset, project: Project, { blurOf, isBlurred, alike }: Desk): string[] {
  const { unit } = project;
  const { width, height } = uprightSize(asset);
  const { position } = asset.notes ?? {};
  const pages = project.surfaces.filter(({ pile }) =>
    pile.some(({ material }) => 'asset' in material && material.asset === asset.sha),
  );
  const others = (alike.get(asset.sha)?.length ?? 1) - 1;
  return [
    asset.taken
      ? `${dayInWords(asset.taken)}, ${asset.taken.slice(11, 16)}`
      : 'It does not say when it was taken.',
    `${width} x ${height} pixels. ${goodSizes(asset, unit)}`,
    ...(isBlurred(asset) ? [`Blurred even where it is sharpest (${blurOf(asset)} of 1).`] : []),
    ...(others ? [`${others} ${others === 1 ? 'photo is' : 'photos are'} like it.`] : []),
    ...(position ? [positionInWords(position)] : []),
    pages.length ? `On ${pages.map(({ name }) => name).join(', ')}.` : 'On no page yet.',
  ];
}

/** How large it prints well. */
function goodSizes(asset: Asset, unit: Unit): string {
  const at = (ppi: number) => {
    const { width, height } = uprightSize(asset);
    return formatSize({ width: (72 * width) / ppi, height: (72 * height) / ppi }, unit);
  };
  return `Sharp up to ${at(PRINT_PPI)}, fair up to ${at(SOFT_PPI)}.`;
}

function positionInWords({ north, east }: { north: number; east: number }): string {
  const side = (value: number, [plus, minus]: readonly [string, string]) =>
    `${Math.abs(value).toFixed(4)}° ${value < 0 ? minus : plus}`;
  return `${side(north, ['north', 'south'])}, ${side(east, ['east', 'west'])}`;
}

/** What tells several apart. */
function comparedIn(photos: readonly Asset[], { blurOf, used }: Desk): string[] {
  const times = photos.flatMap(({ taken }) => (taken ? [secondsOf(taken)] : []));
  const apart = times.length > 1 ? Math.max(...times) - Math.min(...times) : 0;
  const measured = photos.flatMap((asset) => {
    const blur = blurOf(asset);
    return blur === undefined ? [] : [{ name: plainName(asset.name), blur }];
  });
  const sharpest = measured.sort((a, b) => a.blur - b.blur)[0];
  const waiting = photos.filter(({ sha }) => !used.has(sha)).length;
  return [
    `${waiting} ${waiting === 1 ? 'waits' : 'wait'}, ${photos.length - waiting} used.`,
    ...(apart > 0 && apart < 120 ? [`Taken within ${apart} seconds.`] : []),
    ...(sharpest && photos.length <= MOST_SHOWN ? [`The sharpest is ${sharpest.name}.`] : []),
  ];
}

function TakenField({
  value,
  disabled,
  onCommit,
}: {
  value: string;
  disabled: boolean;
  onCommit: (taken: string) => void;
}) {
  const { typed, type, commit } = useTyped((text) => {
    const taken = text.length === 16 ? `${text}:00` : text;
    if (taken !== value) onCommit(taken);
  });
  return (
    <TextField
      label="Taken"
      type="datetime-local"
      value={typed ?? value}
      disabled={disabled}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { step: 1 } }}
    />
  );
}
