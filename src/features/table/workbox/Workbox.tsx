'use client';
/** The open box at the foot of the table: compartments with what was gathered for this project. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { IconBuildingWarehouse, IconLayoutCollage, IconLayoutGrid, IconPlus } from '@tabler/icons-react';
import { Fragment, type ReactNode } from 'react';
import { COMPARTMENTS, type Compartment } from '@/core/project/model';
import { isCarried, readCarried, type Carried } from '@/features/table/parts/carry';
import * as act from '@/features/table/acts';
import { useRoom } from '@/features/table/room/context';
import { Divider } from '@/features/table/workbox/Divider';
import { Items } from '@/features/table/workbox/Items';
import { useWidths } from '@/features/table/workbox/useWidths';
import type { BoxItem, Counting } from '@/features/table/workbox/useWorkbox';
import { WordsCompartment } from '@/features/table/workbox/WordsCompartment';
import { tip } from '@/features/table/tasks';
import { StillDrawn } from '@/features/shared/StillDrawn';

const WORKBOX_HEIGHT = 172;

const EMPTY: Record<Compartment, string> = {
  photos:
    'Photos for this page wait here. Drop them anywhere on the table, or bring them in: JPEG, PNG, WebP or HEIC, as many as you like.',
  papers: 'Papers from the cupboard wait here.',
  stamps: 'Stamps arrive as ink.',
  bits: 'Buttons, ribbons, tags.',
  frames: 'A frame takes a photo.',
  letters: 'Letters, one by one.',
};

export interface WorkboxProps {
  items: Readonly<Record<Compartment, readonly BoxItem[]>>;
  counting: Counting | null;
  readOnly: boolean;
  onPickFiles: () => void;
  cupboardOpen: boolean;
  onCupboard: () => void;
  /** A supply was dropped into the box. */
  onGather: (id: string) => void;
  /** Laid by Enter or a double click; `anchor` is where a menu may open. */
  onLay: (carried: Carried, anchor: HTMLElement) => void;
}

export function Workbox(props: WorkboxProps) {
  const { store } = useRoom();
  const { items, counting, readOnly, onPickFiles, onLay } = props;
  const { widths, drag } = useWidths((name) => items[name].length);
  const used = (name: Compartment) => items[name].filter((item) => item.used > 0).length;
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
        height: WORKBOX_HEIGHT,
        bgcolor: 'table.box',
        display: 'flex',
        p: 1,
        borderTop: 1,
        borderColor: 'divider',
        boxShadow: 'inset 0 6px 10px -8px rgba(40,26,10,0.55)',
      }}
    >
      <Button
        onClick={props.onCupboard}
        aria-expanded={props.cupboardOpen}
        title={tip('Open or shut the cupboard', 'C')}
        color="inherit"
        sx={{
          flexDirection: 'column',
          gap: 0.75,
          width: 92,
          mr: 1,
          flexShrink: 0,
          border: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <IconBuildingWarehouse size={26} stroke={1.6} />
        Cupboard
      </Button>
      {COMPARTMENTS.map((name, index) => (
        <Fragment key={name}>
          {index > 0 && (
            <Divider
              label={`Width of ${COMPARTMENTS[index - 1]} and ${name}`}
              share={Math.round(
                (100 * widths[COMPARTMENTS[index - 1]!]) / (widths[COMPARTMENTS[index - 1]!] + widths[name]),
              )}
              onDrag={(share) => drag(COMPARTMENTS[index - 1]!, name, share)}
            />
          )}
          <Compartment
            name={name[0]!.toUpperCase() + name.slice(1)}
            width={widths[name]}
            count={countInWords(items[name].length, used(name), name)}
            action={
              name === 'photos' &&
              !readOnly && (
                <>
                  {items.photos.length > 1 && (
                    <>
                      <Button
                        size="small"
                        color="inherit"
                        startIcon={<IconLayoutGrid size={17} />}
                        onClick={() => store.getState().openSheet('desk')}
                      >
                        Desk
                      </Button>
                      <Button
                        size="small"
                        color="inherit"
                        startIcon={<IconLayoutCollage size={17} />}
                        onClick={() => store.getState().openSheet('proposals')}
                      >
                        Arrange
                      </Button>
                    </>
                  )}
                  <Button
                    size="small"
                    color="inherit"
                    startIcon={<IconPlus size={17} />}
                    aria-label="Bring in photos"
                    onClick={onPickFiles}
                  >
                    Bring in
                  </Button>
                </>
              )
            }
          >
            {name === 'papers' && <StillDrawn what="The house papers are" />}
            {name === 'photos' && counting && <Progress {...counting} />}
            {items[name].length > 0 ? (
              <Items
                label={name[0]!.toUpperCase() + name.slice(1)}
                compartment={name}
                items={items[name]}
                onLay={onLay}
                onTakeOut={readOnly ? undefined : (from, sha) => act.takeOut(store, from, sha)}
              />
            ) : (
              !(name === 'photos' && counting) && (
                <Typography variant="body2" color="text.secondary" sx={{ px: 1, maxWidth: 420 }}>
                  {EMPTY[name]}
                </Typography>
              )
            )}
          </Compartment>
        </Fragment>
      ))}
      <WordsCompartment readOnly={readOnly} onLay={onLay} />
    </Box>
  );
}

const countInWords = (count: number, used: number, name: Compartment): string =>
  count === 0 ? '' : name === 'photos' ? `${count}, ${used} used` : String(count);

function Progress({ done, of, cancel }: Counting) {
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 1.5, px: 1, width: '100%' }}>
      <Typography variant="body2" noWrap>
        Bringing in {done} of {of}
      </Typography>
      <LinearProgress
        variant="determinate"
        value={(100 * done) / of}
        sx={{ flex: 1 }}
        aria-label="Bringing in photos"
      />
      <Button size="small" onClick={cancel}>
        Cancel
      </Button>
    </Box>
  );
}

interface CompartmentProps {
  name: string;
  /** Its share of the box's width. */
  width: number;
  count: string;
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
        flexDirection: 'column',
        flex: `${width} 1 0`,
        minWidth: 78,
        overflow: 'hidden',
        boxShadow: 'inset 0 2px 5px rgba(60,40,15,0.16)',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', px: 1.25, minHeight: 40, gap: 0.75 }}>
        <Typography component="h2" sx={{ fontWeight: 600, fontSize: '0.95rem' }}>
          {name}
        </Typography>
        <Typography variant="caption" color="text.secondary" noWrap>
          {count}
        </Typography>
        <Box
          sx={{
            ml: 'auto',
            whiteSpace: 'nowrap',
            '& .MuiButton-root': { minWidth: 0, px: 0.7 },
            '& .MuiButton-startIcon': { mr: 0.5 },
          }}
        >
          {action}
        </Box>
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
          px: 0.25,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
