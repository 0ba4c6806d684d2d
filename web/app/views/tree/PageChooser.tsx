import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { counted } from '@liana/core';
import type { PageEntry } from '../../analysis/answers';
import { inOrder } from '../../analysis/page-order';
import { reasonWords } from './page-words';

type Props = { pages: readonly PageEntry[]; page: PageEntry; onChoose: (id: string) => void };

/** The page, chosen from a list that can be searched: why each is one, where it is, how large. */
export function PageChooser({ pages, page, onChoose }: Props) {
  return (
    <Autocomplete<PageEntry, false, true>
      size="small"
      disableClearable
      autoHighlight
      selectOnFocus
      openOnFocus
      options={inOrder(pages)}
      value={pages.find((one) => one.id === page.id) ?? page}
      groupBy={(one) => reasonWords[one.why]}
      getOptionKey={(one) => one.id}
      getOptionLabel={(one) => (one.path === '' ? one.name : `${one.name} ${one.path}`)}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      onChange={(_, one) => onChoose(one.id)}
      renderOption={({ key, ...props }, one) => (
        <li key={key} {...props} style={{ display: 'flex', gap: 10, alignItems: 'baseline' }}>
          <b>{one.name}</b>
          <span className="mono" style={{ color: 'var(--faint)', fontSize: 12, overflowWrap: 'anywhere' }}>
            {one.path || one.file}
          </span>
          <span style={{ marginLeft: 'auto', whiteSpace: 'nowrap', color: 'var(--soft)', fontSize: 12 }}>
            {counted(one.places, 'place')}
          </span>
        </li>
      )}
      renderInput={(props) => <TextField {...props} slotProps={{ htmlInput: { ...props.inputProps, 'aria-label': 'Page' } }} />}
      slotProps={{ popper: { placement: 'bottom-start', style: { width: 520 } }, listbox: { style: { maxHeight: 480 } } }}
      sx={{
        width: 224,
        flex: 'none',
        '& .MuiOutlinedInput-root': {
          borderRadius: '16px',
          background: 'var(--card)',
          fontSize: 14,
          fontWeight: 650,
          paddingBlock: '1px !important',
        },
      }}
    />
  );
}
