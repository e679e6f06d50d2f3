'use client';
/** Finding a project among many: by its name, by what it is, by when it was worked on. Fetched where there are many. */
import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { IconSearch } from '@tabler/icons-react';
import type { ProductName } from '@/core/product';
import { PRODUCT_NAMES, STARTS } from '@/core/product/starts';
import type { Wish } from '@/features/home/finding';

interface Props {
  wish: Wish;
  count: number;
  total: number;
  onWish: (wish: Wish) => void;
}

export function Finder({ wish, count, total, onWish }: Props) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, mb: 3 }}>
      <TextField
        type="search"
        placeholder="Find a project"
        value={wish.words}
        onChange={(event) => onWish({ ...wish, words: event.target.value.slice(0, 100) })}
        slotProps={{
          htmlInput: { 'aria-label': 'Find a project' },
          input: {
            startAdornment: (
              <InputAdornment position="start">
                <IconSearch size={18} aria-hidden="true" />
              </InputAdornment>
            ),
          },
        }}
        sx={{ width: 260, '& .MuiOutlinedInput-root': { bgcolor: 'background.paper' } }}
      />
      <ToggleButtonGroup
        exclusive
        size="small"
        value={wish.product ?? 'all'}
        aria-label="Which products"
        onChange={(_, chosen: ProductName | 'all' | null) =>
          chosen && onWish({ ...wish, product: chosen === 'all' ? null : chosen })
        }
        sx={{
          bgcolor: 'background.paper',
          '& .Mui-selected': { color: 'primary.main', boxShadow: 'inset 0 -3px 0 currentColor' },
        }}
      >
        <ToggleButton value="all">All</ToggleButton>
        {PRODUCT_NAMES.map((name) => (
          <ToggleButton key={name} value={name}>
            {STARTS[name].name}s
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography role="status" variant="body2">
        {count === total ? `${total} projects` : `${count} of ${total} projects`}
      </Typography>
    </Box>
  );
}
