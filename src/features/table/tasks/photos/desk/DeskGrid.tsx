'use client';
/** The desk's photos under their headings; only rows in sight are drawn. Arrows walk, Space chooses, 0 to 5 give stars. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { IconStarFilled } from '@tabler/icons-react';
import { memo, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Asset } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import {
  GAP,
  HEADING_HEIGHT,
  PHOTO_HEIGHT,
  rowsOf,
  widthOf,
  type Section,
} from '@/features/table/tasks/photos/desk/rows';
import type { Desk } from '@/features/table/tasks/photos/desk/useDesk';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { UsedMark, usedSays } from '@/ui/UsedMark';
import { focusAt, useLongList, useWidth } from '@/ui/useLongList';

/** `add` keeps what was chosen; `run` chooses all from the last to this one. */
export type Choosing = 'only' | 'add' | 'run';

interface Props {
  desk: Desk;
  chosen: ReadonlySet<string>;
  onChoose: (sha: string, how: Choosing) => void;
  /** Chooses all of these, or none if all are chosen. */
  onChooseAll: (photos: readonly Asset[]) => void;
  /** Enter or a double click. */
  onTake: (asset: Asset) => void;
  onStars: (stars: number) => void;
}

export function DeskGrid({ desk, chosen, onChoose, onChooseAll, onTake, onStars }: Props) {
  const { sections, shown } = desk;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame) - 24;
  const [at, setAt] = useState(0);
  const focus = Math.min(at, Math.max(0, shown.length - 1));
  const thumbs = useThumbs(useMemo(() => shown.map(({ sha }) => sha), [shown]));
  const rows = useMemo(() => rowsOf(sections, width), [sections, width]);

  const list = useLongList(frame, {
    count: rows.length,
    estimateSize: (i) => (rows[i]?.kind === 'heading' ? HEADING_HEIGHT : PHOTO_HEIGHT + GAP),
    overscan: 4,
  });
  useEffect(() => list.measure(), [list, rows]);

  const go = (index: number) => {
    setAt(index);
    list.scrollToIndex(rowAt(index));
    focusAt(frame, index);
  };
  const rowAt = (index: number) =>
    rows.findIndex(
      (row) => row.kind === 'photos' && index >= row.from && index < row.from + row.photos.length,
    );
  /** The photo of the next or last row that lies nearest below or above. */
  const across = (index: number, way: 1 | -1): number => {
    const middles = (row: readonly Asset[]) => {
      let left = 0;
      return row.map((asset) => {
        const wide = widthOf(asset);
        left += wide + GAP;
        return left - GAP - wide / 2;
      });
    };
    const here = rows[rowAt(index)];
    const photoRows = rows.filter((row) => row.kind === 'photos');
    if (here?.kind !== 'photos') return index;
    const there = photoRows[photoRows.indexOf(here) + way];
    if (!there) return way > 0 ? shown.length - 1 : 0;
    const x = middles(here.photos)[index - here.from]!;
    const offs = middles(there.photos).map((middle) => Math.abs(middle - x));
    return there.from + offs.indexOf(Math.min(...offs));
  };

  const press = (event: KeyboardEvent) => {
    const spot = (event.target as HTMLElement).closest<HTMLElement>('[data-at]')?.dataset.at;
    if (spot === undefined) return;
    const here = Number(spot);
    const asset = shown[here];
    if (!asset || event.altKey) return;
    const moves: Record<string, () => number> = {
      ArrowRight: () => here + 1,
      ArrowLeft: () => here - 1,
      ArrowDown: () => across(here, 1),
      ArrowUp: () => across(here, -1),
      Home: () => 0,
      End: () => shown.length - 1,
    };
    const ctrl = event.ctrlKey || event.metaKey;
    if (moves[event.key]) {
      const to = Math.max(0, Math.min(shown.length - 1, moves[event.key]!()));
      go(to);
      if (event.shiftKey) onChoose(shown[to]!.sha, 'run');
    } else if (event.key === ' ') onChoose(asset.sha, ctrl || !chosen.has(asset.sha) ? 'add' : 'only');
    else if (event.key === 'Enter') onTake(asset);
    else if (ctrl && event.key === 'a') onChooseAll(shown.filter(({ sha }) => !chosen.has(sha)));
    else if (!ctrl && /^[0-5]$/.test(event.key)) onStars(Number(event.key));
    else return;
    event.preventDefault();
  };

  return (
    <Box
      ref={frame}
      data-own-keys
      data-own-arrows
      onKeyDown={press}
      role="group"
      aria-label="Photos of this project"
      sx={{ height: '100%', overflowY: 'auto', px: 1.5, scrollbarWidth: 'thin' }}
    >
      <Box role="presentation" sx={{ position: 'relative', height: list.getTotalSize() }}>
        {list.getVirtualItems().map((item) => {
          const row = rows[item.index];
          if (!row) return null;
          return (
            <div
              key={item.key}
              role="presentation"
              style={{
                position: 'absolute',
                top: 0,
                left: 0,
                right: 0,
                height: item.size,
                display: 'flex',
                gap: GAP,
                transform: `translateY(${item.start}px)`,
              }}
            >
              {row.kind === 'heading' ? (
                <Heading section={row.section} onChooseAll={onChooseAll} />
              ) : (
                row.photos.map((asset, i) => (
                  <Photo
                    key={asset.sha}
                    asset={asset}
                    thumb={thumbs.get(asset.sha)}
                    index={row.from + i}
                    tabbable={row.from + i === focus}
                    chosen={chosen.has(asset.sha)}
                    used={desk.used.get(asset.sha) ?? 0}
                    blurred={desk.isBlurred(asset)}
                    alike={desk.alike.get(asset.sha)?.length ?? 0}
                    onFocusAt={setAt}
                    onChoose={onChoose}
                    onTake={onTake}
                  />
                ))
              )}
            </div>
          );
        })}
      </Box>
    </Box>
  );
}

