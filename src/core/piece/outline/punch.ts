/** A ready outline from the punches, with its settings. */
import { number, object, string } from 'yup';
import type { Size } from '@/core/geometry/box';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { stretched } from '@/core/piece/outline/path';
import { PUNCHES, punchOf } from '@/core/piece/outline/punches';
import { SETTING_IDS, valuesFor, type Values } from '@/core/piece/outline/punches/punch';

export interface PunchOutline {
  kind: 'punch';
  punch: string;
  /** What was set by hand; everything else goes with the size. */
  settings: Values;
}

export const punch: OutlineKind<PunchOutline> = {
  kind: 'punch',
  name: 'Punch',
  schema: object({
    kind: string().oneOf(['punch']).required(),
    punch: string()
      .oneOf(PUNCHES.map(({ id }) => id))
      .required(),
    settings: object(Object.fromEntries(SETTING_IDS.map((id) => [id, number().min(0).max(4320)])))
      .noUnknown()
      .required(),
  }).noUnknown(),
  says: ({ punch }) => punchOf(punch).name,
  scaled: (outline, scale) => ({ ...outline, settings: scaledSettings(outline, scale) }),
  cut: ({ punch: id, settings }, size) => ({ path: punched(id, settings, size) }),
};

/** Drawn for this size, and stretched by what little it may fall short of its box. */
function punched(id: string, settings: Values, size: Size): Path {
  const ready = punchOf(id);
  const drawn = ready.draw(size, valuesFor(ready, size, settings));
  return stretched(drawn, pathBounds(drawn), size);
}

/** Settings that are lengths, grown with the piece. */
function scaledSettings({ punch: id, settings }: PunchOutline, scale: number): Values {
  const { settings: known } = punchOf(id);
  return Object.fromEntries(
    Object.entries(settings).map(([key, value]) => {
      const setting = known.find((each) => each.id === key);
      return [key, setting?.unit === 'length' ? Math.min(setting.most, value * scale) : value];
    }),
  );
}
