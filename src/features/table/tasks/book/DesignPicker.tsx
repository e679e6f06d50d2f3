'use client';
/** Designs of books by their covers: those of the cupboard, and the plain one. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { ReadyMadeSupply } from '@/features/shared/useReadyMade';
import { PLAIN } from '@/features/table/tasks/book/useDesign';

interface Props {
  ready: readonly ReadyMadeSupply[] | null;
  chosen: string;
  onChoose: (id: string) => void;
}

export function DesignPicker({ ready, chosen, onChoose }: Props) {
  const all = [
    ...(ready ?? []).map(({ supply, address }) => ({ id: supply.id, name: supply.name, address })),
    { id: PLAIN, name: 'Plain', address: undefined },
  ];
  return (
    <Box>
      <Typography variant="h3" component="h3" id="design-heading" sx={{ mb: 0.75 }}>
        Design
      </Typography>
      <Box
        role="group"
        aria-labelledby="design-heading"
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75 }}
      >
        {all.map(({ id, name, address }) => (
          <ButtonBase
            key={id}
            aria-pressed={id === chosen}
            onClick={() => onChoose(id)}
            sx={{
              ...{ display: 'grid', justifyItems: 'center', alignContent: 'start', gap: 0.5, p: 0.75 },
              ...{ borderRadius: 1.5, fontFamily: 'inherit', border: 2, borderColor: 'transparent' },
              '&[aria-pressed="true"]': { borderColor: 'secondary.main', bgcolor: 'action.hover' },
            }}
          >
            <Box
              sx={{
                ...{ width: 66, height: 66, overflow: 'hidden', bgcolor: '#fff' },
                boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 3px 6px rgba(20,14,8,0.2)',
              }}
            >
              {address ? (
                <img src={address} alt="" style={{ width: '100%', height: '100%', objectFit: 'cover' }} />
              ) : (
                <Box sx={{ m: '9px 9px 0', height: 38, bgcolor: '#dcd7ce' }} />
              )}
            </Box>
            <Box component="span" sx={{ fontSize: 14, lineHeight: 1.2, textAlign: 'center' }}>
              {name}
            </Box>
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
