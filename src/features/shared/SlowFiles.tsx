'use client';
/** Asks whether to wait for files that take long to read; its bar is fetched with the first one. */
import { useSyncExternalStore } from 'react';
import { slowFiles } from '@/features/shared/slowReads';
import { fetched } from '@/ui/fetched';

const Bar = fetched('The question about slow files', () =>
  import('@/features/shared/SlowFilesBar').then((m) => m.SlowFilesBar),
);
const NONE: readonly never[] = [];

export function SlowFiles() {
  const files = useSyncExternalStore(slowFiles.listen, slowFiles.now, () => NONE);
  return files.length ? <Bar files={files} /> : null;
}
