/** Print conditions: what a press and its paper make of colours. Adding one that ships is adding a profile and a line. */
export interface Condition {
  id: string;
  name: string;
  /** What is printed so, in a few words. */
  says: string;
  /** The profile's file, in the folder of those that ship; without, `id` is the SHA-256 of one that was brought in. */
  file?: string;
  /** The characterisation data it was made from, as a print shop names it. */
  data: string;
  /** The most ink on one spot, all four together, percent; null where nobody said. */
  mostInk: number | null;
}

export const CONDITIONS = [
  {
    id: 'coated',
    name: 'Coated paper',
    says: 'Gloss and silk: books, cards, calendars',
    file: 'coated-offset.icc',
    data: 'FOGRA39',
    mostInk: 300,
  },
  {
    id: 'uncoated',
    name: 'Uncoated paper',
    says: 'Matt, rough to the hand: letters, notebooks',
    file: 'uncoated-offset.icc',
    data: 'FOGRA29',
    mostInk: 300,
  },
  {
    id: 'commercial',
    name: 'Coated paper, commercial offset',
    says: 'As shops print that follow CGATS',
    file: 'commercial-coated.icc',
    data: 'CGATS TR 006',
    mostInk: 300,
  },
] as const satisfies readonly Condition[];

/** A colour profile that was brought in, and travels with the project. */
export interface OwnProfile {
  /** SHA-256 of its bytes, lower-case hexadecimal; they live elsewhere. */
  sha: string;
  /** What it says it is for. */
  name: string;
  bytes: number;
}

export const MOST_PROFILES = 12;
export const LONGEST_PROFILE = 120;

/** Those that ship, and those of a project. */
export const conditionsFor = (own: readonly OwnProfile[] = []): Condition[] => [
  ...CONDITIONS,
  ...own.map(({ sha, name }) => ({ id: sha, name, says: 'Brought in', data: name, mostInk: null })),
];

export type ConditionId = (typeof CONDITIONS)[number]['id'];

/** One that ships. */
export const conditionOf = (id: ConditionId): Condition & { file: string } =>
  CONDITIONS.find((one) => one.id === id)!;
