/** Edits of the colour profiles a project holds. */
import { MOST_PROFILES, type OwnProfile } from '@/core/press/conditions';
import type { Edit } from '@/core/project/edits/edit';

/** Takes a profile into the project; one it has already stays as it is. */
export const bringProfile = (profile: OwnProfile): Edit => ({
  label: `bring in the profile “${profile.name}”`,
  apply(project) {
    const list = project.profiles ?? [];
    if (list.length >= MOST_PROFILES || list.some(({ sha }) => sha === profile.sha)) return;
    project.profiles = [...list, { ...profile }];
  },
});

export const takeOutProfile = ({ sha, name }: Pick<OwnProfile, 'sha' | 'name'>): Edit => ({
  label: `take out the profile “${name}”`,
  apply(project) {
    const left = (project.profiles ?? []).filter((profile) => profile.sha !== sha);
    if (left.length) project.profiles = left;
    else delete project.profiles;
  },
});
