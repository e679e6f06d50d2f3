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
