import Checkbox from '@mui/material/Checkbox';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import FormLabel from '@mui/material/FormLabel';

type Props<T> = {
  title: string;
  entries: readonly { readonly key: T; readonly words: string; readonly isOn: boolean }[];
  onToggle: (key: T, isOn: boolean) => void;
};

/** Any of several, under a question. */
export function CheckList<T extends string>({ title, entries, onToggle }: Props<T>) {
  return (
    <FormControl component="fieldset" variant="standard" className="check-list">
      <FormLabel component="legend">{title}</FormLabel>
      <FormGroup row>
        {entries.map(({ key, words, isOn }) => (
          <FormControlLabel
            key={key}
            label={words}
            control={<Checkbox size="small" checked={isOn} onChange={(_, checked) => onToggle(key, checked)} />}
          />
        ))}
      </FormGroup>
    </FormControl>
  );
}
