/** The browser's own store. Pictures are kept by the SHA-256 of their bytes, once for all projects. */
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import type { OrderState } from '@/core/order/answers';
import type { Ticket } from '@/core/order/ticket';
import type { Asset } from '@/core/picture/asset';
import type { Step } from '@/core/project/history';
import type { Kit, Supply } from '@/core/supplies/model';
import type { ProductName } from '@/core/product';
import type { Project } from '@/core/project/model';
import { alone } from '@/storage/sole';

export interface ProjectRow {
  id: string;
  title: string;
  width: number;
  height: number;
  unit: Project['unit'];
  /** A layout, where a row of older times does not say. */
  product?: ProductName;
  /** Milliseconds since 1970. */
  edited: number;
  /** Set while the project waits to be thrown away for good. */
  deleted?: number;
  /** Of the file format the snapshot is written in; 1 if it does not say. */
  version?: number;
  /** How many steps were done when the snapshot was taken; the journal leads on from there. */
  snapshotAt: number;
  /** Steps done, counted from the project's first. */
  done: number;
  /** SHA-256 of every picture and font that the snapshot or a step of the journal names. */
  files: string[];
  /** Steps that were done when it was last saved as a file. */
  backedUp?: number;
  /** Names the room that writes it: what another room has opened since is not written over. */
  holder?: string;
  /** The last edit of that room that is kept, counted from its first. */
  nth?: number;
}

/** The last steps of a room that it may not have kept yet; see line.ts. */
export interface LineRow {
  project: string;
  holder: string;
  nth: number;
  version: number;
  /** Which step, counted from the project's first, its steps begin with; how many steps were done. */
  from: number;
  done: number;
  steps: Step[];
}

/** By itself, so that projects can be listed without being read. */
export interface SnapshotRow {
  id: string;
  project: Project;
}

/** A project as it was before something in it was set aside: nothing is thrown away that may be read again one day. */
export interface OriginalRow {
  id?: number;
  project: string;
  row: ProjectRow;
  snapshot: unknown;
  journal: JournalRow[];
}

export interface JournalRow {
  project: string;
  /** Which step, counted from the project's first. */
  index: number;
  step: Step;
  /** Of the file format its patches are written for; not known of rows from before it was noted. */
  version?: number;
}

export interface AssetRow {
  sha: string;
  /** Absent for the project file behind a ready-made page or a sketch. */
  asset?: Asset;
  blob: Blob;
  /** When it last came in, milliseconds since 1970: what is new may not lie on any page yet. */
  stored?: number;
}

/** `screen` and `thumb` are smaller copies; `full` is a readable copy of a file browsers cannot decode. */
export type ProxyLevel = 'thumb' | 'screen' | 'full';

export interface ProxyRow {
  sha: string;
  level: ProxyLevel;
  blob: Blob;
}

export interface PreviewRow {
  project: string;
  blob: Blob;
}

/** What was sent to a print shop, and what became of it. */
export interface OrderRow {
  project: string;
  /** The ticket's `job`. */
  id: string;
  shop: string;
  /** Milliseconds since 1970. */
  sent: number;
  ticket: Ticket;
  state: OrderState;
  /** Exactly what was sent; nothing of what was refused. */
  files: { name: string; blob: Blob }[];
}

export type SupplyRow = Supply;
export type KitRow = Kit;

export interface SettingRow {
  key: string;
  value: unknown;
}

class Database extends Dexie {
  declare projects: EntityTable<ProjectRow, 'id'>;
  declare snapshots: EntityTable<SnapshotRow, 'id'>;
  declare originals: EntityTable<OriginalRow, 'id'>;
  declare lines: EntityTable<LineRow, 'project'>;
  declare journal: Table<JournalRow, [string, number]>;
  declare assets: EntityTable<AssetRow, 'sha'>;
  declare proxies: Table<ProxyRow, [string, ProxyLevel]>;
  declare previews: EntityTable<PreviewRow, 'project'>;
  declare supplies: EntityTable<SupplyRow, 'id'>;
  declare kits: EntityTable<KitRow, 'id'>;
  declare orders: Table<OrderRow, [string, string]>;
  declare settings: EntityTable<SettingRow, 'key'>;

  constructor() {
    super('bellagraph', typeof indexedDB === 'undefined' ? {} : { indexedDB: onlyOurs() });
    this.version(1).stores({
      projects: 'id, edited',
      journal: '[project+index]',
      assets: 'sha',
      proxies: '[sha+level]',
      previews: 'project',
      settings: 'key',
    });
    this.version(2).stores({ supplies: 'id, kit, asset.sha', kits: 'id' });
    this.version(3)
      .stores({ projects: 'id, edited, *files', snapshots: 'id', originals: '++id, project' })
      .upgrade(apart);
    this.version(4).stores({ lines: 'project' });
    this.version(STORE_VERSION).stores({ orders: '[project+id], project' });
  }
}

/** Raised whenever the tables change. */
const STORE_VERSION = 5;

class NewerStore extends Error {
  override name = 'NewerStoreError';
}

/**
 * The browser's databases, but for stores that a newer program has changed. Dexie asks for a store of its own version first;
 * if that one is too old it opens whatever is there, and adds the tables it misses, without a word.
 */
const onlyOurs = (): IDBFactory => ({
  open(name, version) {
    if (version === undefined) throw new NewerStore();
    return indexedDB.open(name, version);
  },
  deleteDatabase: (name) => indexedDB.deleteDatabase(name),
  databases: () => indexedDB.databases(),
  cmp: (a, b) => indexedDB.cmp(a, b),
});

/** 3: snapshots lie apart from what is listed, and every project says which files it names. */
async function apart(transaction: Transaction): Promise<void> {
  const [projects, snapshots, journal] = ['projects', 'snapshots', 'journal'].map((name) =>
    transaction.table(name),
  );
  for (const id of await projects!.toCollection().primaryKeys()) {
    const { snapshot, ...row } = await projects!.get(id);
    const steps = await journal!.where('[project+index]').between([id, -Infinity], [id, Infinity]).toArray();
    await snapshots!.put({ id, project: snapshot });
    await projects!.put({ ...row, files: shasIn([snapshot, steps]) });
  }
}

/** Every SHA-256 that stands anywhere in a value: what may be a file's name. */
export const shasIn = (value: unknown): string[] => [
  ...new Set(JSON.stringify(value)?.match(/[0-9a-f]{64}/g)),
];

export const database = new Database();

database.on('ready', () => alone(globalThis.navigator?.locks), true);
// Another version waits until this page is closed; only a store that is thrown away is let go.
database.on('versionchange', ({ newVersion }) => newVersion === null);
