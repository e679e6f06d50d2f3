/** A sheet's parts told apart, put together by hand where that went wrong, named, and cut into supplies of their own. */
import { useEffect, useMemo, useState } from 'react';
import type { Box } from '@/core/geometry/box';
import { unite } from '@/core/geometry/box';
import { looseKit, type Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { bringIn, cutSheet, describeTrouble, sheetParts } from '@/features/shared/bringIn';
import { newId } from '@/features/shared/ids';
import { readablePictureOf } from '@/features/shared/supplyFiles';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

/** More parts than this are a pattern, not a sheet. */
const MOST_PARTS = 300;

export interface SheetPart {
  /** Numbers of the parts that were told apart. */
  members: readonly number[];
  /** Shares of the sheet. */
  box: Box;
  /** What it is called: a character, or a number. Empty: it is left out. */
  name: string;
}

export type SheetState = { kind: 'looking' } | { kind: 'failed'; message: string } | { kind: 'told' };

export function useCutApart(supply: Supply, cupboard: Cupboard) {
  const notify = useNotify();
  const [state, setState] = useState<SheetState>({ kind: 'looking' });
  const [picture, setPicture] = useState<string>();
  const [boxes, setBoxes] = useState<readonly Box[]>([]);
  /** Parts that belong to the one before. */
  const [joined, setJoined] = useState<ReadonlySet<number>>(new Set());
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const letters = supply.kind === 'alphabet';

  useEffect(() => {
    let gone = false;
    let address: string | undefined;
    void (async () => {
      const found = await readablePictureOf(supply);
      if (gone) return;
      if (!found.ok) return setState({ kind: 'failed', message: found.message });
      const { blob } = found.value;
      address = URL.createObjectURL(blob);
      setPicture(address);
      const parts = await sheetParts(blob).catch(() => null);
      if (gone) return;
      if (!parts) setState({ kind: 'failed', message: 'This picture could not be read.' });
      else if (parts.boxes.length < 2)
        setState({ kind: 'failed', message: 'Nothing on it lies apart: it is one thing.' });
      else if (parts.boxes.length > MOST_PARTS)
        setState({
          kind: 'failed',
          message: `It falls into ${parts.boxes.length} parts: that is a pattern. Up to ${MOST_PARTS} can be cut.`,
        });
      else {
        setBoxes(parts.boxes);
        setState({ kind: 'told' });
      }
    })().catch(
      (error) =>
        !gone && setState({ kind: 'failed', message: inWords(error, 'This picture could not be read') }),
    );
    return () => {
      gone = true;
      if (address) URL.revokeObjectURL(address);
    };
  }, [supply]);

  const parts = useMemo((): SheetPart[] => {
    const groups: number[][] = [];
    boxes.forEach((_, i) => {
      if (joined.has(i) && groups.length) groups.at(-1)!.push(i);
      else groups.push([i]);
    });
    const characters = [...typed];
    return groups.map((members, place) => ({
      members,
      box: members.map((i) => boxes[i]!).reduce(unite),
      name: letters ? (characters[place] ?? '').trim() : String(place + 1),
    }));
  }, [boxes, joined, typed, letters]);
  const wanted = parts.filter(({ name }) => name !== '');

  /** The sheet stays; its parts are laid beside it, or among the loose supplies if it is a shipped one. */
  async function cut(): Promise<boolean> {
    setBusy(true);
    try {
      const found = await readablePictureOf(supply);
      if (!found.ok) {
        notify({ text: found.message, tone: 'error' });
        return false;
      }
      const { asset: sheet, blob } = found.value;
      const pictures = await cutSheet(
        blob,
        wanted.map(({ members }) => members),
        sheet.ppi,
      );
      const brought = await bringIn(
        pictures.map((png, i) => new File([png], `${i}.png`, { type: 'image/png' })),
        new AbortController().signal,
      );
      const own = cupboard.kits.find(({ id, house }) => id === supply.kit && !house);
      const kit = own ?? looseKit(cupboard.kits, Date.now());
      const added = Date.now();
      const from = Math.max(-1, ...cupboard.find('', { kit: kit.id }, () => false).map(({ order }) => order));
      const supplies = brought.arrived.map(({ path, asset, facts }, i): Supply => {
        const { name } = wanted[Number.parseInt(path, 10)]!;
        const called = `${supply.name} ${name}`;
        return {
          id: newId(),
          kind: supply.kind,
          name: called,
          tags: supply.tags,
          kit: kit.id,
          order: from + 1 + i,
          added,
          favourite: false,
          colours: facts.colours,
          asset: { ...asset, name: called, ppi: sheet.ppi },
          ...(letters ? { letters: name } : {}),
        };
      });
      await cupboard.add(kit, supplies);
      const trouble = describeTrouble(brought);
      notify({
        text: [
          `${supplies.length} ${letters ? 'letters' : 'pieces'} lie in ${kit.name} now; the sheet stays.`,
          trouble,
        ]
          .filter(Boolean)
          .join('\n'),
        tone: trouble ? 'warning' : 'info',
      });
      return true;
    } catch (error) {
      notify({ text: inWords(error, 'It was not cut apart'), tone: 'error' });
      return false;
    } finally {
      setBusy(false);
    }
  }

  return {
    state,
    picture,
    parts,
    wanted,
    typed,
    letters,
    busy,
    setTyped,
    /** Puts a part together with the one before, or its parts asunder again. */
    join(place: number) {
      const { members } = parts[place]!;
      const next = new Set(joined);
      if (members.length > 1) members.forEach((i) => next.delete(i));
      else next.add(members[0]!);
      setJoined(next);
    },
    cut,
  };
}
