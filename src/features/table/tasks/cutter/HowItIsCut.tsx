'use client';
/** How it is cut: the mat, how closely parts lie on it, what becomes of their outlines, and the blade. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { MATS, type CutterSettings, type MatName, type Turning } from '@/core/cutter/settings';
import { fromPoints, toPoints, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  settings: CutterSettings;
  unit: Unit;
  /** Cards on paper lie as they are printed. */
  fixed: boolean;
  onChange: (change: Partial<CutterSettings>) => void;
}

const mm = (value: number) => toPoints(value, 'mm');

export function HowItIsCut({ settings, unit, fixed, onChange }: Props) {
  const printed = settings.way === 'printed';
  const length = (
    name: keyof CutterSettings,
    label: string,
    least: number,
    most: number,
    of: Unit = unit,
  ) => (
    <LengthField
      label={label}
      unit={of}
      shown={String(Number(fromPoints(settings[name] as number, of).toFixed(of === 'mm' ? 2 : 3)))}
      read={measureWithin(of, mm(least), mm(most))}
      onCommit={(value) => onChange({ [name]: value })}
    />
  );
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Group title="Cutting mat">
        <Chosen
          label="Cutting mat"
          value={settings.mat as MatName}
          all={(Object.keys(MATS) as MatName[]).map((id) => [id, MATS[id].name] as const)}
          disabled={false}
          onChoose={(mat) => onChange({ mat })}
        />
        {!printed && !fixed && (
          <>
            <Chosen
              label="May be turned"
              value={settings.turning as Turning}
              all={[
                ['any', 'Any way'],
                ['quarter', 'By quarters'],
                ['none', 'Not at all'],
              ]}
              disabled={!settings.packed}
              onChoose={(turning) => onChange({ turning })}
            />
            <Wide>
              <Turned
                label="Lay parts closely"
                on={settings.packed}
                disabled={false}
                onTurn={(packed) => onChange({ packed })}
              />
            </Wide>
            {settings.packed && (
              <>
                {length('gap', 'Between parts', 0, 50)}
                {length('edge', 'Along the edges', 0, 50)}
              </>
            )}
          </>
        )}
      </Group>
      {!fixed && (
        <Group title="Outlines">
          {printed ? (
            <Wide>{length('around', 'Cut so far around', 0, 25)}</Wide>
          ) : (
            <>
              <Wide>
                <Turned
                  label="Join what touches and is of one paper"
                  on={settings.join}
                  disabled={false}
                  onTurn={(join) => onChange({ join })}
                />
              </Wide>
              <Wide>
                <Turned
                  label="Leave out what lies hidden"
                  on={settings.hidden}
                  disabled={false}
                  onTurn={(hidden) => onChange({ hidden })}
                />
              </Wide>
              {settings.hidden && length('beneath', 'Kept beneath', 0, 50)}
              {length('bridge', 'Width of bridges', 0.2, 12)}
            </>
          )}
        </Group>
      )}
      <Group title="Lines and blade">
        <Wide>
          <Turned
            label="Cut once where lines meet"
            on={settings.once}
            disabled={false}
            onTurn={(once) => onChange({ once })}
          />
        </Wide>
        {length('tolerance', 'Simplify to', 0.01, 0.5, 'mm')}
        {length('overcut', 'Go on past the start', 0, 10, 'mm')}
        {length('blade', 'Blade trails by', 0, 2, 'mm')}
      </Group>
    </Box>
  );
}

const Wide = ({ children }: { children: ReactNode }) => (
  <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>{children}</Box>
);

const Group = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box component="section" aria-label={title}>
    <Typography variant="h3" sx={{ mb: 1.25 }}>
      {title}
    </Typography>
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 8px' }}>{children}</Box>
  </Box>
);
