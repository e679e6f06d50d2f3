'use client';
/** The open box at the foot of the table: compartments with what was gathered for this project. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  IconBuildingWarehouse,
  IconChevronDown,
  IconChevronUp,
  IconLayoutCollage,
  IconLayoutGrid,
  IconPlus,
  IconX,
} from '@tabler/icons-react';
import { Fragment, memo, type ReactNode, useCallback } from 'react';
import { COMPARTMENTS, type Compartment as CompartmentName } from '@/core/project/model';
import { KINDS, SUPPLY_KINDS } from '@/core/supplies/model';
import { isCarried, readCarried, type Carried } from '@/features/table/parts/carry';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { Divider } from '@/features/table/workbox/Divider';
import { Items } from '@/features/table/workbox/Items';
import { useWidths } from '@/features/table/workbox/useWidths';
import type { BoxItem, Counting } from '@/features/table/workbox/useWorkbox';
import { WordsCompartment } from '@/features/table/workbox/WordsCompartment';
import { tip } from '@/features/table/tasks';
import { StillDrawn } from '@/features/shared/StillDrawn';
import { HowFar } from '@/ui/HowFar';

/** Height of what one more row takes, and of the box's own sides, CSS pixels. */
const ROW = 74;
const SIDES = 22;

/** What is said of a compartment that holds nothing: what comes into it, and how. */
const EMPTY: Record<CompartmentName, string> = {
  photos:
    'Photos for this page wait here. Drop them on the table, or bring in as many as you like: JPEG, PNG, WebP, HEIC.',
  papers: 'Papers from the cupboard wait here.',
  stamps: 'Stamps arrive as ink.',
  bits: 'Buttons, ribbons, tags.',
  frames: 'A frame takes a photo.',
  letters: 'Letters, one by one.',
};
export interface WorkboxProps {
  items: Readonly<Record<CompartmentName, readonly BoxItem[]>>;
  counting: Counting | null;
  readOnly: boolean;
  cupboardOpen: boolean;
  onCupboard: () => void;
  /** A supply was dropped into the box. */
  onGather: (id: string) => void;
  /** Laid by Enter or a double click; `anchor` is where a menu may open. */
  onLay: (carried: Carried, anchor: HTMLElement) => void;
}

/** What it holds is drawn anew as things arrive; what stands beside that, only when it says something else. */
export function Workbox(props: WorkboxProps) {
  const { store } = useRoom();
  const { items, counting, readOnly, onLay } = props;
  // The same one each time, so that what lies in the box is not drawn anew with it.
  const takeOut = useCallback((from: CompartmentName, sha: string) => act.takeOut(store, from, sha), [store]);
  const { widths, drag } = useWidths((name) => items[name].length);
  const rows = useSession((session) => session.boxRows);
  // Photos always have a place: the page begins with them.
  const filled = COMPARTMENTS.filter((name) => name === 'photos' || items[name].length > 0);
  return (
    <Box
      component="section"
      aria-label="Workbox"
      data-part
      onDragOver={(event) => isCarried(event.dataTransfer) && event.preventDefault()}
      onDrop={(event) => {
        const carried = readCarried(event.dataTransfer);
        if (!carried) return;
        event.preventDefault();
        event.stopPropagation();
        if (carried.kind === 'supply') props.onGather(carried.id);
      }}
      sx={{
        height: rows * ROW + SIDES,
        flexShrink: 0,
        bgcolor: 'table.box',
        display: 'flex',
        p: '7px 8px',
        borderTop: 1,
        borderColor: 'divider',
        boxShadow: 'inset 0 6px 10px -8px rgba(40,26,10,0.55)',
      }}
    >
      <BoxCorner onCupboard={props.onCupboard} cupboardOpen={props.cupboardOpen} />
      {COMPARTMENTS.map((name) => {
        const before = filled[filled.indexOf(name) - 1];
        if (!filled.includes(name))
          return <Folded key={name} name={name} says={EMPTY[name]} disabled={readOnly} />;
        return (
          <Fragment key={name}>
            {before && (
              <Divider
                label={`Width of ${before} and ${name}`}
                share={Math.round((100 * widths[before]) / (widths[before] + widths[name]))}
                onDrag={(share) => drag(before, name, share)}
              />
            )}
            <Compartment
              name={titled(name)}
              width={widths[name]}
              count={items[name].length}
              action={name === 'photos' && !readOnly && <PhotoActions many={items.photos.length > 1} />}
            >
              {name === 'papers' && <StillDrawn at="/house/papers.json" what="The house papers are" />}
              {name === 'photos' && counting && <Progress {...counting} />}
              {items[name].length > 0 ? (
                <Items
                  label={titled(name)}
                  compartment={name}
                  items={items[name]}
                  rows={rows}
                  onLay={onLay}
                  onTakeOut={readOnly ? undefined : takeOut}
                />
              ) : (
                !(name === 'photos' && counting) && (
                  <Typography
                    variant="body2"
                    color="text.secondary"
                    title={EMPTY[name]}
                    // No more of it than there is room for.
                    sx={{
                      px: 1,
                      maxWidth: 460,
                      lineHeight: 1.35,
                      display: '-webkit-box',
                      WebkitLineClamp: '4',
                      WebkitBoxOrient: 'vertical',
                      overflow: 'hidden',
                    }}
                  >
                    {EMPTY[name]}
                  </Typography>
                )
              )}
            </Compartment>
          </Fragment>
        );
      })}
      <WordsCompartment readOnly={readOnly} onLay={onLay} />
    </Box>
  );
}

