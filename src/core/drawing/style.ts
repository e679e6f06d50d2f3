/** How shapes of an SVG are to be drawn: what they inherit, what sheets of styles and their own attributes say (SVG 1.1, chapters 6 and 11). */
import { patternOf } from '@/core/drawing/dashes';
import { alongOf, lengthIn, type View } from '@/core/drawing/shapes';
import type { Line } from '@/core/drawing/drawing';

/** What a shape inherits from the groups around it. */
export interface Style {
  fill: string;
  stroke: string;
  /** What `currentColor` is. */
  colour: string;
  layer?: string;
  ink?: string;
  strokeInk?: string;
  width: number;
  /** Stretches and gaps by turns, user units; none of a line that is whole. */
  dashes: readonly number[];
  dashOffset: number;
  cap: Line['cap'];
  join: Line['join'];
  rule: 'nonzero' | 'evenodd';
  visible: boolean;
  opacity: number;
  fillOpacity: number;
  strokeOpacity: number;
}

/** Stretches and gaps that are looked at. */
const MOST_TURNS = 64;

export const START: Style = {
  fill: '#000000',
  stroke: 'none',
  colour: '#000000',
  width: 1,
  dashes: [],
  dashOffset: 0,
  cap: 'butt',
  join: 'miter',
  rule: 'nonzero',
  visible: true,
  opacity: 1,
  fillOpacity: 1,
  strokeOpacity: 1,
};

interface Styled {
  name: string;
  attributes: Record<string, string>;
}

type Said = Record<string, string>;

/** Sheets of styles: rules for all, for elements, classes and ids, of which those that name more win. */
export class Sheets {
  /** What each selector says, with the place of its last rule among all. */
  private readonly rules = new Map<string, { said: Said; at: number }>();
  private count = 0;
  private readonly known = new Map<string, Said>();

  /** Takes a sheet in; `visit` is told how much is in it. */
  add(text: string, visit: (much: number) => void): void {
    for (const rule of text.replace(/\/\*[^]*?(\*\/|$)/g, ' ').split('}')) {
      const [names = '', body] = rule.split('{');
      if (body === undefined) continue;
      const said = declarations(body);
      for (const name of names.split(',')) {
        const simple = /^(\*|[a-z][\w-]*|(?:[a-z][\w-]*)?\.[\w-]+|#[\w-]+)$/i.exec(name.trim())?.[1];
        if (!simple) continue;
        visit(1 + Object.keys(said).length);
        const known = this.rules.get(simple)?.said ?? {};
        this.rules.set(simple, { said: Object.assign(known, said), at: this.count++ });
      }
    }
  }

  /** What its rules say of an element, together. */
  of({ name, attributes: { class: classes = '', id } }: Styled): Said {
    if (!this.rules.size) return NOTHING;
    const own = id !== undefined && this.rules.has(`#${id}`) ? id : '';
    const key = `${name} ${classes} #${own}`;
    let said = this.known.get(key);
    if (!said) {
      const each = classes.split(/\s+/).filter(Boolean);
      // Of those that name as much the later one wins.
      const alike = [
        ['*'],
        [name],
        each.map((one) => `.${one}`),
        each.map((one) => `${name}.${one}`),
        [`#${own}`],
      ];
      const rules = alike.flatMap((selectors) =>
        selectors.flatMap((one) => this.rules.get(one) ?? []).sort((one, other) => one.at - other.at),
      );
      said = Object.assign({}, ...rules.map((rule) => rule.said)) as Said;
      this.known.set(key, said);
    }
    return said;
  }
}

const NOTHING: Said = {};

/** What is said of an element, by its own style before its rules, and by those before its attributes. */
export function saidOf(element: Styled, sheets: Sheets): (name: string) => string | undefined {
  const own = declarations(element.attributes.style ?? '');
  const ruled = sheets.of(element);
  return (name) => own[name] ?? ruled[name] ?? element.attributes[name];
}

export function styleOf(
  { name, attributes }: Styled,
  from: Style,
  said: (name: string) => string | undefined,
  view: View,
): Style {
  const share = (of: string, before: number) => {
    const value = lengthIn(said(of), 1, NaN);
    return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : before;
  };
  const inkFor = (paint: 'fill' | 'stroke', before: string | undefined) =>
    said(paint) === undefined ? before : attributes[`data-${paint}-ink`];
  const width = lengthIn(said('stroke-width'), alongOf(view), NaN);
  const dashes = said('stroke-dasharray');
  const seen = said('visibility');
  const colour = said('color');
  return {
    fill: paintOf(said('fill'), from.fill),
    stroke: paintOf(said('stroke'), from.stroke),
    colour: paintOf(colour, from.colour),
    layer: name === 'g' ? (attributes.id ?? from.layer) : from.layer,
    ink: attributes['data-fill-ink'] ?? inkFor('fill', from.ink),
    strokeInk: attributes['data-stroke-ink'] ?? inkFor('stroke', from.strokeInk),
    width: Number.isFinite(width) ? Math.max(0, width) : from.width,
    dashes:
      dashes === undefined || dashes === 'inherit'
        ? from.dashes
        : patternOf(
            dashes
              .split(/[\s,]+/)
              .filter(Boolean)
              .slice(0, MOST_TURNS)
              .map((each) => lengthIn(each, alongOf(view), NaN)),
          ),
    dashOffset: lengthIn(said('stroke-dashoffset'), alongOf(view), from.dashOffset),
    cap: oneOf(said('stroke-linecap'), ['butt', 'round', 'square'], from.cap),
    join: oneOf(said('stroke-linejoin'), ['miter', 'round', 'bevel'], from.join),
    rule: oneOf(said('fill-rule'), ['nonzero', 'evenodd'], from.rule),
    visible: seen === undefined || seen === 'inherit' ? from.visible : seen === 'visible',
    // A group's opacity is given to each of its parts: right wherever they do not overlap.
    opacity: from.opacity * share('opacity', 1),
    fillOpacity: share('fill-opacity', from.fillOpacity),
    strokeOpacity: share('stroke-opacity', from.strokeOpacity),
  };
}

const paintOf = (said: string | undefined, before: string): string =>
  said === undefined || said === 'inherit' ? before : said;

const oneOf = <T extends string>(value: string | undefined, known: readonly T[], before: T): T =>
  known.find((name) => name === value) ?? before;

export const declarations = (style: string): Said =>
  Object.fromEntries(
    style.split(';').flatMap((line) => {
      const [name, ...value] = line.split(':');
      // What is urged is no less said.
      return value.length
        ? [
            [
              name!.trim(),
              value
                .join(':')
                .replace(/!\s*important\s*$/, '')
                .trim(),
            ],
          ]
        : [];
    }),
  );
