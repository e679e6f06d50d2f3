/** Edits of days by chance: those a project remembers, its holidays, what is held to them. */
import type { Edit } from '@/core/project/edits/edit';
import * as events from '@/core/project/edits/events';
import type { Hand } from './hand';

export const DAY_EDITS = {
  setEvents: ({ chance }) => {
    const day = chance.bool()
      ? { day: chance.of([1, 29, 31, chance.number()]) }
      : { nth: -1, weekday: 7 as const };
    const kind = chance.of(['birthday', 'anniversary', 'yearly', 'once'] as const);
    const year = chance.bool() ? { year: chance.of([2018, chance.number()]) } : {};
    const id = chance.of(['e1', chance.id()]);
    return events.setEvents([
      { id, kind, name: chance.text(), month: chance.of([2, chance.number()]), ...day, ...year },
    ]);
  },
  holdPieces: ({ s, some, chance }) => {
    const [x, y, width] = [chance.number(), chance.number(), chance.number()];
    const held = { month: chance.of([1, 12]), day: chance.number(), box: { x, y, width, height: 9 } };
    return events.holdPieces(
      s,
      some.map(({ id }) => ({ id, held: chance.bool() ? held : null })),
    );
  },
  setHolidays: ({ chance }) =>
    events.setHolidays(
      { country: chance.of(['DE', 'x']), days: [], out: [chance.text()], names: {} },
      'put in',
    ),
  removeEvents: () => events.removeEvents(['e1'], 'take out a day'),
} satisfies Record<string, (hand: Hand) => Edit>;
