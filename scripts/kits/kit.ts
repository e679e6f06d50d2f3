/** What a house kit is made of, before it is drawn. */
import type { Typesetter } from '@/core/text/typesetter';
import type { Canvas } from '@napi-rs/canvas';
import type { Motif } from './engrave/surface';
import type { Alphabet } from './letters';
import type { EdgeCut, Ink } from './tiles';

export type { Ink };

export interface HouseKit {
  id: string;
  name: string;
  description: string;
  tags: readonly string[];
  /** Twelve, from light to dark within each family. */
  inks: readonly Ink[];
  /** Inks that also come as sets of their own, from pale to deep. */
  runs: readonly [string, string, string];
  /** Its engraved stamps. */
  stamps: readonly Motif[];
  /** Patterned papers: name, tags, and how its SVG is made. */
  papers: readonly (readonly [string, string, (typesetter: Typesetter) => string])[];
  /** Inks that also come as cardstock. */
  card: readonly string[];
  /** Word stamps: text, family. */
  words: readonly (readonly [string, string])[];
  /** Sentiments that are lettered: on a ribbon, in a round about one of its engravings, over a flourish. */
  lettered: { ribbon: string; round: readonly [text: string, motif: string]; flourish: string };
  /** Name, tags, lift in mm, and how it is drawn. */
  bits: readonly (readonly [string, string, number, () => Canvas])[];
  /** Three of its bits that clusters are laid about. */
  heroes: readonly [string, string, string];
  frames: readonly (readonly [string, string, () => Canvas])[];
  edges: readonly (readonly [string, EdgeCut, string])[];
  alphabets: readonly [Alphabet, Alphabet];
  /** Titles of its ready-made pages, with the words under them. */
  pages: readonly (readonly [string, string])[];
  /** Family and ink of their titles. */
  title: string;
  titleInk: string;
}

/** Inks by their name. */
export const inkFinder =
  (inks: readonly Ink[]) =>
  (name: string): Ink => {
    const found = inks.find((ink) => ink.name === name);
    if (!found) throw new Error(`No ink ${name}.`);
    return found;
  };

export const inksOf = (...pairs: readonly string[]): Ink[] =>
  pairs.map((pair) => {
    const at = pair.lastIndexOf(' ');
    return { name: pair.slice(0, at), colour: pair.slice(at + 1) };
  });

/** Motifs by their name. */
export const motifFinder =
  (motifs: readonly Motif[]) =>
  (name: string): Motif => {
    const found = motifs.find((one) => one.name === name);
    if (!found) throw new Error(`No stamp ${name}.`);
    return found;
  };
