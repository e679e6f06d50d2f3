'use client';
/** The cupboard: kits at the left, what was found in the middle, what is chosen at the right. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconPlus, IconSearch, IconX } from '@tabler/icons-react';
import { useDeferredValue, useMemo, useRef, useState, type DragEvent } from 'react';
import { missingLetters } from '@/core/supplies/letters';
import { KINDS, type Kit, type Supply, type SupplyKind } from '@/core/supplies/model';
import type { Filter } from '@/core/supplies/search';
import type { Unit } from '@/core/units/lengths';
import { BringSheet } from '@/features/cupboard/BringSheet';
import { Detail } from '@/features/cupboard/Detail';
import { Filters } from '@/features/cupboard/Filters';
import { KitShelf } from '@/features/cupboard/KitShelf';
import { SupplyGrid } from '@/features/cupboard/SupplyGrid';
import { TakeOut } from '@/features/cupboard/TakeOut';
import { useBringing } from '@/features/cupboard/useBringing';
import { useCupboard, type Cupboard as Stock } from '@/features/cupboard/useCupboard';
import { StillDrawn } from '@/features/shared/StillDrawn';

export interface CupboardProps {
  /** The kinds it is opened for; everything if absent. */
  kinds?: readonly SupplyKind[];
  unit: Unit;
  /** How often a picture lies on the pages at hand. */
  usedOf(sha: string | undefined): number;
  /** What supplies are seen on: neutral, or the page's own background. */
  ground?: string;
  onGather?: (supplies: readonly Supply[]) => void;
  onLay?: (supplies: readonly Supply[]) => void;
  onReplace?: (supply: Supply) => void;
  onOpenPage?: (supply: Supply) => void;
  onDragStart?: (supply: Supply, event: DragEvent) => void;
  onDragEnd?: () => void;
}

export function Cupboard(props: CupboardProps) {
  const { cupboard, again } = useCupboard();
  if (!cupboard)
    return (
      <Box role="status" sx={{ flex: 1, display: 'grid', placeItems: 'center' }}>
        {again ? (
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2, alignItems: 'center' }}>
            The cupboard could not be opened just now. Everything in it is kept.
            <Button variant="outlined" onClick={again}>
              Try again
            </Button>
          </Box>
        ) : (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <CircularProgress size={24} aria-hidden /> Opening the cupboard …
          </Box>
        )}
      </Box>
    );
  return <Open {...props} cupboard={cupboard} />;
}

function Open({
  cupboard,
  kinds,
  unit,
  usedOf,
  ground = 'var(--mui-palette-table-main)',
  ...on
}: CupboardProps & { cupboard: Stock }) {
  const [words, setWords] = useState('');
  const [filter, setFilter] = useState<Filter>(kinds ? { kinds } : {});
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [leaving, setLeaving] = useState<readonly Supply[]>([]);
  const last = useRef<string | null>(null);
  const results = useRef<HTMLDivElement>(null);
  const bringing = useBringing(cupboard);
  const typed = useDeferredValue(words);
  const found = useMemo(
    () => cupboard.find(typed, filter, (supply) => usedOf(supply.asset?.sha) > 0),
    [cupboard, typed, filter, usedOf],
  );
  const picked = useMemo(() => found.filter(({ id }) => chosen.has(id)), [found, chosen]);

  const choose = (supply: Supply, how: 'only' | 'add' | 'run') => {
    if (how === 'run' && last.current) {
      const ids = found.map(({ id }) => id);
      const [from, to] = [ids.indexOf(last.current), ids.indexOf(supply.id)].sort((a, b) => a - b) as [
        number,
        number,
      ];
      return setChosen(new Set(ids.slice(Math.max(0, from), to + 1)));
    }
    last.current = supply.id;
    if (how === 'only') return setChosen(new Set([supply.id]));
    const next = new Set(chosen);
    if (!next.delete(supply.id)) next.add(supply.id);
    setChosen(next);
  };
  const take = (supply: Supply) => {
    if (on.onLay) on.onLay(chosen.has(supply.id) ? picked : [supply]);
    else if (KINDS[supply.kind].opens === 'project') on.onOpenPage?.(supply);
    else choose(supply, 'only');
  };
  const key = (name: string, supply: Supply): boolean => {
    const meant = chosen.has(supply.id) ? picked : [supply];
    if (name === 'g' && on.onGather) on.onGather(meant);
    else if (name === 'f') void cupboard.change(meant, (one) => ({ ...one, favourite: !supply.favourite }));
    else if (name === 'Delete') setLeaving(meant);
    else return false;
    return true;
  };
  const kit = cupboard.kits.find(({ id }) => id === filter.kit);
  const missing = useMemo(() => (filter.kit ? lackingIn(cupboard, filter.kit) : []), [cupboard, filter.kit]);
  return (
    <Box
      {...bringing.rootProps()}
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: '190px minmax(0, 1fr) 268px', lg: '232px minmax(0, 1fr) 300px' },
        bgcolor: 'background.paper',
      }}
    >
      <KitShelf
        cupboard={cupboard}
        shown={filter}
        onShow={(next) => setFilter({ ...filter, kit: undefined, favourite: undefined, ...next })}
        bringing={bringing}
      />
      <Box
        ref={results}
        component="section"
        aria-label="Found supplies"
        sx={{
          display: 'flex',
          flexDirection: 'column',
          minWidth: 0,
          minHeight: 0,
          bgcolor: 'background.default',
        }}
      >
        <input {...bringing.inputProps()} aria-label="Supply files" data-testid="supply-input" />
        <Box sx={{ p: 1.5, pb: 1, display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <SearchField
            words={words}
            onChange={setWords}
            onGoOn={() =>
              results.current?.querySelector<HTMLElement>('[role="option"][tabindex="0"]')?.focus()
            }
          />
          <Button
            startIcon={<IconPlus size={18} />}
            onClick={bringing.pick}
            variant="outlined"
            sx={{ flexShrink: 0 }}
          >
            Bring in supplies
          </Button>
        </Box>
        <StillDrawn at="/house/kits.json" what="The house kits are" />
        <Filters filter={filter} onChange={setFilter} withUse={Boolean(on.onGather)} />
        <Typography variant="caption" color="text.secondary" role="status" sx={{ px: 2 }}>
          {countInWords(found.length, typed, kit)}
        </Typography>
        {missing.length > 0 && (
          <Typography variant="caption" sx={{ px: 2, color: 'warning.main' }}>
            Its letters lack {missing.join(' ')}
          </Typography>
        )}
        {found.length ? (
          <SupplyGrid
            supplies={found}
            chosen={chosen}
            usedOf={(supply) => usedOf(supply.asset?.sha)}
            ground={ground}
            onChoose={choose}
            onTake={take}
            onDragStart={on.onDragStart}
            onDragEnd={on.onDragEnd}
            onKey={key}
          />
        ) : (
          <Nothing words={typed} suggestions={cupboard.suggest(typed.slice(0, 3))} onTry={setWords} />
        )}
      </Box>
      <Box
        component="aside"
        aria-label="About the chosen supplies"
        sx={{ borderLeft: 1, borderColor: 'divider', overflowY: 'auto', scrollbarWidth: 'thin' }}
      >
        <Detail
          chosen={picked}
          cupboard={cupboard}
          ground={ground}
          unit={unit}
          onGather={on.onGather}
          onLay={on.onLay}
          onReplace={on.onReplace}
          onRemove={setLeaving}
          onChoose={(supply) => {
            // What was searched for may not be it: it is seen among its kit.
            setWords('');
            setFilter({ kit: supply.kit });
            choose(supply, 'only');
          }}
        />
      </Box>
      <TakeOut supplies={leaving} cupboard={cupboard} onClose={() => setLeaving([])} />
      <BringSheet bringing={bringing} kits={cupboard.kits} unit={unit} />
    </Box>
  );
}

