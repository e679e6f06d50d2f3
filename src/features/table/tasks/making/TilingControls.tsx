'use client';
/** The paper at hand, for pages that are larger: on several sheets of it, at true size. */
import Box from '@mui/material/Box';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import { formatLength, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import { MOST_MARGIN, MOST_OVERLAP, OWN_SIZE, type TileWishes } from '@/features/table/tasks/making/useTiles';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';

interface Props {
  wishes: TileWishes;
  unit: Unit;
  disabled: boolean;
  onChange: (change: Partial<TileWishes>) => void;
}

export function TilingControls({ wishes, unit, disabled, onChange }: Props) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mt: 1.5 }}>
      <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>
        <Chosen
          label="Paper"
          value={wishes.paper}
          all={[
            [OWN_SIZE, 'As large as the page'],
            ...SHEET_PAPERS.map(
              ({ id, name }) => [id, `${name}, true to size on as many as it takes`] as const,
            ),
          ]}
          disabled={disabled}
          onChoose={(paper) => onChange({ paper })}
        />
      </Box>
      {wishes.paper !== OWN_SIZE && (
        <>
          <LengthField
            label="The printer leaves white"
            unit={unit}
            disabled={disabled}
            shown={formatLength(wishes.margin, unit)}
            read={measureWithin(unit, 0, MOST_MARGIN)}
            onCommit={(margin) => onChange({ margin })}
          />
          <LengthField
            label="Sheets overlap by"
            unit={unit}
            disabled={disabled}
            shown={formatLength(wishes.overlap, unit)}
            read={measureWithin(unit, 0, MOST_OVERLAP)}
            onCommit={(overlap) => onChange({ overlap })}
          />
        </>
      )}
    </Box>
  );
}
