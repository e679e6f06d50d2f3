'use client';
/** Colour profiles of presses brought in by a person: any CMYK profile, kept with the project. */
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { MOST_PROFILES } from '@/core/press/conditions';
import { LARGEST_PROFILE, pressProfile } from '@/core/press/profile';
import { bringProfile, takeOutProfile } from '@/core/project/edits/profiles';
import { fail, type Result } from '@/core/result';
import { sha256 } from '@/core/sha';
import { calledFile } from '@/core/text/named';
import { useRoom, useSession } from '@/features/table/room/context';
import { storeFile } from '@/storage/assets';
import { inWords } from '@/storage/trouble';
import { HIDDEN } from '@/ui/hidden';

const NONE: never[] = [];

interface Props {
  onBrought: (sha: string) => void;
}

export function OwnProfiles({ onBrought }: Props) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const profiles = useSession((session) => session.history.project.profiles) ?? NONE;
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (file: File): Promise<Result<string>> => {
    if (file.size > LARGEST_PROFILE) return fail('This file is too large to be a colour profile.');
    if (profiles.length >= MOST_PROFILES)
      return fail(`A project holds ${MOST_PROFILES} profiles at the most.`);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const facts = pressProfile(bytes);
    if (!facts.ok) return facts;
    const sha = await sha256(bytes);
    await storeFile(sha, new Blob([bytes]));
    store.getState().perform(bringProfile({ sha, name: facts.value.name, bytes: bytes.length }));
    return { ok: true, value: sha };
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: -0.5 }}>
      <input
        ref={input}
        type="file"
        accept=".icc,.icm,application/vnd.iccprofile"
        aria-label="Colour profile"
        style={HIDDEN}
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (!file) return;
          void bring(file)
            .catch((error) => fail(inWords(error, 'The profile was not kept')))
            .then((brought) => {
              setProblem(brought.ok ? null : `${calledFile(file.name)}: ${brought.message}`);
              if (brought.ok) onBrought(brought.value);
            });
        }}
      />
      <Button size="small" disabled={readOnly} onClick={() => input.current?.click()}>
        Bring in a profile …
      </Button>
      {profiles.map((profile) => (
        <Button
          key={profile.sha}
          size="small"
          color="inherit"
          disabled={readOnly}
          onClick={() => store.getState().perform(takeOutProfile(profile))}
        >
          Take out {profile.name}
        </Button>
      ))}
      {problem && (
        <Alert severity="warning" sx={{ width: '100%' }}>
          {problem}
        </Alert>
      )}
    </Box>
  );
}
