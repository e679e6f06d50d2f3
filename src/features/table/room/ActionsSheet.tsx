'use client';
/** Every action of the table, found by typing. */
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import ListSubheader from '@mui/material/ListSubheader';
import TextField from '@mui/material/TextField';
import { useEffect, useEffectEvent, useState } from 'react';
import { COMMANDS, commandsFor } from '@/features/table/tasks';
import type { Command } from '@/features/table/tasks/command';
import { useRoom } from '@/features/table/room/context';
import { SENT } from '@/features/table/session/sheet';

const LISTED = COMMANDS.filter(({ listed }) => listed !== false);

const found = (commands: readonly Command[], { inputValue }: { inputValue: string }): Command[] =>
  inputValue.trim() ? commandsFor(inputValue, commands) : [...commands];

export function ActionsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  // What was typed while this was on its way.
  const [ahead] = useState(() => store.getState().ahead);
  const [text, setText] = useState(ahead.replace(SENT, ''));
  const notNow = (command: Command) => command.needs?.(store.getState()) ?? null;
  const run = (command: Command) => {
    onClose();
    // The sheet gives the focus back first: what the action opens may take it.
    setTimeout(() => command.run(store, new KeyboardEvent('keydown')));
  };
  const sent = useEffectEvent(() => {
    // Done once: by then it is shut.
    if (!ahead.endsWith(SENT) || store.getState().sheet !== 'actions') return;
    const [first] = found(LISTED, { inputValue: text });
    if (first && notNow(first) === null) run(first);
  });
  useEffect(() => sent(), []);
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
          inputValue={text}
          onInputChange={(_, next, reason) => reason !== 'reset' && setText(next)}
          getOptionLabel={({ name }) => name}
          getOptionDisabled={(command) => notNow(command) !== null}
          filterOptions={found}
          groupBy={text.trim() ? undefined : ({ group }) => group}
          // The list is always open: what would shut it shuts all of it.
          onClose={(_, reason) => reason === 'escape' && onClose()}
          onChange={(_, command) => command && run(command)}
          renderGroup={({ key, group, children }) => (
            <Box component="li" key={key} role="group" aria-label={group}>
              <ListSubheader component="div" aria-hidden sx={{ top: -8, bgcolor: 'background.paper' }}>
                {group}
              </ListSubheader>
              <Box component="ul" role="presentation" sx={{ p: 0, '& .MuiAutocomplete-option': { pl: 3 } }}>
                {children}
              </Box>
            </Box>
          )}
          renderOption={({ key, ...props }, command) => (
            <Box
              component="li"
              key={key}
              {...props}
              sx={{ gap: 2, '&&[aria-disabled=true]': { opacity: 0.72 } }}
            >
              <Box component="span" sx={{ flex: 1, lineHeight: 1.3 }}>
                {command.name}
                <Box component="span" sx={{ display: 'block', fontSize: 14, color: 'text.secondary' }}>
                  {notNow(command) ?? command.more}
                </Box>
              </Box>
              <Box component="kbd" sx={{ fontFamily: 'inherit', fontSize: 14, color: 'text.secondary' }}>
                {command.keys}
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
