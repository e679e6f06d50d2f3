'use client';
/** The kits on their shelf: all, favourites, then one by one; and bringing in, saving and keeping them. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconDownload, IconFolder, IconHeart, IconPencil, IconStack2 } from '@tabler/icons-react';
import { useMemo, useState, type ReactNode } from 'react';
import type { Kit } from '@/core/supplies/model';
import type { Filter } from '@/core/supplies/search';
import { KeepKits } from '@/features/cupboard/KeepKits';
import { KitCover, onCover } from '@/features/cupboard/KitCover';
import { KitSheet } from '@/features/cupboard/KitSheet';
import type { Bringing } from '@/features/cupboard/useBringing';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { saveCupboard, saveKit, type SavedZip } from '@/features/cupboard/kitFiles';
import { useNotify } from '@/ui/notices';

interface Props {
  cupboard: Cupboard;
  shown: Filter;
  onShow: (filter: Filter) => void;
  bringing: Bringing;
}

export function KitShelf({ cupboard, shown, onShow, bringing }: Props) {
  const notify = useNotify();
  const [editing, setEditing] = useState<Kit | null>(null);
  const covers = useMemo(
    () =>
      new Map(
        cupboard.kits.map((kit) => [
          kit.id,
          onCover(
            kit,
            cupboard.find('', { kit: kit.id }, () => false).toSorted((a, b) => a.order - b.order),
          ),
        ]),
      ),
    [cupboard],
  );
  const save = async (kit: Kit) => {
    tell(
      await saveKit(
        kit,
        cupboard.find('', { kit: kit.id }, () => false),
      ),
      'the whole kit',
    );
  };
  const tell = ({ name, missing }: SavedZip, what: string) =>
    notify(
      missing.length
        ? { text: `Saved, without ${missing.join(', ')}: not found in this browser.`, tone: 'warning' }
        : { text: `${name} is in your downloads: ${what}.` },
    );
  return (
    <Box
      component="nav"
      aria-label="Kits"
      sx={{
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        borderRight: 1,
        borderColor: 'divider',
        p: 1.25,
        gap: 0.25,
        overflowY: 'auto',
        scrollbarWidth: 'thin',
      }}
    >
      <Row
        name="Everything"
        icon={<IconStack2 size={19} />}
        on={!shown.kit && !shown.favourite}
        onShow={() => onShow({})}
      />
      <Row
        name="Favourites"
        icon={<IconHeart size={19} />}
        on={shown.favourite === true}
        onShow={() => onShow({ favourite: true })}
      />
      <Typography component="h2" sx={{ fontWeight: 600, fontSize: '0.95rem', mt: 1.5, mb: 0.5, px: 1 }}>
        Kits
      </Typography>
      {cupboard.kits.map((kit) => (
        <Row
          key={kit.id}
          name={kit.name}
          icon={<KitCover supplies={covers.get(kit.id) ?? []} />}
          on={shown.kit === kit.id}
          onShow={() => onShow({ kit: kit.id })}
          actions={
            shown.kit === kit.id && (
              <>
                <Tooltip title="Save as a zip">
                  <IconButton
                    size="small"
                    aria-label={`Save ${kit.name} as a zip`}
                    onClick={() => void save(kit)}
                  >
                    <IconDownload size={17} />
                  </IconButton>
                </Tooltip>
                {!kit.house && (
                  <Tooltip title="Name, words and cover">
                    <IconButton
                      size="small"
                      aria-label={`Describe ${kit.name}`}
                      onClick={() => setEditing(kit)}
                    >
                      <IconPencil size={17} />
                    </IconButton>
                  </Tooltip>
                )}
              </>
            )
          }
        />
      ))}
      <Box sx={{ mt: 'auto', pt: 2, display: 'flex', flexDirection: 'column', gap: 0.75 }}>
        <Button
          size="small"
          color="inherit"
          startIcon={<IconFolder size={18} />}
          onClick={bringing.pickFolder}
        >
          Bring in a folder
        </Button>
        <KeepKits />
        <Button
          size="small"
          color="inherit"
          startIcon={<IconDownload size={18} />}
          onClick={() =>
            void saveCupboard(cupboard.kits, (kit) => cupboard.find('', { kit: kit.id }, () => false)).then(
              (saved) => tell(saved, 'everything of your own in one file'),
            )
          }
        >
          Back up the cupboard
        </Button>
      </Box>
      {editing && (
        <KitSheet
          kit={editing}
          supplies={cupboard.find('', { kit: editing.id }, () => false)}
          onClose={() => setEditing(null)}
          onKeep={(kit) => void cupboard.changeKit(kit).then(() => setEditing(null))}
        />
      )}
    </Box>
  );
}

interface RowProps {
  name: string;
  icon?: ReactNode;
  on: boolean;
  onShow: () => void;
  actions?: ReactNode;
}

function Row({ name, icon, on, onShow, actions }: RowProps) {
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        borderRadius: 1,
        bgcolor: on ? 'background.default' : 'transparent',
      }}
    >
      <ButtonBase
        onClick={onShow}
        aria-current={on ? 'true' : undefined}
        sx={{
          flex: 1,
          minWidth: 0,
          minHeight: 36,
          px: 1,
          gap: 1,
          borderRadius: 1,
          justifyContent: 'flex-start',
          fontFamily: 'inherit',
          fontSize: '0.95rem',
          fontWeight: on ? 600 : 400,
          textAlign: 'left',
          borderLeft: 3,
          borderColor: on ? 'primary.main' : 'transparent',
        }}
      >
        {icon}
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {name}
        </Box>
      </ButtonBase>
      {actions}
    </Box>
  );
}
