'use client';
/** The dyes of a picture, the last one laid on top: chosen, switched, moved, taken away. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconArrowDown, IconArrowUp, IconEye, IconEyeOff, IconShield, IconTrash } from '@tabler/icons-react';
import type { Dye } from '@/core/dye/dye';
import { SmallButton } from '@/ui/SmallButton';

interface Props {
  dyes: readonly Dye[];
  chosen: string;
  disabled: boolean;
  onChoose: (id: string) => void;
  onChange: (label: string, to: (dyes: readonly Dye[]) => readonly Dye[]) => void;
}

export function DyeList({ dyes, chosen, disabled, onChoose, onChange }: Props) {
  const move = (id: string, by: 1 | -1) =>
    onChange('move a part', (before) => {
      const at = before.findIndex((dye) => dye.id === id);
      const to = at + by;
      if (at < 0 || to < 0 || to >= before.length) return before;
      const after = [...before];
      [after[at], after[to]] = [after[to]!, after[at]!];
      return after;
    });
  return (
    <Box role="list" aria-label="What is recoloured">
      {dyes.map((dye, i) => (
        <Box
          key={dye.id}
          role="listitem"
          sx={{
            display: 'flex',
            alignItems: 'center',
            borderRadius: 1.5,
            bgcolor: dye.id === chosen ? 'action.selected' : undefined,
          }}
        >
          <ButtonBase
            aria-pressed={dye.id === chosen}
            onClick={() => onChoose(dye.id)}
            sx={{
              flex: 1,
              minWidth: 0,
              justifyContent: 'flex-start',
              gap: 1,
              px: 1,
              py: 0.75,
              borderRadius: 1.5,
            }}
          >
            <Box
              sx={{
                width: 20,
                height: 20,
                flexShrink: 0,
                borderRadius: '50%',
                border: '1px solid rgba(0,0,0,0.3)',
                display: 'grid',
                placeItems: 'center',
                background:
                  dye.change.how === 'ink'
                    ? dye.change.ink
                    : dye.change.how === 'protect'
                      ? '#fffdf6'
                      : 'conic-gradient(in oklch longer hue, oklch(0.7 0.12 0), oklch(0.7 0.12 360))',
              }}
            >
              {dye.change.how === 'protect' && <IconShield size={13} color="#25232a" />}
            </Box>
            <Typography noWrap sx={{ opacity: dye.off ? 0.55 : 1 }}>
              {dye.name}
            </Typography>
          </ButtonBase>
          {dye.id === chosen && dyes.length > 1 && (
            <>
              <SmallButton
                label={`Move ${dye.name} up`}
                disabled={disabled || i === 0}
                onClick={() => move(dye.id, -1)}
              >
                <IconArrowUp size={16} />
              </SmallButton>
              <SmallButton
                label={`Move ${dye.name} down`}
                disabled={disabled || i === dyes.length - 1}
                onClick={() => move(dye.id, 1)}
              >
                <IconArrowDown size={16} />
              </SmallButton>
            </>
          )}
          <SmallButton
            label={dye.off ? `Show ${dye.name}` : `Hide ${dye.name}`}
            disabled={disabled}
            onClick={() =>
              onChange(dye.off ? 'show a part' : 'hide a part', (before) =>
                before.map((each) => {
                  if (each.id !== dye.id) return each;
                  const { off, ...rest } = each;
                  return off ? rest : { ...rest, off: true };
                }),
              )
            }
          >
            {dye.off ? <IconEyeOff size={16} /> : <IconEye size={16} />}
          </SmallButton>
          <SmallButton
            label={`Take ${dye.name} away`}
            disabled={disabled}
            onClick={() => onChange('take a part away', (before) => before.filter(({ id }) => id !== dye.id))}
          >
            <IconTrash size={16} />
          </SmallButton>
        </Box>
      ))}
    </Box>
  );
}
