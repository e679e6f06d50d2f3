'use client';
/** On what a page is printed, how its colours are brought there, and what that comes to. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconChevronDown, IconChevronRight } from '@tabler/icons-react';
import { useState } from 'react';
import type { Condition } from '@/core/press/conditions';
import { OwnProfiles } from '@/features/table/tasks/proof/OwnProfiles';
import { INK_LIMITS, type ProofSettings } from '@/features/table/tasks/proof/settings';
import type { Printed } from '@/features/table/tasks/proof/usePress';
import { Chosen } from '@/ui/Chosen';
import { Turned } from '@/ui/Turned';

interface Props {
  settings: ProofSettings;
  conditions: readonly Condition[];
  /** The one it is printed under. */
  on: Condition | null;
  printed: Printed | null;
  problem: string | null;
  onChange: (change: Partial<ProofSettings>) => void;
}

export function HowProofed({ settings, conditions, on, printed, problem, onChange }: Props) {
  const { intent, mostInk } = settings;
  const [more, setMore] = useState(false);
  const most = mostInk ?? on?.mostInk;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <Chosen
        label="Printed on"
        value={on?.id ?? 'none'}
        all={[
          ['none', 'No press: as on the screen'],
          ...conditions.map(({ id, name }) => [id, name] as const),
        ]}
        disabled={false}
        onChoose={(next) => onChange({ condition: next })}
      />
      <OwnProfiles onBrought={(sha) => onChange({ condition: sha })} />
      {on && (
        <>
          <Typography variant="body2" color="text.secondary">
            {on.file ? `${on.says}. Measured as ${on.data}.` : 'Brought in; it travels with the project.'}
          </Typography>
          {problem ? (
            <Alert severity="warning">{problem}</Alert>
          ) : (
            <Typography variant="body2" role="status" data-testid="proof-told">
              {printed
                ? `${inShare(printed.beyond)} of this page is beyond its reach. Most ink on one spot: ${Math.round(printed.mostInk)} %${most ? ` of ${most} %` : ''}.`
                : 'Working out the colours …'}
            </Typography>
          )}
          <Button
            size="small"
            color="inherit"
            aria-expanded={more}
            startIcon={more ? <IconChevronDown size={18} /> : <IconChevronRight size={18} />}
            onClick={() => setMore(!more)}
            sx={{ alignSelf: 'flex-start', ml: -0.5 }}
          >
            How colours are brought there
          </Button>
          {more && (
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25, pt: 0.5 }}>
              <Chosen
                label="Colours no press reaches"
                value={intent}
                all={[
                  ['relative', 'Nearest ones; all others stay'],
                  ['perceptual', 'All eased in together'],
                ]}
                disabled={false}
                onChoose={(next) => onChange({ intent: next })}
              />
              <Chosen
                label="Ink the shop takes on one spot"
                value={String(mostInk ?? null)}
                all={[
                  ['null', on.mostInk ? `What this paper bears: ${on.mostInk} %` : 'It did not say'],
                  ...INK_LIMITS.filter((most) => most !== on.mostInk).map(
                    (most) => [String(most), `Up to ${most} %`] as const,
                  ),
                ]}
                disabled={false}
                onChoose={(next) => onChange({ mostInk: next === 'null' ? null : Number(next) })}
              />
              <Box sx={{ display: 'flex', flexDirection: 'column' }}>
                <Turned
                  label="Mark them with stripes"
                  on={settings.marked}
                  disabled={false}
                  onTurn={(marked) => onChange({ marked })}
                />
                <Turned
                  label="Show the paper’s own white"
                  on={settings.paper}
                  disabled={false}
                  onTurn={(paper) => onChange({ paper })}
                />
                <Turned
                  label="Black as dark as the press can"
                  on={settings.blackPoint}
                  disabled={false}
                  onTurn={(blackPoint) => onChange({ blackPoint })}
                />
              </Box>
            </Box>
          )}
        </>
      )}
    </Box>
  );
}

/** `None`, `0.4 %`, `12 %`. */
const inShare = (share: number): string =>
  share === 0
    ? 'None'
    : share < 0.0005
      ? 'Less than 0.1 %'
      : `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
