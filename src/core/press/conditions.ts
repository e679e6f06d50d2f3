/** The print conditions that ship: what a press and its paper make of colours. Adding one is adding a profile and a line. */
export interface Condition {
  id: string;
  name: string;
  /** What is printed so, in a few words. */
  says: string;
  /** The profile's file, in the folder of them. */
  file: string;
  /** The characterisation data it was made from, as a print shop names it. */
  data: string;
  /** The most ink on one spot, all four together, percent. */
  mostInk: number;
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

export type ConditionId = (typeof CONDITIONS)[number]['id'];

export const conditionOf = (id: ConditionId): Condition => CONDITIONS.find((one) => one.id === id)!;