interface SearchFieldProps {
  words: string;
  onChange: (words: string) => void;
  /** On to what was found. */
  onGoOn: () => void;
}

const SearchField = ({ words, onChange, onGoOn }: SearchFieldProps) => (
  <TextField
    fullWidth
    autoFocus
    size="small"
    type="search"
    placeholder="Search: kite, blue button, washi …"
    value={words}
    onChange={(event) => onChange(event.target.value.slice(0, 200))}
    onKeyDown={(event) => {
      if (event.key !== 'ArrowDown' && event.key !== 'Enter') return;
      event.preventDefault();
      onGoOn();
    }}
    slotProps={{
      htmlInput: { 'aria-label': 'Search the cupboard', autoComplete: 'off' },
      input: {
        startAdornment: (
          <InputAdornment position="start">
            <IconSearch size={18} />
          </InputAdornment>
        ),
        endAdornment: words && (
          <IconButton size="small" aria-label="Clear the search" onClick={() => onChange('')}>
            <IconX size={18} />
          </IconButton>
        ),
      },
    }}
    sx={{
      bgcolor: 'background.paper',
      borderRadius: 1,
      '& ::-webkit-search-cancel-button': { display: 'none' },
    }}
  />
);

/** The usual characters that a kit's alphabet has no picture of; none for a kit without letters. */
function lackingIn(cupboard: Stock, kit: string): string[] {
  const letters = cupboard.find('', { kit, kinds: ['alphabet'] }, () => false);
  return letters.length ? missingLetters(new Set(letters.flatMap((one) => [...(one.letters ?? '')]))) : [];
}

function countInWords(count: number, words: string, kit: Kit | undefined): string {
  const what = `${count.toLocaleString('en')} ${count === 1 ? 'supply' : 'supplies'}`;
  return [what, words.trim() && `for “${words.trim()}”`, kit && `in ${kit.name}`].filter(Boolean).join(' ');
}

function Nothing({
  words,
  suggestions,
  onTry,
}: {
  words: string;
  suggestions: readonly string[];
  onTry: (words: string) => void;
}) {
  return (
    <Box sx={{ p: 4, maxWidth: 520 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {words.trim() ? 'Nothing is called that here' : 'Nothing lies here yet'}
      </Typography>
      <Typography sx={{ mb: 2 }}>
        {words.trim()
          ? 'Try fewer letters, another word, or take a filter away.'
          : 'Drop files, a folder or a kit’s zip anywhere here: they are sorted into their kinds by themselves.'}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {words.trim() &&
          suggestions.map((word) => (
            <Button key={word} variant="outlined" size="small" onClick={() => onTry(word)}>
              {word}
            </Button>
          ))}
      </Box>
    </Box>
  );
}
