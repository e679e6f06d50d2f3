import { HEART, icon, petals, ring, sprig, type Icon } from './pen';

export const KITCHEN: readonly Icon[] = [
  icon(
    'Teapot',
    'tea pot kitchen',
    'M26 40H70C80 52 78 84 62 90H34C18 84 16 52 26 40ZM24 58C4 50 2 30 10 28M24 66C8 64 0 40 6 30M72 50C96 46 96 78 72 78M32 40C34 26 62 26 64 40M44 28A5 5 0 1 1 53 28',
    'M30 36C34 22 62 22 66 36H72C80 44 82 48 82 46C99 46 99 80 76 82C72 88 66 92 62 93H34C26 90 20 82 19 70C4 64 0 42 4 28L12 26C14 40 18 48 22 50C23 44 25 40 28 36ZM79 55V72C88 70 88 56 79 55ZM42 24A7 7 0 1 1 54 24Z',
  ),
  icon(
    'Cup and saucer',
    'tea cup kitchen',
    'M20 36H72C72 62 64 76 46 76C28 76 20 62 20 36ZM72 42C90 38 92 62 68 62M8 84H86C80 92 70 94 48 94C24 94 14 92 8 84ZM36 26C30 20 42 16 36 8M48 26C42 20 54 16 48 8M60 26C54 20 66 16 60 8',
    'M16 34H74C74 34 96 30 94 50C92 64 78 68 70 66C66 76 58 80 46 80C26 80 16 62 16 34ZM74 42C74 50 73 54 71 59C82 60 88 52 86 46C84 41 78 41 74 42ZM4 86H90C84 96 72 98 48 98C22 98 10 96 4 86Z',
  ),
  icon(
    'Whisk',
    'baking whisk kitchen',
    'M46 96L52 56M54 96L50 56M52 56C24 44 26 8 50 6C76 8 78 44 50 56M51 56C36 40 38 10 50 6C64 10 66 40 51 56M46 96C48 99 52 99 54 96',
  ),
  icon(
    'Rolling pin',
    'baking kitchen pin',
    'M22 64L64 22L78 36L36 78ZM22 64L14 72M36 78L28 86M14 72C6 76 4 84 8 92C16 96 24 94 28 86M64 22L72 14M78 36L86 28M72 14C76 6 84 4 92 8C96 16 94 24 86 28',
  ),
  icon(
    'Cupcake',
    'cake baking sweet',
    'M24 56L34 94H66L76 56M20 56C10 46 18 34 28 36C28 22 44 18 50 26C58 16 74 22 72 36C84 34 90 48 80 56ZM40 58L44 92M60 58L56 92M50 58V92M50 22V14' +
      ring(50, 10, 4),
    'M18 56C6 44 16 30 26 33C27 18 42 15 47 20V15A6 6 0 1 1 53 15V20C60 14 76 18 75 33C88 31 94 46 82 56ZM22 60H78L68 97H32Z',
  ),
  icon(
    'Jar of jam',
    'jam jar kitchen',
    'M28 26H72V34C80 38 82 46 82 54V84C82 92 78 95 70 95H30C22 95 18 92 18 84V54C18 46 20 38 28 34ZM24 12H76V26H24ZM32 54H68V78H32ZM40 66C40 60 48 60 50 65C52 60 60 60 60 66C58 72 52 74 50 76C48 74 42 72 40 66',
  ),
  icon(
    'Lemon slice',
    'lemon fruit fresh',
    `${ring(50, 50, 44)}${ring(50, 50, 37)}${petals(50, 50, 6, 34, 8, 16)}`,
  ),
  icon('Wheat', 'wheat baking harvest', sprig(7, 18, 6)),
  icon(
    'Envelope',
    'letter mail envelope',
    'M6 22H94V80H6ZM6 22L50 56L94 22M6 80L38 47M94 80L62 47',
    'M4 20H96L50 56ZM4 26L50 62L96 26V82H4Z',
  ),
  icon(
    'Pen',
    'letter pen writing',
    'M10 92C14 70 26 58 40 52L78 10C86 6 94 14 90 22L48 60C42 74 30 86 10 92ZM10 92L34 66M40 52L48 60' +
      ring(36, 64, 3),
  ),
  icon(
    'Biscuit',
    'biscuit baking sweet',
    `${ring(50, 50, 40)}${[
      [36, 36],
      [58, 30],
      [66, 52],
      [44, 56],
      [30, 60],
      [56, 74],
      [72, 68],
    ]
      .map(([x, y]) => ring(x!, y!, 4))
      .join('')}`,
  ),
  icon('Heart', 'heart love', `${HEART}M22 34C22 26 26 22 32 22`, HEART),
];
