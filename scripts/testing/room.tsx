/** Panels and sheets of the table by themselves, over a session without a stage: what a person would read and press. */
import {
  act as settle,
  configure,
  fireEvent,
  getConfig,
  render,
  screen,
  waitFor,
  type RenderResult,
} from '@testing-library/react';
import { loadImage } from '@napi-rs/canvas';
import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactElement, ReactNode } from 'react';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Worn } from '@/core/picture/picture';
import { startHistory, undoLabel } from '@/core/project/history';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { RoomProvider } from '@/features/table/room/context';
import { createSession, shownSurface, type SessionStore, type SheetName } from '@/features/table/session';
import { fitted, viewMatrix } from '@/features/table/stage/hand/view';
import { openDrawing, placedWorn, wornPixels, type PlacedDrawing } from '@/output/drawings';
import { drawPieces } from '@/output/pixels/draw';
import { browser, type Drawable } from '@/output/platform';
import { NoticesProvider } from '@/ui/notices';
import { nodeTypesetter } from '../node/platform';
import { laid, quarters } from './samples';

/** A room of the program within what is around all of them; `push` hears where it leads. */
export const around = (room: ReactNode, push: (to: string) => void = () => {}): ReactElement => (
  <AppRouterContext value={{ push, prefetch: () => {} } as never}>
    <NoticesProvider>{room}</NoticesProvider>
  </AppRouterContext>
);

/** Done as quickly as a hand may: each is drawn as a browser draws it, and the next comes before what is drawn late. */
export async function quickly(...deeds: (() => void)[]): Promise<void> {
  const { eventWrapper } = getConfig();
  configure({ eventWrapper: (change) => change() });
  for (const deed of deeds) {
    deed();
    await Promise.resolve();
  }
  configure({ eventWrapper });
  await settle(async () => {});
}

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
  /** The page as it is seen at its place on the stage, without its ground: red, green, blue and cover of each pixel. */
  painted(): ImageData;
  /** The same at a spot of the page, points. */
  seen(x: number, y: number): [red: number, green: number, blue: number, cover: number];
}

/** Pictures and drawings that are there at their full size, by SHA-256. */
const there = new Map<string, Drawable | PlacedDrawing>();

/** Puts a picture where the table finds it; suites share it, so each takes one of its own. */
export async function shelve(asset: Asset, bytes: Uint8Array): Promise<void> {
  if (asset.type === 'image/svg+xml') there.set(asset.sha, (await openDrawing(asset, bytes))!);
  else {
    const { width, height } = asset;
    const { canvas, context } = browser.canvas(width, height);
    context.drawImage((await loadImage(bytes)) as never, 0, 0, width, height);
    there.set(asset.sha, { source: canvas as never, width, height });
  }
}

/** Every other photo is known in small, by the four colours of `quarters`; none of them is there at its full size. */
const SHELF = {
  take(asset: Asset, _pixels: number, worn: Worn = {}) {
    const found = there.get(asset.sha);
    return found && 'source' in found
      ? { ...wornPixels(found, worn, browser), whole: uprightSize(asset) }
      : undefined;
  },
  drawing(asset: Asset, worn: Worn = {}) {
    const found = there.get(asset.sha);
    if (!found || !('drawing' in found)) return undefined;
    return worn.ink || worn.dyes ? placedWorn(found, worn) : found;
  },
  onArrival: () => () => {},
  ready: async () => {},
  small: () => loadImage(quarters(90, 60)),
};

/** Shows `part` over a page with these pieces, the first of `chosen` ids first. */
export const seated = (
  part: ReactElement,
  pieces: readonly Piece[],
  chosen: readonly string[] = [],
  assets: readonly Asset[] = [],
): Promise<Seated> => seatedAt(part, laid(pieces, assets), chosen);

/** Shows `part` over a project, as it was opened: held by another tab, or mended. */
export async function seatedAt(
  part: ReactElement,
  project: Project,
  chosen: readonly string[] = [],
  { readOnly = false, mended = [] }: { readOnly?: boolean; mended?: readonly string[] } = {},
): Promise<Seated> {
  const store = createSession(
    startHistory(project),
    await (typesetter ??= nodeTypesetter()),
    readOnly,
    mended,
  );
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
  const painted = () => {
    const session = store.getState();
    const { assets } = session.history.project;
    const { context } = browser.canvas(stage.width, stage.height);
    const { pieces } = drawSurface(
      shownSurface(session),
      toolsFor(session.history.project, session.typesetter),
    );
    drawPieces(context, pieces, viewMatrix(session.view), {
      platform: browser,
      image: (sha, mark) => SHELF.take(assets[sha]!, 0, mark),
      drawing: (sha, mark) => SHELF.drawing(assets[sha]!, mark),
    });
    return context.getImageData(0, 0, stage.width, stage.height);
  };
  return {
    ...shown,
    painted,
    seen(x, y) {
      const { view } = store.getState();
      const at = Math.floor(view.y + y * view.zoom) * stage.width + Math.floor(view.x + x * view.zoom);
      return [...painted().data.subarray(4 * at, 4 * at + 4)] as [number, number, number, number];
    },
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

export type SeatedHow = Parameters<typeof seatedAt>[3];

/** One of the sheets over a project, once it is open. */
export async function sheetAt(
  sheets: ReactElement,
  sheet: SheetName,
  project: Project,
  options?: SeatedHow,
): Promise<Seated> {
  const room = await seatedAt(sheets, project, [], options);
  room.does(() => room.store.getState().openSheet(sheet));
  await screen.findByRole('dialog');
  return room;
}
