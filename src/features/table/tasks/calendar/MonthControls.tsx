'use client';
/** How a month is set: its layout, its names, its sizes, its inks; given to all months by one press. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconCalendarPlus, IconCalendarRepeat } from '@tabler/icons-react';
import { useMemo } from 'react';
import { FIRST_YEAR, LAST_YEAR, type Weekday } from '@/core/dates/days';
import { monthNames, weekdayNames } from '@/core/dates/names';
import {
  LEAST_PART,
  MONTH_INKS,
  MOST_PART,
  WIDEST_RULE,
  type MonthInks,
  type MonthLetters,
  type MonthMaterial,
} from '@/core/piece/material/month/model';
import { LAYOUTS } from '@/core/piece/material/month/layouts';
import type { Piece } from '@/core/piece/piece';
import { stylesOf } from '@/core/project/edits/styles';
import { FAMILIES } from '@/core/text/families';
import { formatLength, type Unit } from '@/core/units/lengths';
import { lettersIn } from '@/core/text/letters';
import * as act from '@/features/table/acts';
import { InkSwatch } from '@/features/table/parts/inks/InkField';
import { measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';
import { MonthDays } from '@/features/table/tasks/calendar/MonthDays';
import { MonthWording } from '@/features/table/tasks/calendar/MonthWording';
import { LengthField } from '@/ui/LengthField';
import { RowSlider } from '@/ui/RowSlider';

interface Props {
  piece: Piece;
  material: MonthMaterial;
  unit: Unit;
}

const INKS: Record<keyof MonthInks, string> = {
  numbers: 'Numbers',
  free: 'Free days',
  heads: 'Weekdays',
  title: 'Name of the month',
  rules: 'Rules',
  beside: 'Days beside',
  notes: 'What days are',
};

const SIZES = [
  ['numberScale', 'Numbers'],
  ['headScale', 'Weekdays'],
  ['titleScale', 'Name'],
  ['noteScale', 'Notes'],
] as const;

/** Text styles among the families. */
const STYLE = 'style ';

export function MonthControls({ piece, material, unit }: Props) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const others = useSession(({ history }) => act.alikeMonths(history.project, piece).length);
  const set = (to: Partial<MonthMaterial>) => act.changeMonth(store, piece.id, to);
  const { layout, follows, year, month, perpetual, title, free } = material;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 10px' }}>
      <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>
        <Chosen
          label="Days are set in"
          value={layout}
          all={(Object.keys(LAYOUTS) as MonthMaterial['layout'][]).map((id) => [
            id,
            `${LAYOUTS[id].name}: ${LAYOUTS[id].says}`,
          ])}
          disabled={readOnly}
          onChoose={(layout) => set({ layout })}
        />
      </Box>
      {follows === undefined && (
        <>
          <Chosen
            label="Month"
            value={month}
            all={monthNames('en').map((name, i) => [i + 1, name])}
            disabled={readOnly}
            onChoose={(month) => set({ month })}
          />
          {!perpetual && (
            <LengthField
              label="Year"
              disabled={readOnly}
              shown={String(year)}
              read={wholeWithin(FIRST_YEAR, LAST_YEAR)}
              onCommit={(year) => set({ year })}
            />
          )}
        </>
      )}
      <Chosen
        label="Above it"
        value={title}
        all={[
          ['none', 'Nothing'],
          ['month', 'Its name'],
          ['both', 'Name and year'],
        ]}
        disabled={readOnly}
        onChoose={(title) => set({ title })}
      />
      <Weeks {...{ material, unit, set }} disabled={readOnly} />
      <Lettering {...{ material, set }} disabled={readOnly} />
      <MonthDays piece={piece} material={material} disabled={readOnly} />
      <MonthWording key={piece.id} {...{ piece, material }} disabled={readOnly} />
      {!perpetual && <FreeDays free={free} disabled={readOnly} onChange={(free) => set({ free })} />}
      {!perpetual && (
        <Box sx={{ gridColumn: '1 / -1', display: 'grid', justifyItems: 'start' }}>
          {([-1, 1] as const).map((after) => (
            <Button
              key={after}
              size="small"
              color="inherit"
              disabled={readOnly}
              startIcon={<IconCalendarPlus size={18} />}
              onClick={() => act.layMonth(store, after)}
            >
              The month {after < 0 ? 'before' : 'after'}, small
            </Button>
          ))}
        </Box>
      )}
      <Button
        size="small"
        color="inherit"
        disabled={readOnly || !others}
        startIcon={<IconCalendarRepeat size={18} />}
        onClick={() => act.lookAlike(store, piece)}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        {others === 1 ? 'The other month alike' : `All ${others} other months alike`}
      </Button>
    </Box>
  );
}

interface PartProps {
  material: MonthMaterial;
  disabled: boolean;
  set: (to: Partial<MonthMaterial>) => void;
}

