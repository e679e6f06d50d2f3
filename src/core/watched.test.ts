/** What is watched is heard of once for each change, by whoever listens then. */
import fc from 'fast-check';
import { watched } from '@/core/watched';

test('whatever is said, each who listens hears every change while it listens, and nothing that is as it was', () => {
  const deed = fc.oneof(
    fc.record({ say: fc.nat(3) }),
    fc.record({ comes: fc.nat(2) }),
    fc.record({ goes: fc.nat(2) }),
  );
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 30 }), (deeds) => {
      const one = watched(0);
      const ears = [0, 1, 2].map(() => ({
        heard: [] as number[],
        wanted: [] as number[],
        off: null as (() => void) | null,
      }));
      let now = 0;
      for (const each of deeds) {
        if ('say' in each) {
          if (each.say !== now) for (const ear of ears) if (ear.off) ear.wanted.push(each.say);
          now = each.say;
          one.say(each.say);
        } else if ('comes' in each) {
          const ear = ears[each.comes]!;
          ear.off ??= one.listen(() => ear.heard.push(one.now()));
        } else {
          const ear = ears[each.goes]!;
          ear.off?.();
          ear.off = null;
        }
        expect(one.now()).toBe(now);
      }
      expect(ears.map(({ heard }) => heard)).toEqual(ears.map(({ wanted }) => wanted));
    }),
  );
});
