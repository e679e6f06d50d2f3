/** What a calendar costs: a year dated anew, a month drawn, a calendar file read, the whole made into a PDF. */
import { drawPiece, drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { keepHeld } from '@/core/calendar/held';
import { readDaysFile } from '@/core/calendar/files';
import { settle } from '@/core/calendar/settle';
import { sayAnew } from '@/core/living/living';
import { calendarIn } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { changeProduct } from '@/core/project/edits/product';
import { amend, perform, startHistory, type History } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { make } from '@/output/make';
import { openedFile, typesetterOf } from '../node/files';
import { nodeWorkshop, ROOT } from '../node/platform';
import { wordsOf } from '../testing/samples';

interface Tools {
  note(name: string, measured: number, floor: number, unit: string, limit: string, met: boolean): void;
}

const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const timed = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

export async function calendar({ note }: Tools): Promise<void> {
  const opened = await openedFile(`${ROOT}/public/demo/saltmarsh-desk-calendar.bellagraph`);
  const typesetter = await typesetterOf(opened);
  const { bytes } = opened;
  const sixty = Array.from({ length: 60 }, (_, i) => ({
    ...{ id: `e${i}`, kind: 'birthday' as const, name: `Friend number ${i}` },
    ...{ month: (i % 12) + 1, day: (i % 28) + 1, year: 1950 + i },
  }));
  const project: Project = { ...opened.project, events: sixty };
  const follow = (history: History): History =>
    [settle, keepHeld, (of: Project) => sayAnew(of, typesetter)].reduce((now, next) => {
      const edit = next(now.project);
      return edit ? amend(now, edit) : now;
    }, history);
  const start = follow(startHistory(project));
  const years = Array.from({ length: 21 }, (_, i) => 2028 + i);
  const times = years.map((year) =>
    timed(() =>
      follow(
        perform(start, changeProduct(withSettings(calendarIn(project.product)!, { year }), 'date'), 10_000),
      ),
    ),
  );
  const floor = middle(years.map(() => timed(() => structuredClone(project))));
  const dated = middle(times);
  note(
    'Date a year of 12 months and 60 days anew',
    dated,
    floor,
    'ms',
    'under 100 ms; floor: a copy of the project',
    dated < 100,
  );

  const tools = toolsFor(project, typesetter);
  const page = project.surfaces.find(({ part }) => part === 'month-8')!;
  const month = page.pile.find(({ material }) => material.kind === 'month')!;
  const words = Array.from({ length: 31 }, (_, i) => wordsOf(`w${i}`, String(i + 1), 18, 60));
  // What words a typesetter has set it remembers: each time other sizes.
  const grids: number[] = [];
  const plain: number[] = [];
  for (let i = 0; i < 31; i++) {
    const width = month.placement.width * (1 + i / 97);
    grids.push(
      timed(
        () =>
          drawPiece({ ...month, placement: { ...month.placement, width } }, page.light, tools).marks.length,
      ),
    );
    plain.push(
      timed(() =>
        words.forEach((piece) =>
          drawPiece(
            { ...piece, outline: { ...piece.outline, size: 18 + i / 97 } as typeof piece.outline },
            page.light,
            tools,
          ),
        ),
      ),
    );
  }
  const [grid, boxes] = [middle(grids), middle(plain)];
  note(
    'Draw a month',
    grid,
    boxes,
    'ms',
    'within 2 x; floor: its numbers as boxes of words',
    grid < 2 * boxes,
  );

  const entries = Array.from(
    { length: 10_000 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART;VALUE=DATE:2027${String((i % 12) + 1).padStart(2, '0')}${String((i % 28) + 1).padStart(2, '0')}\r\nSUMMARY:Entry ${i}\r\nEND:VEVENT`,
  );
  const file = `BEGIN:VCALENDAR\r\n${entries.join('\r\n')}\r\nEND:VCALENDAR\r\n`;
  const reads = Array.from({ length: 5 }, () => timed(() => readDaysFile(file, 2027, 2027)));
  const splits = Array.from({ length: 5 }, () =>
    timed(() => file.split('\r\n').map((line) => line.split(':'))),
  );
  note(
    'Read a calendar file of 10,000 entries',
    middle(reads),
    middle(splits),
    'ms',
    'under 1000 ms; floor: its lines parted',
    middle(reads) < 1000,
  );

  const shop = nodeWorkshop(
    (sha) => project.assets[sha]!,
    (sha) => bytes.get(sha)!,
    typesetter,
  );
  const pictures = project.surfaces.map((surface) => drawSurface(surface, tools));
  const options = { format: 'pdf' as const, ppi: 300, withBleed: true, cropMarks: true };
  const photos = [...bytes.values()];
  const makes: number[] = [];
  const copies: number[] = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    await make(pictures, options, shop);
    makes.push(performance.now() - begun);
    copies.push(timed(() => Buffer.concat(photos)));
  }
  const [pdf, copy] = [middle(makes), middle(copies)];
  note(
    'Calendar of 13 pages to PDF',
    pdf,
    copy,
    'ms',
    'within 3 x; floor: a copy of its pictures’ bytes',
    pdf < 3 * copy,
  );
}
