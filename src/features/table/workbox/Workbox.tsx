'use client';
/** The open box at the foot of the table: compartments with what was gathered for this project. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { IconPlus } from '@tabler/icons-react';
import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import { uprightSize } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import { writeCarried, type Carried } from '@/features/table/workbox/carry';
import type { Counting, Supply } from '@/features/table/workbox/useWorkbox';

export const WORKBOX_HEIGHT = 172;
const THUMB_HEIGHT = 84;

interface Props {
  photos: readonly Supply[];
  papers: readonly Supply[];
  counting: Counting | null;
  readOnly: boolean;
  onPickFiles: () => void;
  /** Laid by Enter or a double click; `anchor` is where a menu may open. */
  onLay: (carried: Carried, anchor: HTMLElement) => void;
}

export function Workbox({ photos, papers, counting, readOnly, onPickFiles, onLay }: Props) {
  const used = photos.filter((photo) => photo.used > 0).length;
  return (
    <Box
      component="section"
      aria-label="Workbox"
      sx={{
        height: WORKBOX_HEIGHT,
        bgcolor: 'table.box',
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1.5fr) minmax(0, 1fr) 196px',
        gap: 1,
        p: 1,
        borderTop: 1,
        borderColor: 'divider',
        boxShadow: 'inset 0 6px 10px -8px rgba(40,26,10,0.55)',
      }}
    >
      <Compartment
        name="Photos"
        count={photos.length ? `${photos.length}, ${used} used` : ''}
        action={
          !readOnly && (
            <Button size="small" color="inherit" startIcon={<IconPlus size={17} />} onClick={onPickFiles}>
              Bring in photos
            </Button>
          )
        }
      >
        {counting && (
          <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 1.5, px: 1, width: '100%' }}>
            <Typography variant="body2" noWrap>
              Bringing in {counting.done} of {counting.of}
            </Typography>
            <LinearProgress
              variant="determinate"
              value={(100 * counting.done) / counting.of}
              sx={{ flex: 1 }}
              aria-label="Bringing in photos"
            />
            <Button size="small" onClick={counting.cancel}>
              Cancel
            </Button>
          </Box>
        )}
        {photos.length > 0 && (
          <Items
            label="Photos"
            supplies={photos}
            onLay={(supply, anchor) => onLay({ kind: 'photo', sha: supply.asset.sha }, anchor)}
            carry={(supply) => ({ kind: 'photo', sha: supply.asset.sha })}
          />
        )}
        {photos.length === 0 && !counting && (
          <Typography variant="body2" sx={{ px: 1, maxWidth: 420 }}>
            Photos for this page wait here. Drop them anywhere on the table, or bring them in: JPEG, PNG, WebP
            or HEIC, as many as you like.
          </Typography>
        )}
      </Compartment>
      <Compartment name="Papers" count={String(papers.length)}>
        <Items
          label="Papers"
          supplies={papers}
          square
          onLay={(supply, anchor) => onLay({ kind: 'paper', sha: supply.asset.sha }, anchor)}
          carry={(supply) => ({ kind: 'paper', sha: supply.asset.sha })}
        />
      </Compartment>
      <Compartment name="Words" count="">
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.75, width: '100%', px: 0.5 }}>
          <WordsButton
            role="title"
            name="title"
            sample="Aa"
            font="great-vibes"
            disabled={readOnly}
            onLay={onLay}
          />
          <WordsButton
            role="journaling"
            name="journaling"
            sample="abc"
            font="caveat"
            disabled={readOnly}
            onLay={onLay}
          />
        </Box>
      </Compartment>
    </Box>
  );
}

