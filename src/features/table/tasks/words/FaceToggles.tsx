'use client';
/** Bold and italic, where the family has such letters. */
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import { IconBold, IconItalic } from '@tabler/icons-react';
import { facesOf, familyName, type FamilyFace } from '@/core/text/families';
import { useSession } from '@/features/table/room/context';

const FACES = [
  ['bold', 'Bold', 'Ctrl B', IconBold],
  ['italic', 'Italic', 'Ctrl I', IconItalic],
] as const;

interface Props {
  now: FamilyFace;
  disabled: boolean;
  onChange: (face: 'bold' | 'italic', on: boolean) => void;
}

export function FaceToggles({ now, disabled, onChange }: Props) {
  const fonts = useSession((session) => session.history.project.fonts);
  const has = facesOf(now.family);
  return (
    <ToggleButtonGroup
      size="small"
      aria-label="Faces of the family"
      value={FACES.filter(([face]) => has[face] && now[face]).map(([face]) => face)}
      sx={{ flex: 'none' }}
    >
      {FACES.map(([face, name, keys, Icon]) => {
        const none = `${familyName(now.family, fonts)} has no ${face} letters`;
        return (
          <Tooltip key={face} title={has[face] ? `${name} (${keys})` : none}>
            <span>
              <ToggleButton
                value={face}
                selected={Boolean(has[face] && now[face])}
                disabled={disabled || !has[face]}
                aria-label={has[face] ? name : `${name}: ${none}`}
                onMouseDown={(event) => event.preventDefault()}
                onChange={() => onChange(face, !now[face])}
                sx={{ width: 36, height: 48 }}
              >
                <Icon size={18} />
              </ToggleButton>
            </span>
          </Tooltip>
        );
      })}
    </ToggleButtonGroup>
  );
}
