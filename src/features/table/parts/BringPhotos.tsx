'use client';
/** Where photos are wanted and there are none: chooses the files that hold them. */
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPlus } from '@tabler/icons-react';
import { useSession } from '@/features/table/room/context';

export function BringPhotos() {
  const bringFiles = useSession((session) => session.bringFiles);
  const readOnly = useSession((session) => session.readOnly);
  return (
    <Button
      variant="outlined"
      startIcon={<IconPlus size={18} />}
      disabled={readOnly}
      onClick={bringFiles}
      sx={{ alignSelf: 'flex-start', my: 1 }}
    >
      Bring in photos
    </Button>
  );
}

/** The same, where all else depends on a photo. */
export function NoPhotos() {
  return (
    <>
      <Typography role="status" variant="body2" sx={{ mt: 1 }}>
        No photos yet: bring some into the workbox first.
      </Typography>
      <BringPhotos />
    </>
  );
}
