/** How the cutter is set, kept in this browser: it is a thing of the machine on the desk, not of a project. */
import { useState } from 'react';
import { FIRST_SETTINGS, readSettings, type CutterSettings } from '@/core/cutter/settings';

const KEY = 'bellagraph cutter';

function kept(): CutterSettings {
  try {
    const read = readSettings(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    return read.ok ? read.value : FIRST_SETTINGS;
  } catch {
    return FIRST_SETTINGS;
  }
}

export function useSettings(): [CutterSettings, (change: Partial<CutterSettings>) => void] {
  const [settings, setSettings] = useState(kept);
  const change = (some: Partial<CutterSettings>) => {
    const next = { ...settings, ...some };
    setSettings(next);
    try {
      localStorage.setItem(KEY, JSON.stringify(next));
    } catch {
      // A full store keeps the settings for this time alone.
    }
  };
  return [settings, change];
}
