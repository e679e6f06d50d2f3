'use client';

import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { IconCopy, IconFileDownload, IconTrash } from '@tabler/icons-react';

interface Props {
  anchor: HTMLElement;
  onClose: () => void;
  onDuplicate: () => void;
  onSave: () => void;
  onDelete: () => void;
}

/** What can be done with a project besides opening it. */
export function SheetMenu({ anchor, onClose, onDuplicate, onSave, onDelete }: Props) {
  const act = (run: () => void) => () => {
    onClose();
    run();
  };
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      <MenuItem onClick={act(onDuplicate)}>
        <IconCopy size={18} style={{ marginRight: 10 }} /> Duplicate
      </MenuItem>
      <MenuItem onClick={act(onSave)}>
        <IconFileDownload size={18} style={{ marginRight: 10 }} /> Save as a file
      </MenuItem>
      <MenuItem onClick={act(onDelete)}>
        <IconTrash size={18} style={{ marginRight: 10 }} /> Delete
      </MenuItem>
    </Menu>
  );
}
