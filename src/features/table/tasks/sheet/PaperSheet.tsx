'use client';
/** Small things on the paper they are printed on: how many of each, on what, and how it is cut apart. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconFiles, IconPhotoPlus, IconPlus, IconSticker } from '@tabler/icons-react';
import { useMemo, useState, type ReactNode } from 'react';
import { mayLie } from '@/core/packing/sheets';
import { roomFor } from '@/core/packing/things';
import {
  isPrintable,
  LAST_PINNED,
  MOST_PINNED,
  MOST_THINGS,
  sheetIn,
  withPinned,
  type Pinned,
  type SheetProduct,
} from '@/core/product/sheet';
import { changeProduct } from '@/core/project/edits/product';
import { waitingPhotos } from '@/core/project/photos';
import { addPageAfter, toPageAt } from '@/features/table/acts';
import { piecesThatWait, takePhotos, takeWaiting } from '@/features/table/acts/things';
import { TakePages } from '@/features/table/tasks/sheet/TakePages';
import { usePlans } from '@/features/table/parts/usePlans';
import { WideSheet } from '@/features/table/parts/WideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { OnPaper } from '@/features/table/tasks/sheet/OnPaper';
import { PaperControls } from '@/features/table/tasks/sheet/PaperControls';
import { ThingControls } from '@/features/table/tasks/sheet/ThingControls';
import { packedInWords } from '@/features/table/tasks/sheet/words';
import { Turned } from '@/ui/Turned';

interface MoreProps {
  icon: ReactNode;
  disabled: boolean;
  onTake: () => void;
  children: ReactNode;
}

/** What puts more onto the sheet. */
const More = ({ icon, disabled, onTake, children }: MoreProps) => (
  <Button
    fullWidth
    variant="outlined"
    color="inherit"
    disabled={disabled}
    startIcon={icon}
    onClick={onTake}
    sx={{ mt: 1 }}
  >
    {children}
  </Button>
);

/** How many of those that are there come as cards. */
function asCards(count: number, room: number, one: string, more: string): string {
  const come = Math.min(count, room);
  const which = come < count ? 'The first ' : 'The ';
  return come === 1 ? `${which}${one}, as a card` : `${which}${come} ${more}, as cards`;
}

export function PaperSheet({ onClose }: { onClose: () => void }) {
  const product = useSession(({ history }) => sheetIn(history.project.product));
  return product ? <Packing product={product} onClose={onClose} /> : null;
}

function Packing({ product, onClose }: { product: SheetProduct; onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const [cutting, setCutting] = useState(true);
  const [last, setLast] = useState<number | null>(null);
  const packed = usePlans(product);
  const room = roomFor(project);
  const waiting = useMemo(() => piecesThatWait(project).length, [project]);
  const photos = useMemo(() => waitingPhotos(project).length, [project]);
  const [taking, setTaking] = useState(false);
  const change = (to: SheetProduct, label: string) => {
    const { perform, refuse, history, surfaceId } = store.getState();
    if (!isPrintable(to)) return refuse('Less than an inch of paper would be left to print on.');
    // The back that is shown may be no more.
    const [first] = history.project.surfaces;
    const gone = product.things.some(
      ({ part, back }) => back && !to.things.find((each) => each.part === part)?.back,
    );
    if (gone && history.project.surfaces.find(({ id }) => id === surfaceId)?.part?.endsWith('-back'))
      toPageAt(store, first!.id);
    perform(changeProduct(to, label));
  };
  const pin = (at: Pinned, before: number | undefined) => {
    if (!mayLie(product, at, before))
      return store
        .getState()
        .refuse('There it would lie over the edge or over a pinned card: it stays where it was.');
    const known = product.pinned ?? [];
    if (before === undefined && (known.length >= MOST_PINNED || at.sheet > LAST_PINNED))
      return store
        .getState()
        .refuse(`Up to ${MOST_PINNED} cards can be pinned, on up to ${LAST_PINNED + 1} sheets.`);
    const next = before === undefined ? [...known, at] : known.map((each, i) => (i === before ? at : each));
    change(withPinned(product, next), 'lay a card by hand');
    setLast(before ?? known.length);
  };
  return (
    <WideSheet
      title="Sheet and paper"
      tools={<Turned label="Show how it is cut" on={cutting} disabled={false} onTurn={setCutting} />}
      columns="340px minmax(0, 1fr)"
      actions={
        <>
          <Typography role="status" variant="body2" sx={{ flex: 1 }}>
            {packed ? packedInWords(project, packed) : 'Packing …'}
          </Typography>
          <Button color="inherit" onClick={onClose}>
            Shut
          </Button>
          <Button
            variant="contained"
            disabled={!packed?.plans.length}
            onClick={() => {
              onClose();
              store.getState().askMake('page');
            }}
          >
            Make the sheets …
          </Button>
        </>
      }
      onClose={onClose}
    >
      <Box sx={{ p: 2, overflowY: 'auto', minHeight: 0, borderRight: 1, borderColor: 'divider' }}>
        <PaperControls product={product} unit={project.unit} disabled={readOnly} onChange={change} />
        <Typography variant="h3" sx={{ mt: 2.5, mb: 1 }}>
          What is on it
        </Typography>
        <ThingControls project={project} product={product} disabled={readOnly} onChange={change} />
        <More disabled={readOnly} icon={<IconPlus size={18} />} onTake={() => addPageAfter(store, false)}>
          Add a card
        </More>
        {room === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            {MOST_THINGS} cards: a sheet holds no more.
          </Typography>
        )}
        {waiting > 0 && room > 0 && (
          <More disabled={readOnly} icon={<IconSticker size={18} />} onTake={() => takeWaiting(store)}>
            {asCards(waiting, room, 'piece in the workbox', 'pieces in the workbox')}
          </More>
        )}
        <More disabled={readOnly} icon={<IconFiles size={18} />} onTake={() => setTaking(true)}>
          Pages of another project …
        </More>
        {photos > 0 && room > 0 && (
          <More disabled={readOnly} icon={<IconPhotoPlus size={18} />} onTake={() => takePhotos(store)}>
            {asCards(photos, room, 'photo that waits', 'photos that wait')}
          </More>
        )}
      </Box>
      <Box sx={{ p: 2.5, overflowY: 'auto', minHeight: 0, bgcolor: 'table.main' }}>
        {packed && (
          <OnPaper
            project={project}
            packed={packed}
            cutting={cutting}
            disabled={readOnly}
            last={last}
            pinned={product.pinned}
            onPin={pin}
            onUnpin={(gone) =>
              change(
                withPinned(
                  product,
                  product.pinned?.filter((_, i) => i !== gone),
                ),
                'let a card go',
              )
            }
          />
        )}
      </Box>
      {taking && <TakePages onClose={() => setTaking(false)} />}
    </WideSheet>
  );
}
