'use client';
/** Out: what a project is made into, by what it is for, with what comes out told before it is made. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { waysOut, type Product } from '@/core/product';
import { useSession } from '@/features/table/room/context';
import { FileMade } from '@/features/table/tasks/making/FileMade';
import { OrderPrints } from '@/features/table/tasks/making/order/OrderPrints';
import { useOrder } from '@/features/table/tasks/making/order/useOrder';
import { PURPOSES, purposeOf, type PurposeId } from '@/features/table/tasks/making/purposes';
import { useMake } from '@/features/table/tasks/making/useMake';
import { useMaker } from '@/features/table/tasks/making/useMaker';
import type { MakeOptions } from '@/output/formats';

type Wishes = Record<PurposeId, MakeOptions>;
const IDS = Object.keys(PURPOSES) as PurposeId[];
const FIRST = Object.fromEntries(IDS.map((id) => [id, PURPOSES[id].first])) as Wishes;

/** What is cut out afterwards is printed at its size, with squares and nothing around it. */
const TO_BE_CUT: Partial<MakeOptions> = { squares: true, cropMarks: false, withBleed: false };

/** Nothing is reckoned for it while it is shut; what was chosen stays for the next time. */
export function MakeDialog({ onClose }: { onClose: () => void }) {
  const [wishes, setWishes] = useState(FIRST);
  const [purpose, setPurpose] = useState<PurposeId | null>(null);
  const what = useSession((session) => session.make);
  return what ? <Out {...{ what, wishes, purpose, setWishes, setPurpose, onClose }} /> : null;
}

interface OutProps {
  what: 'page' | 'chosen' | 'printed';
  wishes: Wishes;
  /** The one of the last time; null the first time. */
  purpose: PurposeId | null;
  setWishes: (wishes: Wishes) => void;
  setPurpose: (purpose: PurposeId) => void;
  onClose: () => void;
}

/** Things packed on paper are printed at home. */
const usual = (product: Product): PurposeId =>
  waysOut(product).some(({ packed }) => packed) ? 'home' : 'shop';

function Out({ what, wishes, purpose: last, setWishes, setPurpose, onClose }: OutProps) {
  const selection = useSession((session) => session.selection);
  const product = useSession((session) => session.history.project.product);
  const title = useSession((session) => session.history.project.title);
  const [purpose, choose] = useState<PurposeId>(() =>
    what === 'printed' ? 'home' : what === 'chosen' && selection.length ? 'work' : (last ?? usual(product)),
  );
  const [toCut, setToCut] = useState(what === 'printed' ? { ...wishes.home, ...TO_BE_CUT } : null);
  const maker = useMaker();
  const file = useMake(maker);
  const order = useOrder(maker);
  const busy = file.making.state === 'making' || order.busy;
  const turnTo = (id: PurposeId) => {
    file.cancel();
    choose(id);
    if (what === 'page') setPurpose(id);
  };
  const own = toCut && purpose === 'home' ? toCut : wishes[purpose];
  const wish = (next: MakeOptions) =>
    toCut && purpose === 'home' ? setToCut(next) : setWishes({ ...wishes, [purpose]: next });
  return (
    <Dialog
      open
      onClose={() => !busy && onClose()}
      maxWidth="lg"
      fullWidth
      aria-labelledby="make-title"
      slotProps={{ paper: { sx: { height: 'min(720px, calc(100% - 48px))', m: 3 } } }}
    >
      <DialogTitle id="make-title" variant="h2" sx={{ pb: 1.5 }}>
        Make “{title}”
      </DialogTitle>
      <Box
        sx={{
          ...{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '216px 1fr' } },
          ...{ flex: 1, minHeight: 0, borderTop: 1, borderColor: 'divider' },
        }}
      >
        <Rail purpose={purpose} disabled={busy} onChoose={turnTo} />
        {purpose === 'order' ? (
          <OrderPrints order={order} onClose={onClose} />
        ) : (
          <FileMade
            key={purpose}
            purpose={purposeOf(purpose)}
            wished={own}
            chosen={what === 'chosen'}
            {...{ file, onClose }}
            onWish={wish}
          />
        )}
      </Box>
    </Dialog>
  );
}

interface RailProps {
  purpose: PurposeId;
  disabled: boolean;
  onChoose: (id: PurposeId) => void;
}

/** What it is for, one under the other. */
function Rail({ purpose, disabled, onChoose }: RailProps) {
  return (
    <Box
      component="nav"
      aria-label="What for"
      sx={{
        ...{ display: 'flex', flexDirection: { xs: 'row', sm: 'column' }, gap: 0.5, p: 1.5 },
        ...{ overflow: 'auto', borderRight: { sm: 1 }, borderColor: { sm: 'divider' } },
      }}
    >
      {IDS.map((id) => {
        const { name, says, Icon } = PURPOSES[id];
        return (
          <ButtonBase
            key={id}
            aria-current={purpose === id}
            disabled={disabled}
            onClick={() => onChoose(id)}
            sx={{
              ...{ justifyContent: 'flex-start', alignItems: 'flex-start', gap: 1.25, textAlign: 'left' },
              ...{ borderRadius: 1.5, px: 1.25, py: 1, font: 'inherit', flexShrink: 0 },
              ...(purpose === id
                ? { bgcolor: 'action.selected' }
                : { '&:hover': { bgcolor: 'action.hover' } }),
              ...{ opacity: disabled && purpose !== id ? 0.5 : 1 },
            }}
          >
            <Box
              sx={{ color: purpose === id ? 'primary.main' : 'text.secondary', display: 'flex', pt: 0.25 }}
            >
              <Icon size={22} stroke={1.6} />
            </Box>
            <Box>
              <Typography sx={{ fontWeight: 600, lineHeight: 1.3 }}>{name}</Typography>
              <Typography
                variant="caption"
                color="text.secondary"
                sx={{ display: { xs: 'none', sm: 'block' }, lineHeight: 1.3 }}
              >
                {says}
              </Typography>
            </Box>
          </ButtonBase>
        );
      })}
    </Box>
  );
}
