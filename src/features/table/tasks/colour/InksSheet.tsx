'use client';
/** The inks of the page: one is changed and all that wears it follows; two change places; all go over to a photo's colours. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { IconArrowsExchange, IconPhoto } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { slotsOf, type UsedInk } from '@/core/inks/used';
import type { InkPart } from '@/core/piece/answers';
import { recolour } from '@/core/project/edits/inks';
import { FromPhoto } from '@/features/table/parts/inks/FromPhoto';
import { InkPopover, Swatch } from '@/features/table/parts/inks/InkField';
import type { Spot } from '@/features/table/parts/inks/InkPopover';
import { inksIn, useInkSets, usePageInks } from '@/features/table/parts/inks/useInks';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';

const PARTS: Record<InkPart, string> = {
  face: 'on',
  stamp: 'stamped',
  dye: 'all of',
  part: 'part of',
  colouring: 'within',
  stroke: 'line of',
  mat: 'mat of',
  treatment: 'surface of',
  trail: 'what runs along',
  letters: 'letters of',
  words: 'words in',
  echo: 'echo of',
  line: 'line round',
  month: 'a month',
};

/** Pieces that are named before the rest is counted. */
const NAMED = 2;

/** `Bare page, on Tag, line of Photo and 3 more`. */
function whereInWords({ ground, pieces }: UsedInk): string {
  const where = [
    ...(ground ? ['bare page'] : []),
    ...pieces.map(({ piece, part }) => `${PARTS[part]} ${piece.name}`),
  ];
  const more = where.length - NAMED;
  const said = where.slice(0, NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
  return said[0]!.toUpperCase() + said.slice(1);
}

export function InksSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  const surfaceId = useSession((session) => session.surfaceId);
  const used = usePageInks();
  const sets = useInkSets();
  const names = useMemo(() => new Map(inksIn(sets).map(({ name, colour }) => [colour, name])), [sets]);
  const [marked, setMarked] = useState<readonly string[]>([]);
  const [photo, setPhoto] = useState(false);
  /** The ink that is being changed, wherever it was when that began. */
  const [changing, setChanging] = useState<{ at: Spot; colour: string; slots: ReadonlySet<string> } | null>(
    null,
  );
  const total = used.reduce((sum, { area }) => sum + area, 0);
  const two = marked.filter((colour) => used.some((ink) => ink.colour === colour));
  const mark = (colour: string, on: boolean) =>
    setMarked(on ? [...two, colour].slice(-2) : two.filter((one) => one !== colour));
  const select = ({ pieces }: UsedInk) =>
    store.getState().select([...new Set(pieces.map(({ piece }) => piece.id))]);
  return (
    <SideSheet title="Inks of this page" onClose={onClose}>
      <Box
        component="ul"
        aria-label="Inks, most first"
        sx={{ listStyle: 'none', p: 0, m: 0, maxHeight: 300, overflowY: 'auto' }}
      >
        {used.map((ink) => {
          const { colour, area } = ink;
          const name = names.get(colour) ?? colour;
          return (
            <Box component="li" key={colour} sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5 }}>
              <Swatch
                label={name}
                colour={colour}
                disabled={readOnly}
                onOpen={(at) => setChanging({ at, colour, slots: slotsOf(ink) })}
              />
              <Box
                component="button"
                type="button"
                title="Select the pieces that wear it"
                onClick={() => select(ink)}
                sx={{
                  flex: 1,
                  minWidth: 0,
                  p: 0,
                  border: 0,
                  bgcolor: 'transparent',
                  color: 'inherit',
                  font: 'inherit',
                  textAlign: 'left',
                  cursor: 'pointer',
                }}
              >
                <Typography noWrap sx={{ fontWeight: 600, fontSize: '0.95rem', lineHeight: 1.25 }}>
                  {name}, {share(area, total)}
                </Typography>
                <Typography variant="body2" color="text.secondary" noWrap>
                  {whereInWords(ink)}
                </Typography>
              </Box>
              <Checkbox
                size="small"
                checked={two.includes(colour)}
                disabled={readOnly}
                onChange={(_, on) => mark(colour, on)}
                slotProps={{ input: { 'aria-label': `Mark ${name}` } }}
              />
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5, mt: 0.5 }}>
        <Button
          size="small"
          color="inherit"
          startIcon={<IconArrowsExchange size={17} />}
          disabled={readOnly || two.length !== 2}
          title="Mark two inks to let them change places"
          onClick={() => {
            const [a, b] = two as [string, string];
            perform(
              recolour(
                surfaceId,
                new Map([
                  [a, b],
                  [b, a],
                ]),
              ),
            );
          }}
        >
          Swap the two
        </Button>
        <Button
          size="small"
          color="inherit"
          startIcon={<IconPhoto size={17} />}
          aria-expanded={photo}
          onClick={() => setPhoto(!photo)}
        >
          From a photo
        </Button>
      </Box>
      {changing && (
        <InkPopover
          at={changing.at}
          colour={changing.colour}
          onClose={() => setChanging(null)}
          onChoose={(next) => {
            // Only what wore it to begin with: an ink it meets on the way stays another.
            perform(recolour(surfaceId, new Map([[changing.colour, next]]), changing.slots));
            setChanging({ ...changing, colour: next });
          }}
        />
      )}
      {photo && <FromPhoto used={used} readOnly={readOnly} />}
    </SideSheet>
  );
}

const share = (area: number, total: number): string => {
  const percent = (100 * area) / (total || 1);
  return percent > 0 && percent < 1 ? 'under 1 %' : `${Math.round(percent)} %`;
};
