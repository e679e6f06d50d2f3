/** Panels and sheets of the table by themselves, over a session without a stage: what a person would read and press. */
import {
  act as settle,
  configure,
  fireEvent,
  render,
  screen,
  waitFor,
  type RenderResult,
} from '@testing-library/react';
import { loadImage } from '@napi-rs/canvas';
import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactElement, ReactNode } from 'react';
import type { Asset } from '@/core/picture/asset';
import { startHistory, undoLabel } from '@/core/project/history';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { RoomProvider } from '@/features/table/room/context';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { NoticesProvider } from '@/ui/notices';
import { nodeTypesetter } from '../node/platform';
import { laid, quarters } from './samples';

// What is shown is fetched first; what is hidden is no business of these tests; an error need not print the whole document.
configure({
  asyncUtilTimeout: 20_000,
  defaultHidden: true,
  getElementError: (message) => new Error(message?.split('\n\nIgnored nodes')[0]),
});

/** A room of the program within what is around all of them; `push` hears where it leads. */
export const around = (room: ReactNode, push: (to: string) => void = () => {}): ReactElement => (
  <AppRouterContext value={{ push, prefetch: () => {} } as never}>
    <NoticesProvider>{room}</NoticesProvider>
  </AppRouterContext>
);

let typesetter: Promise<Typesetter> | undefined;

export interface Seated extends RenderResult {
  store: SessionStore;
  /** The pieces of the page now. */
  pile(): readonly Piece[];
  piece(id: string): Piece;
  project(): Project;
  /** Types a number or words into the field of this name, as a person does, and leaves it by Enter. */
  fill(name: string | RegExp, text: string): Promise<void>;
  press(name: string | RegExp): Promise<void>;
  /** Chooses from the list of this name. */
  choose(name: string, option: string | RegExp): Promise<void>;
  field(name: string | RegExp): HTMLInputElement;
  /** Changes the session, and lets the screen follow. */
  does(change: () => void): void;
  /** Waits until it is so. */
  when<T>(is: () => T): Promise<T>;
  /** Selects these, as a press on them would. */
  chosen(...ids: string[]): void;
  /** What Undo would take back. */
  undo(): string | null;
}

/** Every photo is known in small, by the four colours of `quarters`; none is there at its full size. */
const SHELF = {
  take: () => undefined,
  drawing: () => undefined,
  onArrival: () => () => {},
  small: () => loadImage(quarters(90, 60)),
};

/** Shows `part` over a page with these pieces, the first of `chosen` ids first. */
export const seated = (
  part: ReactElement,
  pieces: readonly Piece[],
  chosen: readonly string[] = [],
  assets: readonly Asset[] = [],
): Promise<Seated> => seatedAt(part, laid(pieces, assets), chosen);

/** Shows `part` over a project. */
export async function seatedAt(
  part: ReactElement,
  project: Project,
  chosen: readonly string[] = [],
): Promise<Seated> {
  const store = createSession(startHistory(project), await (typesetter ??= nodeTypesetter()), false);
  const stage = { width: 800, height: 600 };
  store.getState().measured(stage, fitted(shownSurface(store.getState()), stage));
  store.getState().select([...chosen]);
  const room = { store, shelf: SHELF as never, keeper: null };
  const shown = render(
    <NoticesProvider>
      <RoomProvider room={room}>{part}</RoomProvider>
    </NoticesProvider>,
  );
  await settle(async () => {});
  const pile = () => shownSurface(store.getState()).pile;
  return {
    ...shown,
    store,
    pile,
    piece: (id) => pile().find((piece) => piece.id === id)!,
    project: () => store.getState().history.project,
    async fill(name, text) {
      const field = await screen.findByRole('textbox', { name });
      fireEvent.focus(field);
      fireEvent.change(field, { target: { value: text } });
      fireEvent.keyDown(field, { key: 'Enter' });
    },
    choose: async (name, option) => {
      fireEvent.mouseDown(await screen.findByRole('combobox', { name }));
      fireEvent.click(await screen.findByRole('option', { name: option }));
    },
    field: (name) => screen.getByRole('textbox', { name }),
    undo: () => undoLabel(store.getState().history),
    press: async (name) => void fireEvent.click(await screen.findByRole('button', { name })),
    does: (change) => settle(() => void change()),
    when: (is) =>
      waitFor(() => {
        const now = is();
        if (!now) throw new Error('Not yet.');
        return now;
      }),
    chosen: (...ids) => settle(() => store.getState().select(ids)),
  };
}
