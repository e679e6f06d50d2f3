/** Whether width and height go together, seen beside the two fields; with words, whether their letters grow with the box. */
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';

interface Props {
  words: boolean;
  on: boolean;
  disabled?: boolean;
  onChange: (on: boolean) => void;
}

export const ProportionSwitch = ({ words, on, disabled = false, onChange }: Props) => (
  <FormControlLabel
    sx={{ mr: 0, alignSelf: 'center', ...(words && { gridColumn: '1 / -1', my: -0.75 }) }}
    control={
      <Switch
        size="small"
        checked={on}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
        sx={{ ml: 0.5, mr: 0.75 }}
      />
    }
    label={words ? 'Letters grow with the box' : 'In proportion'}
    slotProps={{ typography: { variant: 'body2' } }}
  />
);
