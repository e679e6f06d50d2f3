'use client';
/** A colour as it is written: any notation CSS knows, shown as #rrggbb. */
import { cssColour } from '@/core/inks/css';
import { fail, ok, type Result } from '@/core/result';
import { LengthField } from '@/ui/LengthField';

interface Props {
  label: string;
  colour: string;
  disabled?: boolean;
  onChange: (colour: string) => void;
}

function readCss(text: string): Result<number> {
  const hex = cssColour(text);
  return hex
    ? ok(Number.parseInt(hex.slice(1), 16))
    : fail('A colour, such as #9e2b45, rgb(158 43 69) or teal.');
}

export function CssField({ label, colour, disabled, onChange }: Props) {
  return (
    <LengthField
      label={label}
      shown={colour}
      read={readCss}
      disabled={disabled}
      onCommit={(value) => onChange(`#${value.toString(16).padStart(6, '0')}`)}
    />
  );
}
