'use client';
/** About this piece: what it is made of, how it is cut, how it is finished, where it lies. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Collapse from '@mui/material/Collapse';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { IconChevronRight } from '@tabler/icons-react';
import { memo, useDeferredValue, useEffect, useRef, type ReactNode } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { finishSays } from '@/core/piece/finish';
import { materialSays } from '@/core/piece/material';
import { outlineSays } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { renamePiece } from '@/core/project/edits/make';
import { familyName } from '@/core/text/families';
import { formatLength, formatSize, type Unit } from '@/core/units/lengths';
import { shortened } from '@/core/text/named';
import { AboutPage } from '@/features/table/about/AboutPage';
import { KeepPieces } from '@/features/table/parts/KeepButtons';
import { useSession } from '@/features/table/room/context';
import type { Running } from '@/features/table/tasks/words/RunningControls';
import type { Words } from '@/features/table/tasks/words/WordsControls';
import { selectedPieces, shownProject, type AboutRow } from '@/features/table/session';
import { useHeldFocus } from '@/ui/useHeldFocus';
import { FieldsAbout, useTyped } from '@/ui/useTyped';
import { fetched } from '@/ui/fetched';
import { usePaced } from '@/ui/usePaced';
import { useSteady } from '@/ui/useSteady';

const AtHand = fetched('What is at hand', () =>
  import('@/features/table/about/AtHand').then((m) => m.AtHand),
);
const CutControls = fetched('Cut', () =>
  import('@/features/table/about/CutControls').then((m) => m.CutControls),
);
const FinishControls = fetched('Finish', () =>
  import('@/features/table/about/FinishControls').then((m) => m.FinishControls),
);
const MaterialControls = fetched('Material', () =>
  import('@/features/table/about/MaterialControls').then((m) => m.MaterialControls),
);
const PlaceControls = fetched('Place', () =>
  import('@/features/table/about/PlaceControls').then((m) => m.PlaceControls),
);
const WordsControls = fetched('Words', () =>
  import('@/features/table/tasks/words/WordsControls').then((m) => m.WordsControls),
);
const RunningControls = fetched('Words', () =>
  import('@/features/table/tasks/words/RunningControls').then((m) => m.RunningControls),
);

/** Milliseconds between what is told of a drag. */
const PACE = 350;

export const About = memo(function About() {
  const pieces = useSession(useShallow(selectedPieces));
  // The numbers follow a drag, a frame that is drawn, what is typed, and a change of many, when there is time: the page comes first.
  const dragging = useSession((session) => session.tryout !== null);
  const framing = useSession((session) => session.marquee !== null);
  const writing = useSession((session) => session.mode.kind === 'write');
  const paced = usePaced(pieces, dragging || framing ? PACE : 0);
  const later = useDeferredValue(paced);
  const same = later.length === pieces.length && later.every(({ id }, i) => id === pieces[i]!.id);
  const shown = framing || (same && (dragging || writing || pieces.length > 1)) ? later : pieces;
  return (
    <FieldsAbout value={shown.map(({ id }) => id).join()}>
      {shown.length ? <AboutPieces pieces={shown} /> : <AboutPage />}
    </FieldsAbout>
  );
});

const openRow = (frame: HTMLElement) => frame.querySelector<HTMLElement>('[aria-expanded="true"]');

const AboutPieces = memo(function AboutPieces({ pieces }: { pieces: readonly Piece[] }) {
  const chosen = useSession((session) => session.rows);
  const setOpen = useSession((session) => session.openRows);
  // With nothing in hand it begins anew.
  useEffect(() => () => setOpen(null), [setOpen]);
  const frame = useRef<HTMLElement>(null);
  const held = useHeldFocus(frame, openRow);
  const fonts = useSession((session) => session.history.project.fonts);
  const unit = useSession((session) => shownProject(session).unit);
  const assets = useSession((session) => shownProject(session).assets);
  const readOnly = useSession((session) => session.readOnly);
  const piece = pieces[0]!;
  const asset = 'asset' in piece.material ? assets[piece.material.asset] : undefined;
  const many = pieces.length > 1;
  const written = !many && 'text' in piece.outline;
  // Until a person opens something else: words are written, other things are placed.
  const first: AboutRow = written ? 'Words' : 'Place';
  const open =
    chosen && (chosen.size === 0 || [...chosen].some((part) => part !== 'Words' || written))
      ? chosen
      : new Set([first]);
  const toggle = useSteady((part: AboutRow) => {
    const next = new Set(open);
    if (!next.delete(part)) next.add(part);
    setOpen(next);
  });
  const rows: Partial<Record<AboutRow, { summary: string; controls: ReactNode }>> = {
    ...(!many && piece.outline.kind === 'glyphs'
      ? {
          Words: {
            summary: `${familyName(piece.outline.family, fonts)}, ${Math.round(piece.outline.size)} pt`,
            controls: <WordsControls piece={piece as Words} unit={unit} />,
          },
        }
      : {}),
    ...(!many && piece.outline.kind === 'running'
      ? {
          Words: {
            summary: `${familyName(piece.outline.family, fonts)}, along an outline`,
            controls: <RunningControls piece={piece as Running} unit={unit} />,
          },
        }
      : {}),
    Material: {
      summary: many ? 'several' : (materialSays(piece.material, unit) ?? asset?.name ?? 'missing'),
      controls: <MaterialControls pieces={pieces} asset={asset} unit={unit} />,
    },
    Cut: {
      summary: many ? 'several' : outlineSays(piece.outline, unit),
      controls: <CutControls pieces={pieces} unit={unit} />,
    },
    Finish: {
      summary: many ? 'several' : finishInWords(piece, unit),
      controls: <FinishControls pieces={pieces} unit={unit} />,
    },
    Place: {
      summary: many ? `${pieces.length} pieces` : placeInWords(piece, unit),
      controls: <PlaceControls pieces={pieces} unit={unit} />,
    },
  };
  return (
    <Box
      {...held}
      ref={frame}
      component="section"
      aria-label="About this piece"
      data-about
      sx={{ minHeight: 120, overflowY: 'auto', scrollbarWidth: 'thin' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, px: 2, pt: 1.25, pb: 0.5 }}>
        {many ? (
          <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
            {pieces.length} pieces
          </Typography>
        ) : (
          <NameField piece={piece} readOnly={readOnly} />
        )}
        <Typography variant="caption" color="text.secondary" noWrap>
          {many ? '' : formatSize(piece.placement, unit)}
        </Typography>
      </Box>
      <AtHand pieces={pieces} />
      {(Object.keys(rows) as AboutRow[]).map((part) => (
        <Row
          key={part}
          name={part}
          summary={rows[part]!.summary}
          open={open.has(part)}
          asked={chosen?.has(part) ?? false}
          onToggle={toggle}
        >
          {rows[part]!.controls}
        </Row>
      ))}
      {!readOnly && (
        <Box sx={{ mx: 1.5, borderTop: '1px dotted', borderColor: 'divider', py: 0.5 }}>
          <KeepPieces pieces={pieces} />
        </Box>
      )}
    </Box>
  );
});

