'use client';
/** What a font has beside its plain letters: swashes, alternates, small capitals. Nothing where it has none. */
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { fontsOf } from '@/core/text/families';
import { useSession } from '@/features/table/room/context';

/** By the tags and names of the OpenType feature registry. */
const NAMES: Record<string, string> = {
  swsh: 'Swashes',
  cswh: 'Contextual swashes',
  salt: 'Stylistic alternates',
  titl: 'Titling letters',
  dlig: 'Discretionary ligatures',
  hlig: 'Historical ligatures',
  smcp: 'Small capitals',
  c2sc: 'Capitals to small capitals',
  onum: 'Old-style figures',
  lnum: 'Lining figures',
  tnum: 'Tabular figures',
  frac: 'Fractions',
  ordn: 'Ordinals',
  sups: 'Superscript',
  subs: 'Subscript',
  zero: 'Slashed zero',
  hist: 'Historical forms',
};

const nameOf = (tag: string): string | undefined =>
  /^ss\d\d$/.test(tag) ? `Stylistic set ${Number(tag.slice(2))}` : NAMES[tag];

interface Props {
  family: string;
  chosen: readonly string[];
  disabled: boolean;
  onChange: (features: string[]) => void;
}

export function FeatureToggles({ family, chosen, disabled, onChange }: Props) {
  const typesetter = useSession((session) => session.typesetter);
  const [main] = fontsOf(family);
  const has = main && typesetter.has(main) ? typesetter.font(main).features : [];
  const offered = [...new Set([...has.filter(nameOf), ...chosen])].filter(nameOf);
  if (!offered.length) return null;
  return (
    <Box role="group" aria-label="Other letters of this font" sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Other letters of this font
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        {offered.map((tag) => {
          const on = chosen.includes(tag);
          return (
            <Chip
              key={tag}
              size="small"
              label={nameOf(tag)}
              aria-pressed={on}
              color={on ? 'secondary' : 'default'}
              variant={on ? 'filled' : 'outlined'}
              disabled={disabled}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => onChange(on ? chosen.filter((one) => one !== tag) : [...chosen, tag])}
              sx={{ height: 32, fontSize: 14 }}
            />
          );
        })}
      </Box>
    </Box>
  );
}
