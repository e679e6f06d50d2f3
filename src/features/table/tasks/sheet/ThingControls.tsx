'use client';
/** Each card: its size, how many of it, whether it has a back and may lie turned. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { MOST_BLEED, MOST_COUNT, type SheetProduct, type Thing } from '@/core/product/sheet';
import { sheetStart } from '@/core/product/sheet/start';
import type { Project } from '@/core/project/model';
import { formatLength } from '@/core/units/lengths';
import { SMALLEST_SIDE } from '@/core/units/sizes';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { measureWithin, wholeWithin } from '@/features/table/parts/measures';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

interface Props {
  project: Project;
  product: SheetProduct;
  disabled: boolean;
  onChange: (to: SheetProduct, label: string) => void;
}

/** CSS pixels of its picture. */
const SIDE = 64;

export function ThingControls({ project, product, disabled, onChange }: Props) {
  const { unit, surfaces } = project;
  return (
    <Box component="ol" aria-label="Cards" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.5 }}>
      {product.things.map((thing) => {
        const surface = surfaces.find(({ part }) => part === thing.part);
        if (!surface) return null;
        const { name } = surface;
        const change = (to: Partial<Thing>, label: string) =>
          onChange(
            {
              ...product,
              things: product.things.map((each) =>
                each === thing ? withoutFalse({ ...each, ...to }) : each,
              ),
            },
            label,
          );
        const side = (of: 'width' | 'height', label: string) => (
          <LengthField
            label={label}
            disabled={disabled}
            shown={formatLength(thing[of], unit)}
            read={measureWithin(unit, SMALLEST_SIDE, sheetStart.mostSide)}
            onCommit={(value) => change({ [of]: value }, `resize ${name}`)}
          />
        );
        return (
          <Box
            component="li"
            key={thing.part}
            sx={{
              border: 1,
              borderColor: 'divider',
              borderRadius: 1.5,
              p: 1.25,
              bgcolor: 'background.paper',
            }}
          >
            <Box
              component="fieldset"
              sx={{
                ...{ m: 0, p: 0, border: 0, minWidth: 0, display: 'grid', gap: '10px 8px' },
                gridTemplateColumns: '72px 1fr 1fr 1fr',
                alignItems: 'center',
              }}
            >
              <Typography component="legend" variant="body2" sx={{ p: 0, mb: 0.75, fontWeight: 600 }}>
                {name}
              </Typography>
              <Box
                sx={{
                  boxShadow: '0 1px 3px rgba(20,14,8,0.35)',
                  width: 'fit-content',
                  justifySelf: 'center',
                }}
              >
                <NearPicture project={project} surface={surface} side={SIDE} />
              </Box>
              <LengthField
                label="Count"
                disabled={disabled}
                shown={String(thing.count)}
                read={wholeWithin(0, MOST_COUNT)}
                onCommit={(count) => change({ count }, `print ${count} of ${name}`)}
              />
              {side('width', 'Across')}
              {side('height', 'Down')}
              <Box sx={{ gridColumn: '2 / 4' }}>
                <LengthField
                  label="Bleed"
                  unit={unit}
                  disabled={disabled}
                  shown={formatLength(thing.bleed ?? surface.bleed.top, unit)}
                  read={measureWithin(unit, 0, MOST_BLEED)}
                  onCommit={(bleed) => change({ bleed }, `print beyond ${name}`)}
                />
              </Box>
              <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
                <Turned
                  label="Has a back"
                  on={Boolean(thing.back)}
                  disabled={disabled}
                  onTurn={(on) =>
                    change(
                      { back: on || undefined } as Partial<Thing>,
                      on ? `give ${name} a back` : `take the back off ${name}`,
                    )
                  }
                />
                <Turned
                  label="May lie turned"
                  on={!thing.upright}
                  disabled={disabled}
                  onTurn={(on) =>
                    change(
                      { upright: !on || undefined } as Partial<Thing>,
                      on ? `let ${name} lie turned` : `keep ${name} upright`,
                    )
                  }
                />
              </Box>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** What is not so is not written. */
function withoutFalse({ back, upright, ...thing }: Thing): Thing {
  return { ...thing, ...(back ? { back } : {}), ...(upright ? { upright } : {}) };
}
