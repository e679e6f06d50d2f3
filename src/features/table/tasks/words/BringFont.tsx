'use client';
/** Fonts of one's own: chosen from the disk, looked at, told about, kept with the project. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconFileTypography } from '@tabler/icons-react';
import { useRef, useState } from 'react';
import { bringFonts } from '@/core/project/edits/fonts';
import { LARGEST_FONT, LONGEST_FONT_NAME } from '@/core/project/schema';
import { ownFamily } from '@/core/text/families';
import { lookAtFont, toldOf } from '@/core/text/own';
import { useRoom } from '@/features/table/room/context';
import { storeFile } from '@/storage/assets';
import { isFull } from '@/storage/trouble';
import { sha256 } from '@/core/sha';

interface Told {
  name: string;
  says: string[];
  refused: boolean;
}

export function BringFont() {
  const { store } = useRoom();
  const input = useRef<HTMLInputElement>(null);
  const [told, setTold] = useState<readonly Told[]>([]);
  const bring = async (files: readonly File[]) => {
    const says: Told[] = [];
    for (const file of files) {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const sha = await sha256(bytes);
      const seen = await lookAtFont(ownFamily(sha), file.name, bytes, LARGEST_FONT);
      if (!seen.ok) {
        says.push({ name: file.name, says: [seen.message], refused: true });
        continue;
      }
      try {
        await storeFile(sha, file);
      } catch (error) {
        const why = isFull(error) ? 'there is no room left in this browser’s store' : 'it could not be kept';
        says.push({ name: file.name, says: [`${file.name} was not brought in: ${why}.`], refused: true });
        continue;
      }
      const { typesetter, perform } = store.getState();
      if (!typesetter.has(seen.value.font.name)) store.getState().equip(typesetter.with([seen.value.font]));
      const name = seen.value.name.slice(0, LONGEST_FONT_NAME);
      perform(bringFonts([{ sha, name, bytes: bytes.length }]));
      says.push({ name, says: toldOf(seen.value), refused: false });
    }
    setTold(says);
  };
  return (
    <Box sx={{ mt: 1 }}>
      <input
        ref={input}
        type="file"
        multiple
        accept=".ttf,.otf,.woff,font/ttf,font/otf,font/woff"
        aria-label="Font files"
        data-testid="font-input"
        hidden
        onChange={(event) => {
          void bring([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <Button
        size="small"
        color="inherit"
        startIcon={<IconFileTypography size={17} />}
        onClick={() => input.current?.click()}
      >
        Bring in a font of your own
      </Button>
      {told.map(({ name, says, refused }, i) => (
        <Alert key={i} severity={refused ? 'error' : says.length ? 'info' : 'success'} sx={{ mt: 1 }}>
          {!refused && (
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              {name} is here.
            </Typography>
          )}
          {says.map((sentence) => (
            <Typography key={sentence} variant="body2">
              {sentence}
            </Typography>
          ))}
        </Alert>
      ))}
    </Box>
  );
}
