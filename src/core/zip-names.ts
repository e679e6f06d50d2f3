/** Whether the name of a part leads out of its zip: upwards, from a root, or from a drive. */
export const leadsOut = (name: string): boolean =>
  name.split(/[\\/]/).includes('..') || /^([\\/]|[a-z]:)/i.test(name);
