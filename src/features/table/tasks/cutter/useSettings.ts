/** How the cutter is set, kept in this browser: it is a thing of the machine on the desk, not of a project. */
import { FIRST_SETTINGS, readSettings } from '@/core/cutter/settings';
import { useKept } from '@/ui/useKept';

export const useSettings = () => useKept('bellagraph cutter', FIRST_SETTINGS, readSettings);
