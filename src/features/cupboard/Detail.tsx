'use client';
/** What is known of the chosen supplies, and what can be done with them. */
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  IconHeart,
  IconHeartFilled,
  IconInbox,
  IconPalette,
  IconScissors,
  IconStackPush,
  IconTrash,
} from '@tabler/icons-react';
import { useEffect, useState, type ReactNode } from 'react';
import { tagOf, MOST_TAGS } from '@/core/supplies/kit-file';
import { LONGEST_ALPHABET } from '@/core/supplies/kit-file';
import { KINDS, SUPPLY_KINDS, type Supply, type SupplyKind } from '@/core/supplies/model';
import type { Unit } from '@/core/units/lengths';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { InKit } from '@/features/cupboard/InKit';
import { SupplyPicture } from '@/features/cupboard/SupplyPicture';
import { TextOnLeaving } from '@/ui/TextOnLeaving';
import { TrueSize } from '@/features/cupboard/TrueSize';
import { usesOf, type UseOf } from '@/storage/supplies';
import { fetched } from '@/ui/fetched';

/** Pictures that may have come without their opening, or with a closed counter. */
const canBeCut = ({ kind, asset }: Supply): boolean =>
  asset !== undefined &&
  asset.type !== 'image/svg+xml' &&
  (kind === 'frame' || kind === 'embellishment' || kind === 'alphabet');

/** Pictures with colours of their own; what is stamped takes any ink on the page. */
const canBeDyed = ({ kind, asset }: Supply): boolean =>
  asset !== undefined && kind !== 'photo' && KINDS[kind].arrives !== KINDS.stamp.arrives;

/** What they could be instead: a picture anything that is one, and nothing else anything but what it is. */
const kindsOf = (chosen: readonly Supply[]): readonly SupplyKind[] =>
  SUPPLY_KINDS.filter((kind) =>
    chosen.every((supply) => kind === supply.kind || (supply.asset && KINDS[kind].compartment)),
  );

/** Pictures that may be a sheet of many. */
const canBeCutApart = ({ kind, asset, letters }: Supply): boolean =>
  asset !== undefined &&
  asset.type !== 'image/svg+xml' &&
  !letters &&
  (kind === 'alphabet' || kind === 'embellishment' || kind === 'stamp' || kind === 'wordart');

interface Props {
  chosen: readonly Supply[];
  cupboard: Cupboard;
  ground: string;
  unit: Unit;
  /** On the table: put them in the workbox, or on the page. */
  onGather?: (supplies: readonly Supply[]) => void;
  onLay?: (supplies: readonly Supply[]) => void;
  /** Exchange the selected piece for this supply. */
  onReplace?: (supply: Supply) => void;
  onRemove: (supplies: readonly Supply[]) => void;
  /** Chooses another in place of what is chosen. */
  onChoose: (supply: Supply) => void;
}

