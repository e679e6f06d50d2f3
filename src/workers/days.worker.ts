/** Reads days to remember out of files of other programs, beside the page. */
import { expose } from 'comlink';
import { LARGEST_DAYS_FILE, readDaysFile, type FileDays } from '@/core/calendar/files';
import { fail, type Result } from '@/core/result';
import { decodedText } from '@/core/text/decoded';

async function read(file: Blob, from: number, to: number): Promise<Result<FileDays>> {
  if (file.size > LARGEST_DAYS_FILE) return fail('This file is larger than 20 MB: nothing of it was taken.');
  return readDaysFile(decodedText(new Uint8Array(await file.arrayBuffer())), from, to);
}

const reader = { read };
export type DaysReader = typeof reader;
expose(reader);