const titled = (name: CompartmentName): string => name[0]!.toUpperCase() + name.slice(1);

/** The box's own corner: to the cupboard, and how much of the table the box takes. */
const BoxCorner = memo(function BoxCorner({
  onCupboard,
  cupboardOpen,
}: Pick<WorkboxProps, 'onCupboard' | 'cupboardOpen'>) {
  const { store } = useRoom();
  const tall = useSession((session) => session.boxRows > 1);
  const size = tip(tall ? 'One row in the workbox' : 'Three rows in the workbox', '5');
  const away = tip('Put the workbox away', 'W');
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.5, width: 92, mr: 1, flexShrink: 0 }}>
      <Button
        onClick={onCupboard}
        aria-expanded={cupboardOpen}
        title={tip('Open or shut the cupboard', 'C')}
        color="inherit"
        sx={{
          flex: 1,
          flexDirection: 'column',
          gap: 0,
          p: 0,
          lineHeight: 1.2,
          border: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <IconBuildingWarehouse size={22} stroke={1.6} />
        Cupboard
      </Button>
      <Box
        sx={{ display: 'flex', '& .MuiIconButton-root': { flex: 1, p: 0, height: 24, borderRadius: 1.5 } }}
      >
        <IconButton
          color="inherit"
          title={size}
          aria-label={size}
          onClick={() => store.getState().setBoxRows(tall ? 1 : 3)}
        >
          {tall ? <IconChevronDown size={18} /> : <IconChevronUp size={18} />}
        </IconButton>
        <IconButton
          color="inherit"
          title={away}
          aria-label={away}
          onClick={() => store.getState().toggle('workbox')}
        >
          <IconX size={16} />
        </IconButton>
      </Box>
    </Box>
  );
});

/** What is done with photos before they lie on the page. */
const PhotoActions = memo(function PhotoActions({ many }: { many: boolean }) {
  const { store } = useRoom();
  return (
    <>
      <Action
        name="Bring in"
        label="Bring in photos"
        Icon={IconPlus}
        onClick={() => store.getState().bringFiles()}
        wide={!many}
      />
      {many && (
        <>
          <Action
            name="Desk"
            label="Desk"
            Icon={IconLayoutGrid}
            onClick={() => store.getState().openSheet('desk')}
          />
          <Action
            name="Arrange"
            label="Arrange"
            Icon={IconLayoutCollage}
            onClick={() => store.getState().openSheet('proposals')}
          />
        </>
      )}
    </>
  );
});

interface ActionProps {
  name: string;
  label: string;
  Icon: typeof IconPlus;
  wide?: boolean;
  onClick: () => void;
}