function Compartment({
  name,
  count,
  action,
  children,
}: {
  name: string;
  count: string;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{
        bgcolor: 'table.compartment',
        borderRadius: 1.5,
        display: 'flex',
        flexDirection: 'column',
        minWidth: 0,
        boxShadow: 'inset 0 2px 5px rgba(60,40,15,0.16)',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', px: 1.5, minHeight: 40, gap: 1 }}>
        <Typography component="h2" sx={{ fontWeight: 600, fontSize: '0.95rem' }}>
          {name}
        </Typography>
        <Typography variant="caption" color="text.secondary" noWrap>
          {count}
        </Typography>
        <Box sx={{ ml: 'auto' }}>{action}</Box>
      </Box>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
          gap: 0.5,
          pb: 1,
          px: 0.5,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}

interface ItemsProps {
  label: string;
  supplies: readonly Supply[];
  square?: boolean;
  carry: (supply: Supply) => Carried;
  onLay: (supply: Supply, anchor: HTMLElement) => void;
}

/** A row of pictures: arrows walk along it, Enter or a double click lays one down, dragging carries it. */
function Items({ label, supplies, square, carry, onLay }: ItemsProps) {
  const row = useRef<HTMLUListElement>(null);
  const walk = (event: KeyboardEvent, index: number) => {
    const to = { ArrowRight: index + 1, ArrowLeft: index - 1, Home: 0, End: supplies.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    row.current
      ?.querySelectorAll<HTMLElement>('button')
      [Math.max(0, Math.min(supplies.length - 1, to))]?.focus();
  };
  return (
    <Box
      ref={row}
      component="ul"
      aria-label={label}
      data-own-keys
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.25,
        overflowX: 'auto',
        overflowY: 'hidden',
        p: '5px 8px 7px',
        m: 0,
        listStyle: 'none',
        scrollbarWidth: 'thin',
      }}
    >
      {supplies.map((supply, index) => {
        const { width, height } = uprightSize(supply.asset);
        const name = plainName(supply.asset.name);
        return (
          <Box component="li" key={supply.asset.sha} sx={{ position: 'relative', flexShrink: 0 }}>
            <Box
              component="button"
              type="button"
              draggable
              tabIndex={index === 0 ? 0 : -1}
              title={`${name}: drag it to the page, or double-click`}
              aria-label={`${name}${supply.used ? `, used ${supply.used} times` : ''}. Enter lays it on the page.`}
              onDragStart={(event) => writeCarried(event.dataTransfer, carry(supply))}
              onDoubleClick={(event) => onLay(supply, event.currentTarget)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  onLay(supply, event.currentTarget);
                } else walk(event, index);
              }}
              sx={{
                display: 'block',
                height: THUMB_HEIGHT,
                width: square ? THUMB_HEIGHT : Math.max(44, (THUMB_HEIGHT * width) / height),
                p: 0,
                border: 0,
                borderRadius: 0.5,
                bgcolor: 'divider',
                backgroundImage: supply.thumb ? `url(${supply.thumb})` : 'none',
                backgroundSize: 'cover',
                backgroundPosition: 'center',
                boxShadow: '0 1px 2px rgba(40,26,10,0.4), 1px 3px 6px rgba(40,26,10,0.22)',
                cursor: 'grab',
              }}
            />
            {supply.used > 0 && (
              <Box
                component="span"
                aria-hidden="true"
                sx={{
                  position: 'absolute',
                  top: -6,
                  right: -7,
                  minWidth: 22,
                  height: 22,
                  px: 0.5,
                  borderRadius: 11,
                  bgcolor: 'secondary.main',
                  color: 'secondary.contrastText',
                  fontSize: 14,
                  fontWeight: 600,
                  textAlign: 'center',
                  lineHeight: '22px',
                  pointerEvents: 'none',
                }}
              >
                {supply.used}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

interface WordsProps {
  role: 'title' | 'journaling';
  name: string;
  sample: string;
  font: string;
  disabled: boolean;
  onLay: Props['onLay'];
}

function WordsButton({ role, name, sample, font, disabled, onLay }: WordsProps) {
  return (
    <Button
      color="inherit"
      disabled={disabled}
      draggable={!disabled}
      onDragStart={(event) => writeCarried(event.dataTransfer, { kind: 'words', role })}
      onClick={(event) => onLay({ kind: 'words', role }, event.currentTarget)}
      sx={{
        justifyContent: 'space-between',
        border: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        height: 46,
        px: 1.5,
        whiteSpace: 'nowrap',
      }}
    >
      <span>Write {name}</span>
      <Box
        component="span"
        aria-hidden="true"
        sx={{
          fontFamily: `"house ${font}"`,
          fontWeight: 400,
          whiteSpace: 'nowrap',
          fontSize: role === 'title' ? 25 : 18,
          color: role === 'title' ? 'primary.main' : 'text.primary',
        }}
      >
        {sample}
      </Box>
    </Button>
  );
}
