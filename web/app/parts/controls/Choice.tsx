import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';

export type Option = {
  readonly value: string;
  readonly words: string;
  /** Said once above the first option of each group. */
  readonly group?: string;
};

type Props = {
  /** What is chosen, for those who cannot see where the field stands. */
  label: string;
  value: string;
  options: readonly Option[];
  /** The widest the field becomes, in CSS pixels; a longer word is cut with an ellipsis. */
  most?: number;
  /** Shown while nothing is chosen. */
  placeholder?: string;
  onChoose: (value: string) => void;
};

/** One of several, in a small field that stands in a line of others. */
export function Choice({ label, value, options, most = 180, placeholder = '', onChoose }: Props) {
  return (
    <Select
      size="small"
      className="choice"
      value={value}
      displayEmpty
      inputProps={{ 'aria-label': label }}
      sx={{ maxWidth: most }}
      renderValue={(chosen) => options.find((one) => one.value === chosen)?.words ?? placeholder}
      onChange={(event) => onChoose(event.target.value)}
    >
      {options.flatMap((one, index) => [
        one.group !== undefined && one.group !== options[index - 1]?.group ? (
          <ListSubheader key={`group ${one.group}`}>{one.group}</ListSubheader>
        ) : null,
        <MenuItem key={one.value} value={one.value}>
          {one.words}
        </MenuItem>,
      ])}
    </Select>
  );
}
