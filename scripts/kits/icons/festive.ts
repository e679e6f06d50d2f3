import svgpath from 'svgpath';
import { at, icon, ring, spokes, starPath, type Icon } from './pen';

export const FESTIVE: readonly Icon[] = [
  icon(
    'Lantern',
    'lantern light night',
    'M36 18H64L74 36V78L64 90H36L26 78V36ZM26 36H74M26 78H74M42 18V90M58 18V90M50 18V8M44 8C44 2 56 2 56 8M40 90L38 97H62L60 90',
    'M44 10C42 0 58 0 56 10L66 16L78 36V78L66 91L64 99H36L34 91L22 78V36L34 16ZM36 38V76H46V38ZM54 38V76H64V38Z',
  ),
  icon(
    'Paper lantern',
    'lantern paper night',
    'M34 20H66M34 82H66M34 20C8 34 8 68 34 82M66 20C92 34 92 68 66 82M44 20C32 36 32 66 44 82M56 20C68 36 68 66 56 82M50 20V4M50 82V98M44 98H56M42 12H58',
    'M32 18H68C98 34 98 68 68 84H32C2 68 2 34 32 18ZM47 2H53V16H47ZM47 86H53V99H47Z',
  ),
  icon(
    'Star',
    'star night sky',
    `${starPath(50, 52, 46, 19, 5)}${spokes(50, 52, 6, 24, 5)}`,
    starPath(50, 52, 49, 20, 5),
  ),
  icon(
    'Moon',
    'moon night sky',
    `M64 8C34 10 16 32 20 56C24 82 50 96 78 84C54 82 40 66 42 46C44 28 52 16 64 8Z${starPath(74, 34, 9, 4, 5)}${starPath(86, 58, 6, 2.6, 5)}`,
    'M66 4C32 6 12 32 16 58C20 86 50 100 84 84C56 82 42 66 44 46C46 28 54 14 66 4Z',
  ),
  icon(
    'Snowflake',
    'snow winter ice',
    [0, 60, 120, 180, 240, 300]
      .map(
        (a) =>
          `M50 50L${at(50, 50, 46, a)}M${at(50, 50, 26, a)}L${at(50, 50, 38, a - 22)}M${at(50, 50, 26, a)}L${at(50, 50, 38, a + 22)}M${at(50, 50, 36, a)}L${at(50, 50, 45, a - 13)}M${at(50, 50, 36, a)}L${at(50, 50, 45, a + 13)}`,
      )
      .join(''),
  ),
  icon(
    'Candle',
    'candle light night',
    'M38 44H62V88H38ZM50 44V36M50 36C40 28 48 18 50 8C52 18 60 28 50 36ZM26 88H74C74 96 66 97 50 97C34 97 26 96 26 88ZM44 44C44 52 46 54 46 60',
    'M36 46H64V88H76C76 97 66 99 50 99C34 99 24 97 24 88H36ZM48 38C36 28 46 18 50 4C54 18 64 28 52 38V44H48Z',
  ),
  icon(
    'Firework',
    'firework night party',
    `${spokes(50, 44, 8, 26, 12)}${spokes(50, 44, 32, 42, 12, 15)}${[0, 45, 90, 135, 180, 225, 270, 315].map((a) => ring(Number(at(50, 44, 38, a).split(' ')[0]), Number(at(50, 44, 38, a).split(' ')[1]), 1.8)).join('')}M50 54C48 72 52 84 48 98`,
  ),
  icon(
    'Pine tree',
    'tree pine winter',
    'M50 6L30 34H38L22 58H32L14 82H86L68 58H78L62 34H70ZM44 82V96H56V82',
    'M50 2L27 35H35L18 59H28L8 85H43V98H57V85H92L72 59H82L65 35H73Z',
  ),
  icon(
    'Parcel',
    'gift parcel ribbon',
    'M12 40H88V92H12ZM8 28H92V40H8ZM44 28V92M56 28V92M50 28C36 28 24 22 28 12C34 4 48 14 50 28C52 14 66 4 72 12C76 22 64 28 50 28',
    'M6 28H42C26 26 20 18 26 10C34 0 48 10 50 22C52 10 66 0 74 10C80 18 74 26 58 28H94V42H6ZM10 46H45V95H10ZM55 46H90V95H55Z',
  ),
  icon(
    'Bell',
    'bell winter song',
    `M20 76C30 68 28 50 30 40C32 24 40 18 50 18C60 18 68 24 70 40C72 50 70 68 80 76ZM50 18V10${ring(50, 7, 3)}M42 76C42 88 58 88 58 76M30 64H70`,
    'M14 80C28 68 26 52 28 40C30 24 38 17 46 15A5 5 0 1 1 54 15C62 17 70 24 72 40C74 52 72 68 86 80H60C60 94 40 94 40 80Z',
  ),
  icon(
    'String of lights',
    'lights party night',
    `M2 20C30 52 70 52 98 20${[14, 32, 50, 68, 86]
      .map((x, k) => {
        const y = [32, 42, 45, 42, 32][k]!;
        return `M${x - 3} ${y}H${x + 3}V${y + 6}H${x - 3}ZM${x - 3} ${y + 6}C${x - 11} ${y + 18} ${x - 4} ${y + 28} ${x} ${y + 28}C${x + 4} ${y + 28} ${x + 11} ${y + 18} ${x + 3} ${y + 6}`;
      })
      .join('')}`,
  ),
  icon(
    'Holly branch',
    'branch winter green',
    `M8 82C30 74 52 56 70 34${[
      [24, 76, -40],
      [40, 64, 30],
      [56, 50, -50],
      [66, 38, 20],
    ]
      .map(([x, y, a]) =>
        svgpath(
          'M0 0C-6 -10 -12 -12 -8 -22C-14 -26 -6 -30 -2 -40C6 -32 12 -28 8 -22C14 -14 6 -10 0 0ZM0 0V-34',
        )
          .rotate(a!)
          .translate(x!, y!)
          .toString(),
      )
      .join('')}${ring(76, 28, 5)}${ring(86, 34, 5)}${ring(82, 22, 5)}`,
  ),
];