function Heading({ section, onChooseAll }: { section: Section } & Pick<Props, 'onChooseAll'>) {
  return (
    <Box
      role="presentation"
      sx={{ display: 'flex', alignItems: 'flex-end', gap: 1.25, width: '100%', pb: 0.5 }}
    >
      <Typography variant="h3" sx={{ whiteSpace: 'nowrap', lineHeight: 1.5 }}>
        {section.title}
      </Typography>
      <Typography variant="body2" color="text.secondary" noWrap sx={{ flex: 1, pb: '2px' }}>
        {section.says}
      </Typography>
      <Button
        size="small"
        color="inherit"
        aria-label={`Choose all of ${section.title}`}
        onClick={() => onChooseAll(section.photos)}
        sx={{ minHeight: 30, py: 0 }}
      >
        Choose all
      </Button>
    </Box>
  );
}

interface PhotoProps extends Pick<Props, 'onChoose' | 'onTake'> {
  asset: Asset;
  thumb?: string;
  index: number;
  tabbable: boolean;
  chosen: boolean;
  used: number;
  blurred: boolean;
  alike: number;
  onFocusAt: (index: number) => void;
}

const Photo = memo(function Photo(props: PhotoProps) {
  const { asset, thumb, index, tabbable, chosen, used, blurred, alike } = props;
  const stars = asset.notes?.stars ?? 0;
  const said = [
    plainName(asset.name),
    stars && `${stars} ${stars === 1 ? 'star' : 'stars'}`,
    used && usedSays(used),
    blurred && 'blurred',
    alike && `${alike - 1} alike`,
  ].filter(Boolean);
  const marks = [blurred && 'blurred', alike > 0 && `${alike} alike`].filter(Boolean);
  return (
    <Frame
      role="checkbox"
      aria-checked={chosen}
      aria-label={said.join(', ')}
      data-at={index}
      className={chosen ? 'chosen' : undefined}
      tabIndex={tabbable ? 0 : -1}
      title={plainName(asset.name)}
      onFocus={() => props.onFocusAt(index)}
      onClick={(event) =>
        props.onChoose(asset.sha, event.shiftKey ? 'run' : event.ctrlKey || event.metaKey ? 'add' : 'only')
      }
      onDoubleClick={() => props.onTake(asset)}
      style={{ width: widthOf(asset), backgroundImage: thumb ? `url("${thumb}")` : undefined }}
    >
      <UsedMark count={used} />
      {(stars > 0 || marks.length > 0) && (
        <Foot aria-hidden>
          <span>{marks.join(', ')}</span>
          {stars > 0 && (
            <span style={{ display: 'inline-flex', alignItems: 'center', gap: 2 }}>
              {stars}
              <IconStarFilled size={13} />
            </span>
          )}
        </Foot>
      )}
    </Frame>
  );
});

// Drawn by the hundred while one scrolls: styles that never change are made once.
const Frame = styled('div')(({ theme }) => ({
  position: 'relative',
  flexShrink: 0,
  height: PHOTO_HEIGHT,
  borderRadius: 4,
  cursor: 'pointer',
  backgroundColor: (theme.vars ?? theme).palette.divider,
  backgroundSize: 'cover',
  backgroundPosition: 'center',
  boxShadow: '0 1px 2px rgba(40,26,10,0.35)',
  '&.chosen': {
    boxShadow: `inset 0 0 0 2px ${(theme.vars ?? theme).palette.background.paper}`,
    outline: `2.5px dashed ${(theme.vars ?? theme).palette.primary.main}`,
    outlineOffset: 0,
  },
  '&:focus-visible': {
    outline: `3px solid ${(theme.vars ?? theme).palette.primary.main}`,
    outlineOffset: 1,
  },
}));
const Foot = styled('div')({
  position: 'absolute',
  left: 0,
  right: 0,
  bottom: 0,
  padding: '1px 7px',
  display: 'flex',
  justifyContent: 'space-between',
  fontSize: 14,
  color: '#fff',
  background: 'rgba(26,22,18,0.74)',
  borderRadius: '0 0 4px 4px',
});
