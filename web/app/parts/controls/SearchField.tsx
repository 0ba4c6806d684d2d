import TextField from '@mui/material/TextField';

type Props = { label: string; placeholder: string; value: string; width: number; onChange: (text: string) => void };

/** A small field that narrows what is shown to what holds its text. */
export function SearchField({ label, placeholder, value, width, onChange }: Props) {
  return (
    <TextField
      size="small"
      type="search"
      placeholder={placeholder}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ htmlInput: { 'aria-label': label } }}
      sx={{ width, flex: 'none' }}
    />
  );
}
