'use client';
/** Words over and over as a material: which, how large, how close, in which inks. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconArrowsShuffle } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { cutOf, toolsFor } from '@/core/page/outlines';
import {
  counted,
  LEAST_WORD_GAP,
  LONGEST_WORDS,
  MOST_VARIED,
  MOST_WORD_GAP,
  MOST_WORD_INKS,
  MOST_ACROSS,
  rowsThatFill,
  wordGrid,
  type WordsMaterial,
} from '@/core/piece/material/words';
import type { Piece } from '@/core/piece/piece';
import { changeMaterial } from '@/core/project/edits/make';
import { FAMILIES, ownFamily } from '@/core/text/families';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin, readDegrees, wholeWithin } from '@/features/table/parts/measures';
import { InkField, InkSwatch } from '@/features/table/parts/inks/InkField';
import { LiveField } from '@/features/table/parts/LiveField';
import { useSession } from '@/features/table/room/context';
import { FaceToggles } from '@/features/table/tasks/words/FaceToggles';
import { faceOf } from '@/features/table/tasks/words/faces';
import { readSize, shownSize } from '@/features/table/tasks/words/LetterFields';
import { LengthField } from '@/ui/LengthField';
import { RowSlider } from '@/ui/RowSlider';
import { SmallButton } from '@/ui/SmallButton';

interface Props {
  piece: Piece;
  material: WordsMaterial;
  unit: Unit;
}

export function FillControls({ piece, material, unit }: Props) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const typesetter = useSession((session) => session.typesetter);
  const project = useSession((session) => session.history.project);
  const tools = useMemo(() => toolsFor(project, typesetter), [project, typesetter]);
  const cut = useMemo(
    () => ({ size: piece.placement, path: cutOf(piece, tools).path, typesetter, asset: tools.asset }),
    [piece, tools, typesetter],
  );
  const grid = useMemo(() => wordGrid(material, cut), [material, cut]);
  const [problem, setProblem] = useState<string | null>(null);
  const change = (to: Partial<WordsMaterial>) =>
    perform(changeMaterial(surfaceId, [piece], tidy({ ...material, ...to })));
  /** What makes the letters another size, or the rows another way, counts for more than a count that was set before. */
  const set = (to: Partial<WordsMaterial>) => {
    setProblem(null);
    change({ ...to, across: undefined, down: undefined });
  };
  const count = (to: Partial<Pick<WordsMaterial, 'across' | 'down' | 'gapX' | 'gapY'>>) => {
    const { across, down } = { ...grid, ...to };
    const made = counted({ ...material, ...to }, cut, Math.max(1, across), Math.max(1, down));
    setProblem(made.ok ? null : made.message);
    if (made.ok) change(made.value);
  };
  const setGap = (to: Partial<Pick<WordsMaterial, 'gapX' | 'gapY'>>) =>
    material.across ? count(to) : change(to);
  const more = material.across ? rowsThatFill(material, cut, material.across) : 0;
  const gap = measureWithin(unit, LEAST_WORD_GAP, MOST_WORD_GAP);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px' }}>
      <LiveField
        {...{ piece, disabled: readOnly, rows: 5, longest: LONGEST_WORDS }}
        label="Words, one entry a line"
        text={(now) => (now.material.kind === 'words' ? now.material.text : '')}
        onChange={(text) => change({ text })}
      />
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1 }}>
        <TextField
          select
          label="Letters of the words"
          value={material.family}
          disabled={readOnly}
          onChange={({ target: { value } }) => change({ family: value })}
          sx={{ flex: 1, minWidth: 0 }}
        >
          {[...(project.fonts ?? []).map(({ sha, name }) => ({ id: ownFamily(sha), name })), ...FAMILIES].map(
            ({ id, name }) => (
              <MenuItem key={id} value={id} sx={{ fontFamily: faceOf(id), fontSize: 19 }}>
                {name}
              </MenuItem>
            ),
          )}
        </TextField>
        <FaceToggles
          now={material}
          disabled={readOnly}
          onChange={(face, on) => change({ [face]: on || undefined })}
        />
      </Box>
      <LengthField
        label="Words across"
        disabled={readOnly}
        shown={String(grid.across)}
        read={wholeWithin(1, MOST_ACROSS)}
        onCommit={(across) => count({ across })}
      />
      <LengthField
        label="Rows down"
        disabled={readOnly}
        shown={String(grid.down)}
        read={wholeWithin(1, MOST_ACROSS)}
        onCommit={(down) => count({ down })}
      />
      {(problem || more > (material.down ?? 0)) && (
        <Typography
          variant="body2"
          role="status"
          color={problem ? 'error' : 'text.secondary'}
          sx={{ gridColumn: '1 / -1' }}
        >
          {problem ?? `${more} rows would fill it.`}
        </Typography>
      )}
      <LengthField
        label="Gap across"
        unit={unit}
        disabled={readOnly}
        shown={formatLength(material.gapX, unit)}
        read={gap}
        onCommit={(gapX) => setGap({ gapX })}
      />
      <LengthField
        label="Gap down"
        unit={unit}
        disabled={readOnly}
        shown={formatLength(material.gapY, unit)}
        read={gap}
        onCommit={(gapY) => setGap({ gapY })}
      />
      <LengthField
        label="Letter size"
        unit="pt"
        disabled={readOnly}
        shown={shownSize(grid.size)}
        read={readSize}
        onCommit={(size) => set({ size })}
      />
      <LengthField
        label="Rows turned"
        unit="°"
        disabled={readOnly}
        shown={String(Math.round(material.turn * 10) / 10)}
        read={readDegrees}
        onCommit={(turn) => set({ turn: ((((turn + 180) % 360) + 360) % 360) - 180 })}
      />
      <Unevenness material={material} disabled={readOnly} onChange={set} />
      <Inks inks={material.inks} disabled={readOnly} onChange={(inks) => change({ inks })} />
      <Ground colour={material.ground} disabled={readOnly} onChange={(ground) => change({ ground })} />
      <Button
        size="small"
        color="inherit"
        disabled={readOnly}
        onClick={() =>
          perform(changeMaterial(surfaceId, [piece], { kind: 'ink', colour: material.inks[0]! }))
        }
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        One ink again
      </Button>
    </Box>
  );
}

