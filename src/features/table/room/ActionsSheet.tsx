'use client';
/** Every action of the table, found by typing. */
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { COMMANDS } from '@/features/table/tasks';
import { useRoom } from '@/features/table/room/context';

const LISTED = COMMANDS.filter(({ listed }) => listed !== false);

export function ActionsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="xs"
      aria-label="All actions"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start', pt: 6 } }}
    >
      <Box sx={{ p: 2 }}>
        <Autocomplete
          open
          autoHighlight
          openOnFocus
          disablePortal
          options={LISTED}
          getOptionLabel={({ does }) => does}
          groupBy={({ group }) => group}
          onChange={(_, command) => {
            if (!command) return;
            onClose();
            // The sheet gives the focus back first: what the action opens may take it.
            setTimeout(() => command.run(store, new KeyboardEvent('keydown')));
          }}
          renderOption={({ key, ...props }, { does, keys }) => (
            <Box component="li" key={key} {...props} sx={{ gap: 2 }}>
              <Box component="span" sx={{ flex: 1 }}>
                {does}
              </Box>
              <Box component="kbd" sx={{ fontFamily: 'inherit', fontSize: 14, color: 'text.secondary' }}>
                {keys}
              </Box>
            </Box>
          )}
          slotProps={{
            listbox: { sx: { maxHeight: 420 } },
            paper: { elevation: 0 },
            popper: { sx: { position: 'static !important', transform: 'none !important' } },
          }}
          renderInput={(params) => <TextField {...params} autoFocus label="What shall be done?" />}
        />
      </Box>
    </Dialog>
  );
}
