/** The club's kites and the coats of its members. */
import type { KiteLook } from './things';

export const RED_GOLD: KiteLook = {
  colours: ['#d8433a', '#c22f33', '#f0b33c', '#e09a22'],
  tail: ['#d8433a', '#2f6f68', '#f0b33c'],
  turn: 12,
  seed: 3,
};
export const TEAL: KiteLook = {
  colours: ['#3b8f88', '#2f6f68', '#f3ead6', '#dccfb2'],
  tail: ['#dc7a5c', '#f3ead6'],
  turn: -16,
  seed: 7,
};
export const PLUM: KiteLook = {
  colours: ['#8d3a63', '#6e2a4e', '#e78f6c', '#d1704f'],
  tail: ['#8d3a63', '#f3d9a0'],
  turn: 8,
  seed: 11,
};
export const BLUE: KiteLook = {
  colours: ['#3d6fae', '#2d5487', '#f5d061', '#dcae36'],
  tail: ['#3d6fae', '#f5efe0'],
  turn: -9,
  seed: 17,
};
export const GREEN: KiteLook = {
  colours: ['#7b9b45', '#5d7a33', '#f6ecd2', '#d8cba8'],
  tail: ['#c8503f', '#7b9b45'],
  turn: 20,
  seed: 23,
};

export const COATS = [
  { top: '#c9503f', legs: '#37445c', hair: '#5d3a22', arm: 1 },
  { top: '#3f7f86', legs: '#4b4238', hair: '#b9a58b', arm: 0 },
  { top: '#e0a93b', legs: '#3a4a63', hair: '#2e2320', arm: -1 },
  { top: '#7c4466', legs: '#2f3540', hair: '#8a5b33', arm: 0 },
  { top: '#eee6d6', legs: '#56647a', hair: '#d8c7a4', arm: 1 },
] as const;