interface UnevennessProps {
  material: WordsMaterial;
  disabled: boolean;
  onChange: (to: Partial<WordsMaterial>) => void;
}

/** How far every second row is shifted, and how much smaller some words are. */
function Unevenness({ material, disabled, onChange }: UnevennessProps) {
  return (
    <>
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column' }}>
        <RowSlider
          label="Rows shifted"
          least={0}
          most={1}
          step={0.05}
          value={material.shift}
          says={`${Math.round(material.shift * 100)} %`}
          disabled={disabled}
          onChange={(shift) => onChange({ shift })}
        />
        <RowSlider
          label="Some smaller"
          least={0}
          most={MOST_VARIED}
          step={0.05}
          value={material.vary}
          says={`${Math.round(material.vary * 100)} %`}
          disabled={disabled}
          onChange={(vary) => onChange({ vary })}
        />
      </Box>
      {material.vary > 0 && (
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          startIcon={<IconArrowsShuffle size={17} />}
          onClick={() => onChange({ seed: (material.seed + 1) % 1e9 })}
          sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
        >
          Mix the sizes anew
        </Button>
      )}
    </>
  );
}

interface GroundProps {
  colour: string | undefined;
  disabled: boolean;
  onChange: (colour: string | undefined) => void;
}

function Ground({ colour, disabled, onChange }: GroundProps) {
  return (
    <>
      <FormControlLabel
        control={
          <Switch
            checked={colour !== undefined}
            disabled={disabled}
            onChange={(_, on) => onChange(on ? '#ffffff' : undefined)}
          />
        }
        label="Paper behind the words"
        sx={{ gridColumn: '1 / -1', my: -0.5 }}
      />
      {colour && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <InkField label="Colour behind" colour={colour} disabled={disabled} onChange={onChange} />
        </Box>
      )}
    </>
  );
}

const tidy = (material: WordsMaterial): WordsMaterial =>
  Object.fromEntries(
    Object.entries(material).filter(([, value]) => value !== undefined),
  ) as unknown as WordsMaterial;

interface InksProps {
  inks: readonly string[];
  disabled: boolean;
  onChange: (inks: string[]) => void;
}

/** Each word takes the next one. */
function Inks({ inks, disabled, onChange }: InksProps) {
  return (
    <Box role="group" aria-label="Inks of the words" sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Inks, one word after the other
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center' }}>
        {inks.map((ink, i) => (
          <InkSwatch
            key={i}
            label={`Ink ${i + 1}`}
            colour={ink}
            disabled={disabled}
            onChange={(next) => onChange(inks.map((one, at) => (at === i ? next : one)))}
          />
        ))}
        <SmallButton
          label="One more ink"
          disabled={disabled || inks.length >= MOST_WORD_INKS}
          onClick={() => onChange([...inks, inks.at(-1)!])}
        >
          +
        </SmallButton>
        <SmallButton
          label="One ink less"
          disabled={disabled || inks.length < 2}
          onClick={() => onChange(inks.slice(0, -1))}
        >
          −
        </SmallButton>
      </Box>
    </Box>
  );
}
