'use client';
/** What narrows the search beside its words: kinds, colours, shape, favourites, use. Each is switched by one press. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { IconChevronDown, IconX } from '@tabler/icons-react';
import { useState } from 'react';
import { COLOUR_FAMILIES } from '@/core/supplies/colours';
import { KINDS, SUPPLY_KINDS } from '@/core/supplies/model';
import type { Filter, Shape } from '@/core/supplies/search';

/** A colour to show each family by. */
const SWATCHES: Record<(typeof COLOUR_FAMILIES)[number], string> = {
  white: '#ffffff',
  cream: '#f3e7cb',
  tan: '#c9a97c',
  brown: '#7a5230',
  yellow: '#ecc23c',
  orange: '#e0833a',
  red: '#c0392f',
  pink: '#e79aad',
  purple: '#7f5a9c',
  navy: '#24385c',
  blue: '#4a83c0',
  teal: '#3f9a90',
  green: '#6d9a4b',
  grey: '#8f8d8a',
  black: '#26242a',
};

interface Props {
  filter: Filter;
  onChange: (filter: Filter) => void;
  /** Whether there is a project whose use can be asked for. */
  withUse: boolean;
}

export function Filters({ filter, onChange, withUse }: Props) {
  const { kinds = [], colour, shape, used } = filter;
  const any = kinds.length > 0 || colour !== undefined || shape !== undefined || used !== undefined;
  return (
    <Box
      role="group"
      aria-label="Filters"
      sx={{ display: 'flex', gap: 0.75, px: 1.5, pb: 0.75, flexWrap: 'wrap' }}
    >
      <Choice
        label={kinds.length ? kinds.map((kind) => KINDS[kind].many).join(', ') : 'Any kind'}
        set={kinds.length > 0}
        options={SUPPLY_KINDS.map((kind) => ({
          value: kind,
          label: KINDS[kind].many,
          on: kinds.includes(kind),
        }))}
        keepOpen
        onPick={(kind) => {
          const next = kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind];
          onChange({ ...filter, kinds: next.length ? next : undefined });
        }}
      />
      <Choice
        label={colour ?? 'Any colour'}
        set={colour !== undefined}
        swatch={colour && SWATCHES[colour as keyof typeof SWATCHES]}
        options={COLOUR_FAMILIES.map((name) => ({
          value: name,
          label: name,
          on: colour === name,
          swatch: SWATCHES[name],
        }))}
        onPick={(name) => onChange({ ...filter, colour: colour === name ? undefined : name })}
      />
      <Choice
        label={shape ?? 'Any shape'}
        set={shape !== undefined}
        options={(['wide', 'tall', 'square'] satisfies Shape[]).map((name) => ({
          value: name,
          label: name,
          on: shape === name,
        }))}
        onPick={(name) => onChange({ ...filter, shape: shape === name ? undefined : name })}
      />
      {withUse && (
        <Choice
          label={used === undefined ? 'Used or not' : used ? 'on these pages' : 'not used yet'}
          set={used !== undefined}
          options={[
            { value: true as boolean, label: 'on these pages', on: used === true },
            { value: false as boolean, label: 'not used yet', on: used === false },
          ]}
          onPick={(value) => onChange({ ...filter, used: used === value ? undefined : value })}
        />
      )}
      {any && (
        <Button
          size="small"
          color="inherit"
          startIcon={<IconX size={16} />}
          onClick={() => onChange({ kit: filter.kit, favourite: filter.favourite })}
        >
          Clear
        </Button>
      )}
    </Box>
  );
}

interface ChoiceProps<T> {
  label: string;
  set: boolean;
  swatch?: string;
  options: readonly { value: T; label: string; on: boolean; swatch?: string }[];
  keepOpen?: boolean;
  onPick: (value: T) => void;
}

function Choice<T>({ label, set, swatch, options, keepOpen, onPick }: ChoiceProps<T>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        size="small"
        color={set ? 'secondary' : 'inherit'}
        variant="outlined"
        aria-haspopup="menu"
        startIcon={swatch && <Swatch colour={swatch} />}
        endIcon={<IconChevronDown size={15} />}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ borderColor: set ? 'secondary.main' : 'divider', maxWidth: 240 }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {label}
        </Box>
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {options.map((option) => (
          <MenuItem
            key={option.label}
            dense
            selected={option.on}
            onClick={() => {
              onPick(option.value);
              if (!keepOpen) setAnchor(null);
            }}
          >
            {keepOpen && <Checkbox size="small" checked={option.on} tabIndex={-1} sx={{ p: 0.25, mr: 1 }} />}
            {option.swatch && <Swatch colour={option.swatch} />}
            <ListItemText sx={{ ml: option.swatch ? 1.25 : 0 }}>{option.label}</ListItemText>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

const Swatch = ({ colour }: { colour: string }) => (
  <Box
    component="span"
    sx={{ width: 16, height: 16, borderRadius: '50%', bgcolor: colour, border: '1px solid rgba(0,0,0,0.3)' }}
  />
);
