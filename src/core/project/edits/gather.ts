/** Edits of the project itself: its title, its unit, what was gathered for it. */
import type { Asset } from '@/core/picture/asset';
import type { Edit } from '@/core/project/edits/edit';
import type { Compartment, Project } from '@/core/project/model';

/** It is a project like any other from then on. */
export const endPractice = (): Edit => ({
  label: 'end practice',
  apply(project) {
    delete project.practice;
  },
});

export const retitle = (title: string): Edit => ({
  label: 'change title',
  merge: 'title',
  apply(project) {
    project.title = title;
  },
});

export const changeUnit = (unit: Project['unit']): Edit => ({
  label: `measure in ${unit === 'in' ? 'inches' : 'millimetres'}`,
  apply(project) {
    project.unit = unit;
  },
});

/** Puts picture files in the workbox; those already there stay where they are. */
export const gather = (kind: Compartment, assets: readonly Asset[]): Edit => ({
  label: `bring in ${assets.length === 1 ? kind.slice(0, -1) : `${assets.length} ${kind}`}`,
  merge: `gather ${kind}`,
  apply(project) {
    for (const asset of assets) {
      project.assets[asset.sha] ??= asset;
      if (!project[kind].includes(asset.sha)) project[kind].push(asset.sha);
    }
  },
});

/** What arrived of an import, each for its compartment. */
export interface Gathered {
  asset: Asset;
  into: Compartment;
}

/** `8 photos and 2 papers` */
export function countsInWords(names: readonly Compartment[]): string {
  const counts = new Map<Compartment, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  const parts = [...counts].map(([name, count]) => `${count} ${count === 1 ? name.slice(0, -1) : name}`);
  return parts.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

/** Puts what just arrived of the import `run` into the workbox: one step with all that arrived of it before, `so far` with this. */
export function gatherArrived(
  run: string,
  arrived: readonly Gathered[],
  soFar: readonly Compartment[],
): Edit {
  return {
    label: `bring in ${soFar.length === 1 ? soFar[0]!.slice(0, -1) : countsInWords(soFar)}`,
    merge: run,
    arrives: true,
    apply(project) {
      for (const { asset, into } of arrived) gather(into, [asset]).apply(project);
    },
  };
}
