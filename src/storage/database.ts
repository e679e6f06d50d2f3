/** The browser's own store. Pictures are kept by the SHA-256 of their bytes, once for all projects. */
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Asset } from '@/core/picture/asset';
import type { Step } from '@/core/project/history';
import type { Kit, Supply } from '@/core/supplies/model';
import type { Project } from '@/core/project/model';

export interface ProjectRow {
  id: string;
  title: string;
  width: number;
  height: number;
  unit: Project['unit'];
  /** Milliseconds since 1970. */
  edited: number;
  /** Set while the project waits to be thrown away for good. */
  deleted?: number;
  /** The project as it was when `snapshotAt` steps were done; the journal leads on from there. */
  snapshot: Project;
  /** Of the file format the snapshot is written in; 1 if it does not say. */
  version?: number;
  snapshotAt: number;
  /** Steps done, counted from the project's first. */
  done: number;
}

export interface JournalRow {
  project: string;
  /** Which step, counted from the project's first. */
  index: number;
  step: Step;
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

export type SupplyRow = Supply;
export type KitRow = Kit;

export interface SettingRow {
  key: string;
  value: unknown;
}

class Database extends Dexie {
  declare projects: EntityTable<ProjectRow, 'id'>;
  declare journal: Table<JournalRow, [string, number]>;
  declare assets: EntityTable<AssetRow, 'sha'>;
  declare proxies: Table<ProxyRow, [string, ProxyLevel]>;
  declare previews: EntityTable<PreviewRow, 'project'>;
  declare supplies: EntityTable<SupplyRow, 'id'>;
  declare kits: EntityTable<KitRow, 'id'>;
  declare settings: EntityTable<SettingRow, 'key'>;

  constructor() {
    super('bellagraph');
    this.version(1).stores({
      projects: 'id, edited',
      journal: '[project+index]',
      assets: 'sha',
      proxies: '[sha+level]',
      previews: 'project',
      settings: 'key',
    });
    this.version(2).stores({ supplies: 'id, kit, asset.sha', kits: 'id' });
  }
}

export const database = new Database();

/** Whether an error says that there is no room left. */
export const isFull = (error: unknown): boolean => {
  const names = [error, (error as { inner?: unknown })?.inner].map((e) => (e as Error)?.name ?? '');
  return names.some((name) => name === 'QuotaExceededError');
};
