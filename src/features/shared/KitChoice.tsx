'use client';
/** Into which kit something is put: one of one's own, the loose supplies, or a new one with a name. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { LOOSE_KIT, looseKit, newKit, type Kit } from '@/core/supplies/model';

/** An id of a kit there is, or the name of a new one. */
export type IntoKit = { id: string } | { name: string };

export const isUnnamed = (into: IntoKit): boolean => 'name' in into && !into.name.trim();

/** The kit that is meant; a new one is made with the id and time given. */
export const kitMeant = (into: IntoKit, kits: readonly Kit[], id: string, now: number): Kit =>
  'name' in into
    ? newKit(id, into.name.trim(), now)
    : (kits.find((kit) => kit.id === into.id) ?? looseKit(kits, now));

const NEW = 'new';

interface Props {
  kits: readonly Kit[];
  into: IntoKit;
  onChange: (into: IntoKit) => void;
}

export function KitChoice({ kits, into, onChange }: Props) {
  const own = kits.filter(({ house, id }) => !house && id !== LOOSE_KIT);
  return (
    <>
      <TextField
        select
        size="small"
        label="Put into"
        value={'name' in into ? NEW : into.id}
        onChange={({ target: { value } }) => onChange(value === NEW ? { name: 'My kit' } : { id: value })}
        sx={{ minWidth: 200 }}
      >
        <MenuItem value={NEW}>A new kit</MenuItem>
        <MenuItem value={LOOSE_KIT}>Loose supplies</MenuItem>
        {own.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {'name' in into && (
        <TextField
          size="small"
          label="The kit’s name"
          value={into.name}
          error={isUnnamed(into)}
          helperText={isUnnamed(into) ? 'A kit needs a name.' : undefined}
          onChange={(event) => onChange({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 120 } }}
          sx={{ minWidth: 220 }}
        />
      )}
    </>
  );
}