function NameField({ piece, readOnly }: { piece: Piece; readOnly: boolean }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const { typed, type, commit, back } = useTyped((text) => {
    if (text.trim() && text !== piece.name)
      perform(renamePiece(surfaceId, piece, shortened(text.trim(), 80)));
  });
  return (
    <InputBase
      value={typed ?? piece.name}
      readOnly={readOnly}
      onChange={(event) => type(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') (event.target as HTMLElement).blur();
        if (event.key === 'Escape') back();
      }}
      inputProps={{ 'aria-label': 'Name of this piece' }}
      sx={{
        flex: 1,
        fontFamily: 'h3.fontFamily',
        typography: 'h3',
        '& input': { p: 0, textOverflow: 'ellipsis' },
      }}
    />
  );
}

interface RowProps {
  name: AboutRow;
  summary: string;
  open: boolean;
  /** Opened by a person, not by what kind of piece it is. */
  asked: boolean;
  onToggle: (name: AboutRow) => void;
  children: ReactNode;
}

function Row({ name, summary, open, asked, onToggle, children }: RowProps) {
  return (
    <Box data-row sx={{ borderTop: '1px dotted', borderColor: 'divider', mx: 2 }}>
      <RowHead {...{ name, summary, open, onToggle }} />
      <Collapse
        in={open}
        unmountOnExit
        timeout={120}
        // What was asked for is in sight, whatever stands open above it; else the piece's name is.
        onEntered={(row) => asked && row.scrollIntoView({ block: 'nearest' })}
      >
        <Box role="group" aria-label={name} sx={{ pt: 0.75, pb: 1.75 }}>
          {children}
        </Box>
      </Collapse>
    </Box>
  );
}

/** Drawn anew when it says something else. */
const RowHead = memo(function RowHead({
  name,
  summary,
  open,
  onToggle,
}: Omit<RowProps, 'asked' | 'children'>) {
  return (
    <ButtonBase
      onClick={() => onToggle(name)}
      aria-expanded={open}
      sx={{
        display: 'flex',
        width: '100%',
        textAlign: 'left',
        minHeight: 36,
        fontFamily: 'inherit',
        fontSize: '0.95rem',
      }}
    >
      <Box component="span" sx={{ width: 76, color: 'text.secondary', flexShrink: 0 }}>
        {name}{' '}
      </Box>
      <Box
        component="span"
        sx={{
          flex: 1,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          fontWeight: open ? 600 : 400,
        }}
      >
        {summary}
      </Box>
      <IconChevronRight
        size={17}
        style={{ transform: open ? 'rotate(90deg)' : 'none', transition: 'transform 120ms' }}
      />
    </ButtonBase>
  );
});

function finishInWords({ finish }: Piece, unit: Unit): string {
  const parts = finishSays(finish, unit);
  if (finish.opacity < 1) parts.push(`${Math.round(finish.opacity * 100)} %`);
  return parts.join(', ');
}

function placeInWords({ placement: { x, y, width, height, turn, locked } }: Piece, unit: Unit): string {
  const corner = `${formatLength(x - width / 2, unit)}, ${formatLength(y - height / 2, unit)} ${unit}`;
  return [corner, turn ? `turned ${Math.round(turn * 10) / 10}°` : '', locked ? 'locked' : '']
    .filter(Boolean)
    .join(', ');
}
