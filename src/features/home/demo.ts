/** The demo's projects, brought in on the first visit. */
import { drawn } from '@/features/shared/drawn';
import { onceATab } from '@/features/shared/once';
import { database } from '@/storage/database';
import { hasProject } from '@/storage/shelf';

const DEMO_DONE = 'demo brought in';

/** Brings in the demo's projects, once in the life of this browser's store; what a broken-off visit brought is not brought again. */
export const bringDemo = onceATab(async (say: (text: string) => Promise<void>): Promise<void> => {
  if (await database.settings.get(DEMO_DONE)) return;
  const names = await drawn('/demo/projects.json', (names: string[]) => names);
  for (const [i, name] of names.entries()) {
    const id = name.replace(/\.bellagraph$/, '');
    if (await hasProject(id)) continue;
    await say(`Laying out the kite club's pages: ${i + 1} of ${names.length} …`);
    const blob = await (await fetch(`/demo/${name}`)).blob();
    const opened = await (
      await import('@/features/shared/files')
    ).openFile(new File([blob], name), id, Date.now());
    if (!opened.ok) throw new Error(opened.message);
  }
  await database.settings.put({ key: DEMO_DONE, value: true });
});