export function Detail(props: Props) {
  const { chosen, cupboard, ground, unit, onGather, onLay, onReplace, onRemove, onChoose } = props;
  const [first] = chosen;
  if (!first)
    return (
      <Typography variant="body2" color="text.secondary" sx={{ p: 2.5 }}>
        Choose something to see it larger, to tag it, or to take it to your page. Shift chooses a run, Ctrl
        adds single ones.
      </Typography>
    );
  const one = chosen.length === 1;
  const dyeable = chosen.filter(canBeDyed);
  const liked = chosen.every(({ favourite }) => favourite);
  const change = (to: (supply: Supply) => Supply) => void cupboard.change(chosen, to);
  const kits = cupboard.kits.filter(({ id }) => chosen.some(({ kit }) => kit === id));
  const kit = kits.find(({ id }) => id === first.kit);
  // What ships stays in its kit, whatever of one's own is chosen with it.
  const shipped = kits.some(({ house }) => house);
  return (
    <Box sx={{ p: 2, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
      <Box sx={{ position: 'relative', height: one ? 196 : 84, bgcolor: ground, borderRadius: 1 }}>
        {one ? (
          <SupplyPicture supply={first} pad={14} />
        ) : (
          <Typography sx={{ p: 2, fontWeight: 600 }}>{chosen.length} supplies chosen</Typography>
        )}
      </Box>
      {one && (
        <TextOnLeaving
          label="Name"
          value={first.name}
          longest={200}
          onCommit={(name) => name && change((supply) => ({ ...supply, name }))}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {onGather && (
          <Button variant="contained" startIcon={<IconInbox size={18} />} onClick={() => onGather(chosen)}>
            To the workbox
          </Button>
        )}
        {onLay && (
          <Button startIcon={<IconStackPush size={18} />} onClick={() => onLay(chosen)}>
            {one ? 'Lay it' : 'Lay them all'}
          </Button>
        )}
        {onReplace && one && <Button onClick={() => onReplace(first)}>In place of the selected piece</Button>}
        <Button
          color="inherit"
          aria-pressed={liked}
          startIcon={liked ? <IconHeartFilled size={18} /> : <IconHeart size={18} />}
          onClick={() => change((supply) => ({ ...supply, favourite: !liked }))}
        >
          Favourite
        </Button>
      </Box>
      {one && first.back && <Back of={first} cupboard={cupboard} onChoose={onChoose} />}
      <Tags chosen={chosen} cupboard={cupboard} />
      <TextField
        select
        size="small"
        label="Kind"
        value={chosen.every(({ kind }) => kind === first.kind) ? first.kind : ''}
        onChange={(event) => change((supply) => ({ ...supply, kind: event.target.value as SupplyKind }))}
        helperText={one ? `Arrives ${KINDS[first.kind].arrives}.` : undefined}
      >
        {kindsOf(chosen).map((kind) => (
          <MenuItem key={kind} value={kind}>
            {KINDS[kind].one}
          </MenuItem>
        ))}
      </TextField>
      {one && first.asset && <TrueSize supply={first} unit={unit} onChange={change} />}
      {one && first.kind === 'alphabet' && (
        <TextOnLeaving
          label="Stands for"
          value={first.letters ?? ''}
          longest={8}
          onCommit={(letters) => change((supply) => ({ ...supply, letters: letters || undefined }))}
        />
      )}
      {!shipped && chosen.every(({ kind }) => kind === 'alphabet') && (
        <TextOnLeaving
          label="Of the alphabet"
          value={chosen.every(({ alphabet }) => alphabet === first.alphabet) ? (first.alphabet ?? '') : ''}
          longest={LONGEST_ALPHABET}
          onCommit={(alphabet) => change((supply) => ({ ...supply, alphabet: alphabet || undefined }))}
        />
      )}
      {kit && shipped ? (
        <Typography variant="body2" color="text.secondary">
          {kits.length > 1 ? `From ${kits.length} kits` : `From ${kit.name}, by ${kit.author}`}
        </Typography>
      ) : (
        kit && <InKit chosen={chosen} cupboard={cupboard} kit={kit} />
      )}
      {one && canBeCut(first) && (
        <SheetButton
          name="Cut an opening"
          icon={<IconScissors size={18} />}
          sheet={(close) => <CutOpening supply={first} cupboard={cupboard} onClose={close} />}
        />
      )}
      {one && canBeCutApart(first) && (
        <SheetButton
          name="Cut apart"
          icon={<IconScissors size={18} />}
          sheet={(close) => <CutApart supply={first} cupboard={cupboard} onClose={close} />}
        />
      )}
      {dyeable.length > 0 && (
        <SheetButton
          name="In other colours"
          icon={<IconPalette size={18} />}
          sheet={(close) => <VersionsDialog supplies={dyeable} cupboard={cupboard} onClose={close} />}
        />
      )}
      {one && first.inks && (
        <SheetButton
          name="Arrange the inks"
          icon={<IconPalette size={18} />}
          sheet={(close) => <ArrangeInks supply={first} cupboard={cupboard} onClose={close} />}
        />
      )}
      {one && first.asset && <Where key={first.asset.sha} sha={first.asset.sha} />}
      <Button
        color="inherit"
        startIcon={<IconTrash size={18} />}
        onClick={() => onRemove(chosen)}
        sx={{ alignSelf: 'flex-start' }}
      >
        Take out of the cupboard
      </Button>
    </Box>
  );
}

const CutOpening = fetched('Cutting an opening', () =>
  import('@/features/cupboard/CutOpening').then((m) => m.CutOpening),
);

const CutApart = fetched('Cutting apart', () =>
  import('@/features/cupboard/CutApart').then((m) => m.CutApart),
);

const ArrangeInks = fetched('Arranging inks', () =>
  import('@/features/cupboard/ArrangeInks').then((m) => m.ArrangeInks),
);

const VersionsDialog = fetched('Supplies in other colours', () =>
  import('@/features/cupboard/VersionsDialog').then((m) => m.VersionsDialog),
);

interface SheetButtonProps {
  name: string;
  icon: ReactNode;
  sheet: (close: () => void) => ReactNode;
}

function SheetButton({ name, icon, sheet }: SheetButtonProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button color="inherit" startIcon={icon} onClick={() => setOpen(true)} sx={{ alignSelf: 'flex-start' }}>
        {name}
      </Button>
      {open && sheet(() => setOpen(false))}
    </>
  );
}

/** What is printed on the other side of a paper; pressed, that is chosen. */
function Back({ of, cupboard, onChoose }: { of: Supply } & Pick<Props, 'cupboard' | 'onChoose'>) {
  const back = cupboard.find('', { kit: of.kit }, () => false).find(({ id }) => id === of.back);
  if (!back) return null;
  return (
    <Button
      color="inherit"
      variant="outlined"
      onClick={() => onChoose(back)}
      sx={{ justifyContent: 'flex-start', gap: 1.5, p: 0.75, borderColor: 'divider' }}
    >
      <Box sx={{ position: 'relative', width: 44, height: 44, flexShrink: 0 }}>
        <SupplyPicture supply={back} pad={0} />
      </Box>
      <span>
        On its back: <b>{back.name}</b>
      </span>
    </Button>
  );
}

/** The tags all chosen supplies share; what is added or taken away is so for all of them. */
function Tags({ chosen, cupboard }: Pick<Props, 'chosen' | 'cupboard'>) {
  const shared = chosen[0]!.tags.filter((tag) => chosen.every(({ tags }) => tags.includes(tag)));
  return (
    <Autocomplete
      multiple
      freeSolo
      size="small"
      options={cupboard.tags().filter((tag) => !shared.includes(tag))}
      value={shared}
      onChange={(_, next) => {
        const wanted = next.map(tagOf).filter(Boolean);
        const gone = shared.filter((tag) => !wanted.includes(tag));
        void cupboard.change(chosen, (supply) => ({
          ...supply,
          tags: [...new Set([...supply.tags.filter((tag) => !gone.includes(tag)), ...wanted])].slice(
            0,
            MOST_TAGS,
          ),
        }));
      }}
      renderInput={(params) => (
        <TextField
          {...params}
          label={chosen.length === 1 ? 'Tags' : 'Tags of all chosen'}
          helperText="Type a tag, then Enter"
        />
      )}
    />
  );
}

/** On which projects' pages it lies. */
function Where({ sha }: { sha: string }) {
  const [uses, setUses] = useState<UseOf[] | null>(null);
  useEffect(() => {
    let gone = false;
    void usesOf([sha]).then((found) => !gone && setUses(found.get(sha) ?? []));
    return () => {
      gone = true;
    };
  }, [sha]);
  if (!uses?.length) return null;
  return (
    <Typography variant="body2" sx={{ color: 'secondary.main' }}>
      In use:{' '}
      {uses
        .map(({ title, count }) => `${title || 'untitled'}${count > 1 ? `, ${count} times` : ''}`)
        .join('; ')}
    </Typography>
  );
}
