'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { Session, SessionStore } from '@/features/table/session';
import type { Keeper } from '@/features/table/keeping/keeper';
import type { PictureShelf } from '@/features/table/keeping/pictures';

interface Room {
  store: SessionStore;
  shelf: PictureShelf;
  /** Null where it can only be looked at. */
  keeper: Keeper | null;
}

const Context = createContext<Room | null>(null);

export const RoomProvider = ({ room, children }: { room: Room; children: ReactNode }) => (
  <Context value={room}>{children}</Context>
);

export function useRoom(): Room {
  const room = useContext(Context);
  if (!room) throw new Error('Only on the table.');
  return room;
}

export const useSession = <T,>(pick: (session: Session) => T): T => useStore(useRoom().store, pick);
