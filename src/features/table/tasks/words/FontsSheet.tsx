'use client';
/** All families, shown in the words that are being written. */
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { takeOutFont, writtenInFamily } from '@/core/project/edits/fonts';
import { FAMILIES, ownFamily, PAIRS, shaOfFamily, type Family } from '@/core/text/families';
import { folded } from '@/core/text/folded';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { selectedPieces } from '@/features/table/session';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { BringFont } from '@/features/table/tasks/words/BringFont';
import { showFaces } from '@/features/table/tasks/words/faces';
import { FamilyRow } from '@/features/table/tasks/words/FamilyRow';
import { useFontNotes } from '@/features/table/tasks/words/useFontNotes';

const LOOKS: Record<Family['look'] | 'own', string> = {
  script: 'Script',
  hand: 'Hand',
  slab: 'Slab',
  typewriter: 'Typewriter',
  display: 'Display',
  plain: 'Plain',
  own: 'Your own',
};
const SAMPLE = 36;

interface Listed {
  id: string;
  name: string;
  look: Family['look'] | 'own';
}

export function FontsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const piece = useSession((session) => selectedPieces(session)[0]);
  const own = useSession((session) => session.history.project.fonts);
  const readOnly = useSession((session) => session.readOnly);
  const now = useSession((session) => act.familyNow(session));
  const { favourites, recent, toggle, note } = useFontNotes();
  const [sought, setSought] = useState('');
  /** Why a font could not be taken out. */
  const [used, setUsed] = useState<string | null>(null);
  const [look, setLook] = useState<Listed['look'] | null>(null);
  const families = useMemo(
    (): Listed[] => [
      ...(own ?? []).map(({ sha, name }) => ({ id: ownFamily(sha), name, look: 'own' as const })),
      ...FAMILIES,
    ],
    [own],
  );
  useEffect(() => void showFaces(families.map(({ id }) => id)), [families]);
  const text = piece ? act.wordsOn(piece) : '';
  const sample = text.replace(/\s+/g, ' ').trim().slice(0, SAMPLE);
  const partners = PAIRS.flatMap((pair) =>
    now && pair.includes(now) ? pair.filter((id) => id !== now) : [],
  );
  const wish = folded(sought.trim());
  const shown = families.filter(
    ({ look: its, name }) => (!look || its === look) && (!wish || folded(name).includes(wish)),
  );
  const plain = !sought && !look;
  const groups: readonly [string, readonly Listed[]][] = plain
    ? [
        ['Favourites', families.filter(({ id }) => favourites.includes(id))],
        ['Last used', recent.flatMap((id) => families.find((family) => family.id === id) ?? [])],
        [`Goes with the one in use`, families.filter(({ id }) => partners.includes(id))],
        ['All', shown],
      ]
    : [['Found', shown]];
  const choose = useCallback(
    (id: string) => {
      note(id);
      act.giveFamily(store, id);
    },
    [store, note],
  );
  const takeOut = useCallback(
    (id: string) => {
      const { history, perform } = store.getState();
      const font = history.project.fonts?.find(({ sha }) => ownFamily(sha) === id);
      if (!font) return;
      const { pieces, styles } = writtenInFamily(history.project, id);
      if (pieces + styles === 0) {
        setUsed(null);
        return perform(takeOutFont(font));
      }
      const by = [
        ...(pieces ? [`${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`] : []),
        ...(styles ? [`${styles} ${styles === 1 ? 'style' : 'styles'}`] : []),
      ].join(' and ');
      setUsed(
        `${by} of this project ${pieces + styles === 1 ? 'is' : 'are'} written in ${font.name}. It stays until they have another family.`,
      );
    },
    [store],
  );
  return (
    <SideSheet title="Letters" onClose={onClose}>
      <TextField
        label="Find a family"
        value={sought}
        fullWidth
        onChange={(event) => setSought(event.target.value)}
        slotProps={{ htmlInput: { type: 'search' } }}
      />
      <Box role="group" aria-label="By look" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, my: 1 }}>
        {(Object.keys(LOOKS) as Listed['look'][])
          .filter((one) => one !== 'own' || own?.length)
          .map((one) => (
            <Chip
              key={one}
              label={LOOKS[one]}
              size="small"
              aria-pressed={look === one}
              color={look === one ? 'secondary' : 'default'}
              variant={look === one ? 'filled' : 'outlined'}
              onClick={() => setLook(look === one ? null : one)}
              sx={{ height: 32, fontSize: 14 }}
            />
          ))}
      </Box>
      {!piece && (
        <Typography variant="body2" color="text.secondary">
          Select words on the page to give them a family.
        </Typography>
      )}
      <Box sx={{ maxHeight: 360, overflowY: 'auto', mx: -1, scrollbarWidth: 'thin' }}>
        {groups.map(
          ([title, list]) =>
            list.length > 0 && (
              <Box key={title} component="section" aria-label={title}>
                <Typography component="h3" variant="body2" color="text.secondary" sx={{ px: 1, pt: 0.75 }}>
                  {title}
                </Typography>
                {list.map(({ id, name }) => (
                  <FamilyRow
                    key={id}
                    {...{ id, name, sample, disabled: readOnly || !piece }}
                    on={now === id}
                    favourite={favourites.includes(id)}
                    own={!readOnly && Boolean(shaOfFamily(id))}
                    onChoose={choose}
                    onFavourite={toggle}
                    onTakeOut={takeOut}
                  />
                ))}
              </Box>
            ),
        )}
        {shown.length === 0 && (
          <Typography variant="body2" sx={{ p: 1 }}>
            No family is called that.
          </Typography>
        )}
      </Box>
      {used && (
        <Typography variant="body2" role="status" color="warning.main" sx={{ mt: 1 }}>
          {used}
        </Typography>
      )}
      {!readOnly && <BringFont />}
    </SideSheet>
  );
}
