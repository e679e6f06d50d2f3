'use client';
/** On what a page is printed, how its colours are brought there, and what that comes to. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import type { Condition } from '@/core/press/conditions';
import { OwnProfiles } from '@/features/table/tasks/proof/OwnProfiles';
import type { ProofSettings } from '@/features/table/tasks/proof/settings';
import type { Printed } from '@/features/table/tasks/proof/usePress';
import { Chosen } from '@/ui/Chosen';

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
  const { intent } = settings;
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
          <Box sx={{ display: 'flex', flexDirection: 'column' }}>
            <Toggle name="Mark them with stripes" of="marked" {...{ settings, onChange }} />
            <Toggle name="Show the paper’s own white" of="paper" {...{ settings, onChange }} />
            <Toggle name="Black as dark as the press can" of="blackPoint" {...{ settings, onChange }} />
          </Box>
          {problem ? (
            <Alert severity="warning">{problem}</Alert>
          ) : (
            <Typography variant="body2" role="status" data-testid="proof-told">
              {printed
                ? `${inShare(printed.beyond)} of this page is beyond its reach. Most ink on one spot: ${Math.round(printed.mostInk)} %${on.mostInk ? ` of the ${on.mostInk} % it bears` : ''}.`
                : 'Working out the colours …'}
            </Typography>
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

interface ToggleProps {
  name: string;
  of: 'marked' | 'paper' | 'blackPoint';
  settings: ProofSettings;
  onChange: (change: Partial<ProofSettings>) => void;
}

const Toggle = ({ name, of, settings, onChange }: ToggleProps) => (
  <FormControlLabel
    control={<Switch checked={settings[of]} onChange={(event) => onChange({ [of]: event.target.checked })} />}
    label={name}
  />
);
