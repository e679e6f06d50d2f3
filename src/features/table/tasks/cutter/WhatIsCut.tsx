'use client';
/** What is cut, scored, drawn or left, paper by paper; each piece can be had otherwise. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Asked, Item, Paper, Place } from '@/core/cutter/model';
import { ASKED_NAMES } from '@/features/table/acts/cutter';

interface Props {
  places: readonly Place[];
  /** Pictures of papers by SHA-256. */
  thumbs: ReadonlyMap<string, string>;
  disabled: boolean;
  /** The piece that was pressed on the mat. */
  picked: string | null;
  onAsk: (pieces: readonly string[], as: Asked) => void;
}

/** As they are told: what is done most first. */
const ORDER: readonly Asked[] = ['cut', 'score', 'draw', 'print'];
/** Of so many pieces of a paper each is listed; of more only the paper as a whole. */
const MOST = 120;

export function WhatIsCut({ places, thumbs, disabled, picked, onAsk }: Props) {
  const papers = byPaper(places.flatMap(({ items }) => items));
  if (!papers.length)
    return (
      <Typography variant="body2" color="text.secondary">
        There is nothing here yet that could be cut. Punch a shape, draw an outline or write a title, and it
        is found by itself.
      </Typography>
    );
  return (
    <Box
      component="ul"
      aria-label="What is cut"
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}
    >
      {papers.map(({ paper, items }) => (
        <Box
          component="li"
          key={paper.key}
          sx={{ border: 1, borderColor: 'divider', borderRadius: 1.5, bgcolor: 'background.paper' }}
        >
          <Box component="details" open={items.some(({ piece }) => piece === picked) || undefined}>
            <Box
              component="summary"
              sx={{ display: 'flex', alignItems: 'center', gap: 1, p: 1, cursor: 'pointer', minHeight: 40 }}
            >
              <Swatch paper={paper} thumbs={thumbs} />
              <Typography variant="body2" noWrap sx={{ flex: 1, fontWeight: 600 }} title={paper.name}>
                {paper.name}
              </Typography>
              <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
                {counted(items)}
              </Typography>
            </Box>
            <Box component="ul" sx={{ m: 0, p: 1, pt: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}>
              {ownOf(items).length > 1 && (
                <Row
                  name={`All ${ownOf(items).length}`}
                  as={alike(items)}
                  disabled={disabled}
                  onAsk={(as) => onAsk(ownOf(items), as)}
                  strong
                />
              )}
              {items.slice(0, MOST).map(({ id, name, piece, as }) => (
                <Row
                  key={id}
                  name={name}
                  as={as}
                  marked={piece !== null && piece === picked}
                  disabled={disabled || !piece || id !== piece}
                  onAsk={(next) => piece && onAsk([piece], next)}
                />
              ))}
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const ownOf = (items: readonly Item[]): string[] =>
  items.flatMap(({ id, piece }) => (piece && id === piece ? [piece] : []));

const alike = (items: readonly Item[]): Asked | '' =>
  items.every(({ as }) => as === items[0]!.as) ? items[0]!.as : '';

function byPaper(items: readonly Item[]): { paper: Paper; items: Item[] }[] {
  const found = new Map<string, { paper: Paper; items: Item[] }>();
  for (const item of items) {
    const there = found.get(item.paper.key);
    if (there) there.items.push(item);
    else found.set(item.paper.key, { paper: item.paper, items: [item] });
  }
  // What is worked comes first; what is only left stands at the end.
  const worked = ({ items }: { items: Item[] }) => (items.some(({ as }) => as !== 'print') ? 0 : 1);
  return [...found.values()].sort((a, b) => worked(a) - worked(b));
}

function counted(items: readonly Item[]): string {
  const words: Record<Asked, string> = { cut: 'cut', score: 'scored', draw: 'drawn', print: 'left' };
  return ORDER.flatMap((as) => {
    const count = items.filter((item) => item.as === as).length;
    return count ? [`${count} ${words[as]}`] : [];
  }).join(', ');
}

export const Swatch = ({ paper: { colour, asset }, thumbs }: { paper: Paper; thumbs: Props['thumbs'] }) => (
  <Box
    aria-hidden
    sx={{
      width: 26,
      height: 26,
      flexShrink: 0,
      borderRadius: 0.75,
      border: '1px solid rgba(60,56,66,0.35)',
      backgroundSize: 'cover',
    }}
    style={{
      backgroundColor: colour,
      backgroundImage: asset && thumbs.has(asset) ? `url(${thumbs.get(asset)})` : undefined,
    }}
  />
);

interface RowProps {
  name: string;
  as: Asked | '';
  disabled: boolean;
  marked?: boolean;
  strong?: boolean;
  onAsk: (as: Asked) => void;
}

function Row({ name, as, disabled, marked, strong, onAsk }: RowProps) {
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 0.5,
        borderRadius: 1,
        outline: marked ? '2px dashed' : 'none',
        outlineColor: 'primary.main',
      }}
    >
      <Typography variant="body2" noWrap sx={{ flex: 1, fontWeight: strong ? 600 : 400 }} title={name}>
        {name}
      </Typography>
      <Box
        component="select"
        aria-label={`${name}: what is done with it`}
        value={as}
        disabled={disabled}
        onChange={(event: React.ChangeEvent<HTMLSelectElement>) => onAsk(event.target.value as Asked)}
        sx={{
          ...{ font: 'inherit', fontSize: '0.875rem', color: 'text.primary', bgcolor: 'background.default' },
          ...{ border: 1, borderColor: 'divider', borderRadius: 1, minHeight: 32, px: 0.75 },
        }}
      >
        {as === '' && <option value="">Various</option>}
        {ORDER.map((each) => (
          <option key={each} value={each}>
            {ASKED_NAMES[each]}
          </option>
        ))}
      </Box>
    </Box>
  );
}