/** What stands above its days, how its weeks are set, its rules. */
function Weeks({ material, unit, disabled, set }: PartProps & { unit: Unit }) {
  const { layout, perpetual, headLength, beside, sixth, weekNumbers, ruleWidth } = material;
  const { weeks } = LAYOUTS[layout];
  return (
    <>
      {!perpetual && (
        <Chosen
          label="Weekdays"
          value={headLength}
          all={[
            ['none', 'Not named'],
            ['narrow', 'A letter'],
            ['short', 'Short'],
            ['long', 'In full'],
          ]}
          disabled={disabled}
          onChoose={(headLength) => set({ headLength })}
        />
      )}
      {weeks && (
        <Chosen
          label="Six weeks"
          value={sixth}
          all={[
            ['split', 'Two days in a box'],
            ['grow', 'A row more'],
            ['six', 'Six rows always'],
          ]}
          disabled={disabled}
          onChoose={(sixth) => set({ sixth })}
        />
      )}
      <LengthField
        label="Rules"
        unit={unit}
        disabled={disabled}
        shown={formatLength(ruleWidth, unit)}
        read={measureWithin(unit, 0, WIDEST_RULE)}
        onCommit={(ruleWidth) => set({ ruleWidth })}
      />
      {weeks && (
        <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column' }}>
          <Turned
            label="Days of the months beside it"
            on={beside === 'shown'}
            disabled={disabled}
            onTurn={(on) => set({ beside: on ? 'shown' : 'none' })}
          />
          <Turned
            label="Numbers of weeks"
            on={Boolean(weekNumbers)}
            disabled={disabled}
            onTurn={(on) => set({ weekNumbers: on || undefined })}
          />
        </Box>
      )}
    </>
  );
}

/** Letters, their sizes, and the inks of everything. */
function Lettering({ material, disabled, set }: PartProps) {
  const { inks } = material;
  const own = useSession(({ history }) => history.project.styles);
  const styles = useMemo(() => stylesOf(own ? { styles: own } : {}), [own]);
  const families = [
    ...FAMILIES.map(({ id, name }) => [id, name] as const),
    ...styles.map(({ id, name }) => [`${STYLE}${id}`, `As ${name}`] as const),
  ];
  /** In a family plainly, or as a text style is. */
  const written = (id: string): MonthLetters => {
    const style = styles.find((each) => `${STYLE}${each.id}` === id);
    return style ? act.lettersOf(style) : { family: id };
  };
  return (
    <>
      <Chosen
        label="Letters of numbers"
        value={material.numbers.family}
        all={families}
        disabled={disabled}
        onChoose={(id) => set({ numbers: written(id) })}
      />
      <Chosen
        label="Letters of names"
        value={material.heads.family}
        all={families}
        disabled={disabled}
        onChoose={(id) => set({ heads: written(id) })}
      />
      <Box sx={{ gridColumn: '1 / -1' }}>
        {SIZES.map(([key, label]) => (
          <RowSlider
            key={key}
            label={label}
            least={LEAST_PART * 100}
            most={MOST_PART * 100}
            value={Math.round(material[key] * 100)}
            spoken={(value) => `${value} percent`}
            disabled={disabled}
            onChange={(value) => set({ [key]: value / 100 })}
          />
        ))}
      </Box>
      <Box
        component="ul"
        aria-label="Inks of the month"
        sx={{ gridColumn: '1 / -1', p: 0, m: 0, listStyle: 'none' }}
      >
        {MONTH_INKS.map((name) => (
          <Box component="li" key={name} sx={{ display: 'flex', alignItems: 'center', gap: 1.25, py: 0.25 }}>
            <InkSwatch
              label={INKS[name]}
              colour={inks[name]}
              disabled={disabled}
              onChange={(colour) => set({ inks: { ...inks, [name]: colour } })}
            />
            <Typography variant="body2">{INKS[name]}</Typography>
          </Box>
        ))}
      </Box>
    </>
  );
}

function FreeDays({
  free,
  disabled,
  onChange,
}: {
  free: readonly Weekday[];
  disabled: boolean;
  onChange: (free: Weekday[]) => void;
}) {
  return (
    <Box role="group" aria-label="Free weekdays" sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Free weekdays
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        {weekdayNames('en', 'short').map((name, i) => {
          const day = (i + 1) as Weekday;
          const on = free.includes(day);
          return (
            <Button
              key={name}
              size="small"
              color={on ? 'primary' : 'inherit'}
              variant={on ? 'contained' : 'outlined'}
              disabled={disabled}
              aria-pressed={on}
              onClick={() => onChange(on ? free.filter((each) => each !== day) : [...free, day].sort())}
              sx={{ minWidth: 0, flex: 1, px: 0 }}
            >
              {lettersIn(name).slice(0, 2).join('')}
            </Button>
          );
        })}
      </Box>
    </Box>
  );
}