const Action = ({ name, label, Icon, wide = false, onClick }: ActionProps) => (
  <Button
    size="small"
    color="inherit"
    startIcon={<Icon size={16} />}
    aria-label={label}
    onClick={onClick}
    sx={{
      minHeight: 24,
      py: 0,
      px: 0.75,
      justifyContent: 'flex-start',
      lineHeight: 1.2,
      fontSize: '0.85rem',
      '& .MuiButton-startIcon': { mr: 0.5, ml: 0 },
      ...(wide && {
        minHeight: 36,
        border: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        mr: 0.75,
      }),
    }}
  >
    {name}
  </Button>
);

/** A compartment with nothing in it, folded to its name: it takes what is dropped on it, tells what it is for, and leads to the cupboard. */
const Folded = memo(function Folded({
  name,
  says,
  disabled,
}: {
  name: CompartmentName;
  says: string;
  disabled: boolean;
}) {
  const { store } = useRoom();
  return (
    <Tooltip describeChild title={`${says} Press to look for some in the cupboard, or drop one here.`}>
      <Box
        component="section"
        aria-label={titled(name)}
        sx={{ ml: 0.75, display: 'flex', flexShrink: 0, borderRadius: 1.5, bgcolor: 'table.compartment' }}
      >
        <ButtonBase
          disabled={disabled}
          aria-label={`Look for ${name} in the cupboard`}
          onClick={() =>
            store.getState().lookInCupboard(SUPPLY_KINDS.filter((kind) => KINDS[kind].compartment === name))
          }
          sx={{ width: 30, borderRadius: 1.5, fontFamily: 'inherit', '&:hover': { bgcolor: 'action.hover' } }}
        >
          <Upright>{titled(name)}</Upright>
        </ButtonBase>
      </Box>
    </Tooltip>
  );
});

/** Words that run up the side of a compartment. */
const Upright = ({ children }: { children: ReactNode }) => (
  <Box
    component="span"
    sx={{
      writingMode: 'vertical-rl',
      transform: 'rotate(180deg)',
      fontWeight: 600,
      fontSize: '0.85rem',
      lineHeight: 1,
      whiteSpace: 'nowrap',
    }}
  >
    {children}
  </Box>
);

function Progress({ done, of, cancel }: Counting) {
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 1.5, px: 1, width: '100%' }}>
      <Typography variant="body2" noWrap>
        {of === null
          ? 'Reading what you dropped'
          : done
            ? `Bringing in ${done} of ${of}`
            : `${of} ${of === 1 ? 'file is' : 'files are'} coming in`}
      </Typography>
      <HowFar
        {...(of === null ? {} : { variant: 'determinate', value: (100 * done) / of })}
        sx={{ flex: 1 }}
        aria-label="Bringing in photos"
      />
      {cancel && (
        <Button size="small" onClick={cancel}>
          Cancel
        </Button>
      )}
    </Box>
  );
}

interface CompartmentProps {
  name: string;
  /** Its share of the box's width. */
  width: number;
  count: number;
  action?: ReactNode;
  children: ReactNode;
}

export function Compartment({ name, width, count, action, children }: CompartmentProps) {
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{
        bgcolor: 'table.compartment',
        borderRadius: 1.5,
        display: 'flex',
        flex: `${width} 1 0`,
        minWidth: 96,
        overflow: 'hidden',
        boxShadow: 'inset 0 2px 5px rgba(60,40,15,0.16)',
      }}
    >
      <Box sx={{ width: 28, flexShrink: 0, display: 'grid', placeItems: 'center' }}>
        <Upright>
          <Box component="h2" sx={{ font: 'inherit', display: 'inline', m: 0 }}>
            {name}
          </Box>{' '}
          <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.8rem' }}>
            {count || ''}
          </Box>
        </Upright>
      </Box>
      <Box
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
          gap: 0.25,
        }}
      >
        {children}
      </Box>
      {action && (
        <Box sx={{ display: 'flex', flexDirection: 'column', justifyContent: 'center', flexShrink: 0 }}>
          {action}
        </Box>
      )}
    </Box>
  );
}
