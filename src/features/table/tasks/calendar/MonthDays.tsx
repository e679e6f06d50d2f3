'use client';
/** Boxes of a month that are not as the others: weekdays on a colour or a paper, single days marked, the moon. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconTrash } from '@tabler/icons-react';
import { monthLength, type Weekday } from '@/core/dates/days';
import { weekdayNames } from '@/core/dates/names';
import { CLOCKS, type MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { InkSwatch } from '@/features/table/parts/inks/InkField';
import { PaperField } from '@/features/table/parts/PaperField';
import { numberWithin } from '@/features/table/parts/measures';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';
import { LengthField } from '@/ui/LengthField';
import type { ReactNode } from 'react';

interface Props {
  piece: Piece;
  material: MonthMaterial;
  disabled: boolean;
}

/** What a box is shaded with at first. */
const SHADE = '#f1e3c8';
const MARK = '#f6d7c3';

export function MonthDays({ piece, material, disabled }: Props) {
  const { store } = useRoom();
  const surfaceId = useSession((session) => session.surfaceId);
  const { shaded, marked, moon, perpetual, year, month } = material;
  const set = (to: Partial<MonthMaterial>) => act.changeMonth(store, piece.id, to);
  const unshaded = weekdayNames('en').flatMap((name, i) =>
    shaded.some(({ weekday }) => weekday === i + 1) ? [] : [[i + 1, name] as const],
  );
  const unmarked = Array.from(
    { length: monthLength(perpetual ? 2000 : year, month) },
    (_, i) => i + 1,
  ).filter((day) => !marked.some((each) => each.day === day));
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1.25 }}>
      {!perpetual && (
        <Listed label="Boxes of a weekday">
          {shaded.map(({ weekday, colour, asset }, i) => (
            <Row
              key={weekday}
              name={weekdayNames('en')[weekday - 1]!}
              disabled={disabled}
              onTake={() => set({ shaded: shaded.filter((each) => each.weekday !== weekday) })}
            >
              {!asset && (
                <InkSwatch
                  label={`${weekdayNames('en')[weekday - 1]}, its ink`}
                  colour={colour}
                  disabled={disabled}
                  onChange={(colour) =>
                    set({ shaded: shaded.map((each, at) => (at === i ? { weekday, colour } : each)) })
                  }
                />
              )}
              <Box sx={{ flex: 1, minWidth: 0, display: 'grid' }}>
                <PaperField
                  label={weekdayNames('en')[weekday - 1]!}
                  none="An ink"
                  paper={asset ?? null}
                  disabled={disabled}
                  onNone={() =>
                    set({ shaded: shaded.map((each, at) => (at === i ? { weekday, colour } : each)) })
                  }
                  onPaper={(paper) => act.shadeWithPaper(store, surfaceId, piece.id, weekday, paper)}
                />
              </Box>
            </Row>
          ))}
          <Adding
            label="Add a weekday"
            all={unshaded}
            disabled={disabled}
            onAdd={(weekday) => set({ shaded: [...shaded, { weekday: weekday as Weekday, colour: SHADE }] })}
          />
        </Listed>
      )}
      <Listed label="Marked days">
        {marked.map(({ day, colour }) => (
          <Row
            key={day}
            name={`Day ${day}`}
            disabled={disabled}
            onTake={() => set({ marked: marked.filter((each) => each.day !== day) })}
          >
            <InkSwatch
              label={`Day ${day}`}
              colour={colour}
              disabled={disabled}
              onChange={(colour) =>
                set({ marked: marked.map((each) => (each.day === day ? { day, colour } : each)) })
              }
            />
            <Typography variant="body2" sx={{ flex: 1 }}>
              {day}
            </Typography>
          </Row>
        ))}
        <Adding
          label="Mark a day"
          all={unmarked.map((day) => [day, String(day)] as const)}
          disabled={disabled}
          onAdd={(day) => set({ marked: [...marked, { day, colour: MARK }].sort((a, b) => a.day - b.day) })}
        />
      </Listed>
      {!perpetual && (
        <Box>
          <Turned
            label="Phases of the moon"
            on={moon !== undefined}
            disabled={disabled}
            onTurn={(on) => set({ moon: on ? hoursAhead() : undefined })}
          />
          {moon !== undefined && (
            <LengthField
              label="Clock, hours from UTC"
              disabled={disabled}
              shown={String(moon)}
              read={numberWithin(CLOCKS.least, CLOCKS.most)}
              onCommit={(moon) => set({ moon })}
            />
          )}
        </Box>
      )}
    </Box>
  );
}

/** Of this machine's clock in winter. */
const hoursAhead = (): number => 0 - new Date(2026, 0, 1).getTimezoneOffset() / 60;

const Listed = ({ label, children }: { label: string; children: ReactNode }) => (
  <Box role="group" aria-label={label} sx={{ display: 'grid', gap: 0.75 }}>
    <Typography variant="body2">{label}</Typography>
    {children}
  </Box>
);

interface RowProps {
  name: string;
  disabled: boolean;
  onTake: () => void;
  children: ReactNode;
}

const Row = ({ name, disabled, onTake, children }: RowProps) => (
  <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
    {children}
    <IconButton
      size="small"
      color="inherit"
      disabled={disabled}
      aria-label={`${name} as the others`}
      title="As the others"
      onClick={onTake}
    >
      <IconTrash size={17} />
    </IconButton>
  </Box>
);

interface AddingProps {
  label: string;
  all: readonly (readonly [number, string])[];
  disabled: boolean;
  onAdd: (which: number) => void;
}

const Adding = ({ label, all, disabled, onAdd }: AddingProps) =>
  all.length ? (
    <Chosen
      label={label}
      value={0}
      all={[[0, '…'], ...all]}
      disabled={disabled}
      onChoose={(which) => which && onAdd(which)}
    />
  ) : null;
