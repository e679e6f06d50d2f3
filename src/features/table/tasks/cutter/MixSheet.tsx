'use client';
/** The same cut from several papers, and its parts dealt among them: seen on the page before and after. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPlus, IconX } from '@tabler/icons-react';
import { useEffect, useMemo, useState } from 'react';
import { DEALS, MOST_MIXED, type Deal } from '@/core/cutter/mix';
import { dealable, mixedEdit, type Mixed } from '@/features/table/acts/mixing';
import { InkField } from '@/features/table/parts/inks/InkField';
import { PaperField } from '@/features/table/parts/PaperField';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { Chosen } from '@/ui/Chosen';
import { SmallButton } from '@/ui/SmallButton';
import { OneOf } from '@/ui/OneOf';

const DEAL_NAMES: Record<Deal, string> = {
  turn: 'One after the other',
  rows: 'Row by row',
  columns: 'Column by column',
  chance: 'By chance',
};
/** Madder, verdigris and sand cardstock, to begin with. */
const FIRST: readonly Mixed[] = [{ colour: '#9e2b45' }, { colour: '#2f6f68' }, { colour: '#e3c99a' }];
const MORE = '#4d5a78';

export function MixSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const selection = useSession((session) => session.selection);
  const history = useSession((session) => session.history);
  const [papers, setPapers] = useState<readonly Mixed[]>(FIRST);
  const [how, setHow] = useState<Deal>('rows');
  const [mix, setMix] = useState(0);
  const [after, setAfter] = useState(true);
  const [waiting, setWaiting] = useState(0);
  // What can be dealt is found from what is selected and how it lies.
  const told = useMemo(() => {
    void selection;
    void history;
    return dealable(store.getState());
  }, [store, selection, history]);
  const edit = useMemo(
    () => (told.ok ? mixedEdit(told.value, papers, how, mix % papers.length) : null),
    [told, papers, how, mix],
  );
  useEffect(() => {
    store.getState().tryOut(after ? edit : null);
    return () => store.getState().tryOut(null);
  }, [store, edit, after]);
  const choose = (at: number, one: Mixed) =>
    setPapers((now) => now.map((each, i) => (i === at ? one : each)));
  const deal = () => {
    if (!edit || !told.ok) return;
    store.getState().perform(edit, { selection: told.value.pieces.map(({ id }) => id) });
    onClose();
  };
  return (
    <SideSheet title="Deal among papers" onClose={onClose}>
      <Typography role="status" sx={{ mb: 1.5 }}>
        {told.ok
          ? `${told.value.pieces.length} parts, as if the same had been cut from ${papers.length} papers at once.`
          : told.message}
      </Typography>
      {told.ok && (
        <>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 96px', gap: 1, mt: 1.5 }}>
            <Chosen
              label="Dealt"
              value={how}
              all={DEALS.map((id) => [id, DEAL_NAMES[id]] as const)}
              disabled={readOnly}
              onChoose={setHow}
            />
            <Chosen
              label="Which mix"
              value={mix % papers.length}
              all={papers.map((_, i) => [i, `${i + 1} of ${papers.length}`] as const)}
              disabled={readOnly}
              onChoose={(value) => setMix(Number(value))}
            />
          </Box>
          <Box sx={{ display: 'grid', gap: 1.5, mt: 1.5, mb: 2 }}>
            <OneOf
              label="What the page shows"
              value={after}
              all={[
                [false, 'Before'],
                [true, 'After'],
              ]}
              wide
              onChoose={(next: boolean) => setAfter(next)}
            />
            <Button variant="contained" disabled={readOnly || waiting > 0} onClick={deal} sx={{ mt: 1.5 }}>
              Deal them
            </Button>
          </Box>
          <Box component="ol" aria-label="Papers" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {papers.map((one, i) => (
              <Box component="li" key={i} sx={{ borderTop: '1px dotted', borderColor: 'divider', py: 1.25 }}>
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
                  <Box sx={{ flex: 1, minWidth: 0, '& .MuiTextField-root': { width: '100%' } }}>
                    <PaperField
                      label={`Paper ${i + 1}`}
                      paper={'paper' in one ? one.paper.sha : null}
                      disabled={readOnly}
                      onWait={(begins) => setWaiting((now) => now + (begins ? 1 : -1))}
                      onNone={() => choose(i, FIRST[i] ?? { colour: MORE })}
                      onPaper={(paper) => choose(i, { paper })}
                    />
                  </Box>
                  {papers.length > 2 && (
                    <SmallButton
                      label={`Without paper ${i + 1}`}
                      onClick={() => setPapers(papers.filter((_, k) => k !== i))}
                    >
                      <IconX size={18} />
                    </SmallButton>
                  )}
                </Box>
                {'colour' in one && (
                  <Box sx={{ mt: 1 }}>
                    <InkField
                      label={`Ink of paper ${i + 1}`}
                      colour={one.colour}
                      disabled={readOnly}
                      onChange={(colour) => choose(i, { colour })}
                    />
                  </Box>
                )}
              </Box>
            ))}
          </Box>
          {papers.length < MOST_MIXED && (
            <Button
              size="small"
              color="inherit"
              startIcon={<IconPlus size={18} />}
              disabled={readOnly}
              onClick={() => setPapers([...papers, { colour: MORE }])}
            >
              One more paper
            </Button>
          )}
        </>
      )}
    </SideSheet>
  );
}
