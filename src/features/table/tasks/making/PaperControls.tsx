'use client';
/** The printer at home and the paper in it: pages on as many sheets as they take, smaller on one, or several on each. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { SEVERAL } from '@/core/packing/several';
import { printerUsed, type Printers } from '@/core/packing/printer';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { PrinterDialog } from '@/features/table/tasks/making/PrinterDialog';
import {
  MOST_OVERLAP,
  OWN_SIZE,
  PAPER_USES,
  type PaperUse,
  type TileWishes,
} from '@/features/table/tasks/making/usePrinters';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';

interface Props {
  printers: Printers;
  wishes: TileWishes;
  /** It comes out on sheets of its own making: only the printer is asked for. */
  sheets: boolean;
  /** More than one page. */
  several: boolean;
  unit: Unit;
  disabled: boolean;
  onPrinters: (change: Partial<Printers>) => void;
  onChange: (change: Partial<TileWishes>) => void;
  /** The test sheet is wanted: to be printed by the stand-in, or as a file. */
  onTest: (printed: boolean) => void;
}

const USES: Record<PaperUse, string> = {
  tiles: 'True to size, on as many sheets as it takes',
  fit: 'Smaller, on one sheet',
  strip: 'A strip of it, to try on scrap',
  several: 'Several pages on each sheet',
};

export function PaperControls(props: Props) {
  const { printers, wishes, sheets, several, unit, disabled, onPrinters, onChange, onTest } = props;
  const [open, setOpen] = useState(false);
  const uses = PAPER_USES.filter((use) => use !== 'several' || several);
  const how = uses.includes(wishes.how) ? wishes.how : 'tiles';
  const across = { gridColumn: '1 / -1', display: 'grid' };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mb: 1.5, mt: 0.75 }}>
      <Box sx={{ ...across, gridTemplateColumns: '1fr auto', gap: 1 }}>
        <Chosen
          label="Printer"
          value={printerUsed(printers).id}
          all={printers.all.map(({ id, name }) => [id, name] as const)}
          disabled={disabled}
          onChoose={(used) => onPrinters({ used })}
        />
        <Button color="inherit" variant="outlined" disabled={disabled} onClick={() => setOpen(true)}>
          Measure it …
        </Button>
      </Box>
      {!sheets && (
        <>
          <Box sx={across}>
            <Chosen
              label="Paper"
              value={wishes.paper}
              all={[
                [OWN_SIZE, 'As large as the page'],
                ...SHEET_PAPERS.map(({ id, name, use }) => [id, `${name}, ${use}`] as const),
              ]}
              disabled={disabled}
              onChoose={(paper) => onChange({ paper })}
            />
          </Box>
          {wishes.paper !== OWN_SIZE && (
            <Box sx={across}>
              <Chosen
                label="How it lies on the paper"
                value={how}
                all={uses.map((use) => [use, USES[use]] as const)}
                disabled={disabled}
                onChoose={(next) => onChange({ how: next })}
              />
            </Box>
          )}
          {wishes.paper !== OWN_SIZE && how === 'tiles' && (
            <LengthField
              label="Sheets overlap by"
              unit={unit}
              disabled={disabled}
              shown={formatLength(wishes.overlap, unit)}
              read={measureWithin(unit, 0, MOST_OVERLAP)}
              onCommit={(overlap) => onChange({ overlap })}
            />
          )}
          {wishes.paper !== OWN_SIZE && how === 'several' && (
            <Chosen
              label="Pages on a sheet"
              value={wishes.count}
              all={SEVERAL.map((count) => [count, String(count)] as const)}
              disabled={disabled}
              onChoose={(count) => onChange({ count: Number(count) })}
            />
          )}
        </>
      )}
      {open && (
        <PrinterDialog
          {...{ printers, unit }}
          onChange={onPrinters}
          onTest={onTest}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}
