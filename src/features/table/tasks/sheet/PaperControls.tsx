'use client';
/** The paper: its size, what the printer loses of it, and how it is cut. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { MOST_GAP, paperOf, type SheetProduct } from '@/core/product/sheet';
import { SHEET_PAPERS, STOCKS, type Stock } from '@/core/product/sheet/start';
import { formatLength, type Unit } from '@/core/units/lengths';
import { LARGEST_SIDE, SMALLEST_SIDE } from '@/core/units/sizes';
import { measureWithin } from '@/features/table/parts/measures';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  product: SheetProduct;
  unit: Unit;
  disabled: boolean;
  onChange: (to: SheetProduct, label: string) => void;
}

const OWN = 'own';
const PAPER = 'paper';
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

export function PaperControls({ product, unit, disabled, onChange }: Props) {
  const { lost, gap, straight } = product;
  const paper = paperOf(product);
  const side = (name: 'width' | 'height', label: string) => (
    <LengthField
      label={label}
      unit={unit}
      disabled={disabled}
      shown={formatLength(product[name], unit)}
      read={measureWithin(unit, SMALLEST_SIDE, LARGEST_SIDE)}
      onCommit={(value) => onChange({ ...product, [name]: value }, 'print on another paper')}
    />
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: '14px 8px' }}>
      <Box sx={{ gridColumn: 'span 4', display: 'grid' }}>
        <Chosen
          label="Paper"
          value={paper?.id ?? OWN}
          all={[
            ...SHEET_PAPERS.map(
              ({ id, name, use }) => [id, name === use ? name : `${name}: ${use}`] as const,
            ),
            [OWN, 'A size of its own'] as const,
          ]}
          disabled={disabled}
          onChoose={(id) => {
            const next = SHEET_PAPERS.find((each) => each.id === id);
            if (next)
              onChange({ ...product, width: next.width, height: next.height }, `print on ${next.name} paper`);
          }}
        />
      </Box>
      <Box sx={{ gridColumn: 'span 4', display: 'grid' }}>
        <Chosen
          label="It is"
          value={product.stock ?? PAPER}
          all={[[PAPER, 'Paper or cardstock'] as const, ...Object.entries(STOCKS)]}
          disabled={disabled}
          onChoose={(id) => {
            const { stock: _, ...rest } = product;
            const stock = id === PAPER ? {} : { stock: id as Stock };
            onChange({ ...rest, ...stock }, 'print on another stock');
          }}
        />
      </Box>
      <Box sx={{ gridColumn: 'span 2' }}>{side('width', 'Paper across')}</Box>
      <Box sx={{ gridColumn: 'span 2' }}>{side('height', 'Paper down')}</Box>
      <Typography variant="body2" sx={{ gridColumn: 'span 4', mb: -0.5 }}>
        Lost by the printer at each edge
      </Typography>
      {SIDES.map((name) => (
        <LengthField
          key={name}
          label={name[0]!.toUpperCase() + name.slice(1)}
          disabled={disabled}
          shown={formatLength(lost[name], unit)}
          read={measureWithin(unit, 0, LARGEST_SIDE)}
          onCommit={(value) =>
            onChange({ ...product, lost: { ...lost, [name]: value } }, 'change what the printer loses')
          }
        />
      ))}
      <Box sx={{ gridColumn: 'span 2' }}>
        <LengthField
          label="Between cards"
          unit={unit}
          disabled={disabled}
          shown={formatLength(gap, unit)}
          read={measureWithin(unit, 0, MOST_GAP)}
          onCommit={(value) => onChange({ ...product, gap: value }, 'change the gap between cards')}
        />
      </Box>
      <Box sx={{ gridColumn: 'span 4' }}>
        <Turned
          label="Straight cuts, right through"
          on={straight}
          disabled={disabled}
          onTurn={(on) => onChange({ ...product, straight: on }, on ? 'pack for a trimmer' : 'pack freely')}
        />
      </Box>
    </Box>
  );
}
