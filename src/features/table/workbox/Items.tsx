'use client';
/** A row of pictures in a compartment: arrows walk along it, Enter or a double click lays one, dragging carries it. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { IconX } from '@tabler/icons-react';
import { memo, useCallback, useRef } from 'react';
import { uprightSize } from '@/core/picture/asset';
import type { Compartment } from '@/core/project/model';
import { plainName } from '@/core/project/create';
import { writeCarried, type Carried } from '@/features/table/parts/carry';
import type { BoxItem } from '@/features/table/workbox/useWorkbox';
import { UsedMark, usedSays } from '@/ui/UsedMark';

/** Height of what lies in a row, CSS pixels. */
const HEIGHT = 66;
/** Narrowest and widest a thumb gets. */
const NARROWEST = 44;
const WIDEST = 150;

interface Props {
  label: string;
  compartment: Compartment;
  items: readonly BoxItem[];
  /** How many rows there is room for. */
  rows: number;
  onLay: (carried: Carried, anchor: HTMLElement) => void;
  /** Takes it out of the workbox, and says whether it did; absent where nothing can be changed. */
  onTakeOut?: (compartment: Compartment, sha: string) => boolean;
}

export function Items({ label, compartment, items, rows, onLay, onTakeOut }: Props) {
  const row = useRef<HTMLUListElement>(null);
  const walk = useCallback((key: string, index: number) => {
    const buttons = row.current?.querySelectorAll<HTMLElement>('[draggable]') ?? [];
    const last = buttons.length - 1;
    const to = { ArrowRight: index + 1, ArrowLeft: index - 1, Home: 0, End: last }[key];
    if (to === undefined) return false;
    buttons[Math.max(0, Math.min(last, to))]?.focus();
    return true;
  }, []);
  return (
    <Box
      ref={row}
      component="ul"
      aria-label={label}
      data-own-arrows
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        ...(rows > 1
          ? { flexWrap: 'wrap', alignContent: 'flex-start', overflowY: 'auto', maxHeight: '100%' }
          : { overflowX: 'auto', overflowY: 'hidden' }),
        p: '4px 6px',
        m: 0,
        listStyle: 'none',
        scrollbarWidth: 'thin',
      }}
    >
      {items.map(({ asset, thumb, used, ready }, index) => (
        <Item
          key={asset.sha}
          asset={asset}
          thumb={thumb}
          used={used}
          compartment={compartment}
          index={index}
          onWalk={walk}
          onLay={onLay}
          onTakeOut={ready ? undefined : onTakeOut}
        />
      ))}
    </Box>
  );
}

/** The focus goes to what lies beside what is taken out: lost, the next key would be the page's. */
function focusBeside(taken: HTMLElement): void {
  const row = taken.closest('li');
  const beside = row?.nextElementSibling ?? row?.previousElementSibling;
  const next = beside?.querySelector<HTMLElement>('[draggable]');
  (next ?? taken.closest('[data-part]')?.querySelector('button'))?.focus();
}

interface ItemProps extends BoxItem, Pick<Props, 'compartment' | 'onLay' | 'onTakeOut'> {
  index: number;
  onWalk: (key: string, index: number) => boolean;
}

/** Drawn anew only when it changes itself: forty photos arriving must not draw each other again. */
const Item = memo(function Item({
  asset,
  thumb,
  used,
  compartment,
  index,
  onWalk,
  onLay,
  onTakeOut,
}: ItemProps) {
  // Papers are sheets, photos fill their thumb; things of their own are seen whole.
  const sheet = compartment === 'papers';
  const whole = !sheet && compartment !== 'photos';
  const { width, height } = uprightSize(asset);
  const name = plainName(asset.name);
  const carried: Carried = { kind: 'gathered', compartment, sha: asset.sha };
  const by = useRef('mouse');
  return (
    <Box
      component="li"
      sx={{
        position: 'relative',
        flexShrink: 0,
        '& .out': { opacity: 0 },
        '&:hover .out, &:focus-within .out': { opacity: 1 },
      }}
    >
      <Box
        component="button"
        type="button"
        draggable
        tabIndex={index === 0 ? 0 : -1}
        title={`${name}: drag it to the page, or double-click; with a finger, tap it`}
        aria-label={`${name}${used ? `, ${usedSays(used)}` : ''}. Enter lays it on the page.`}
        onDragStart={(event) => writeCarried(event.dataTransfer, carried)}
        onPointerDown={({ pointerType }) => (by.current = pointerType)}
        // A mouse drags; a finger or a pen cannot, and taps.
        onClick={(event) => by.current !== 'mouse' && event.detail > 0 && onLay(carried, event.currentTarget)}
        onDoubleClick={(event) => by.current === 'mouse' && onLay(carried, event.currentTarget)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            onLay(carried, event.currentTarget);
          } else if (event.key === 'Delete' && onTakeOut) {
            event.preventDefault();
            event.stopPropagation();
            const { currentTarget } = event;
            if (onTakeOut(compartment, asset.sha)) focusBeside(currentTarget);
          } else if (onWalk(event.key, index)) event.preventDefault();
        }}
        sx={{
          display: 'block',
          height: HEIGHT,
          width: sheet ? HEIGHT : Math.min(WIDEST, Math.max(NARROWEST, (HEIGHT * width) / height)),
          p: 0,
          border: 0,
          borderRadius: 0.5,
          bgcolor: whole ? 'transparent' : 'divider',
          backgroundImage: thumb ? `url(${thumb})` : 'none',
          backgroundSize: whole ? 'contain' : 'cover',
          backgroundRepeat: 'no-repeat',
          backgroundPosition: 'center',
          boxShadow: whole ? 'none' : '0 1px 2px rgba(40,26,10,0.4), 1px 3px 6px rgba(40,26,10,0.22)',
          filter: whole ? 'drop-shadow(0 1px 1.5px rgba(40,26,10,0.45))' : 'none',
          cursor: 'grab',
        }}
      />
      <UsedMark count={used} />
      {onTakeOut && (
        <IconButton
          className="out"
          size="small"
          tabIndex={-1}
          aria-label="Take it out of the workbox"
          title="Take it out of the workbox (Delete)"
          onClick={() => onTakeOut(compartment, asset.sha)}
          sx={{
            position: 'absolute',
            left: 3,
            top: 3,
            p: 0.25,
            minWidth: 0,
            minHeight: 0,
            bgcolor: 'background.paper',
            '&:hover': { bgcolor: 'background.paper', color: 'error.main' },
          }}
        >
          <IconX size={17} />
        </IconButton>
      )}
    </Box>
  );
});
