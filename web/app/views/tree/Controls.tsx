import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Summary, TreeAnswer } from '../../analysis/answers';
import { strandWords } from '../../theme/Glyph';
import { countKinds } from './drawing';
import { strandKinds, type TreeState } from './state';

type Props = {
  summary: Summary;
  tree: TreeAnswer;
  state: TreeState;
  place: number | undefined;
  onChange: (change: Record<string, string | undefined>) => void;
};

/** The tree view's own line of controls: the page, and which strands are drawn. */
export function Controls({ summary, tree, state, place, onChange }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const counts = countKinds(tree.strands);
  const loose = tree.strands.filter((strand) => strand.loose !== undefined).length;
  const only = (value: TreeState['only']): void => onChange({ only: state.only === value ? undefined : value });

  return (
    <div className="controls">
      <Button
        color="inherit"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="listbox"
        aria-expanded={anchor !== null}
        sx={{ fontSize: 14, fontWeight: 650 }}
      >
        {tree.page.name}&nbsp;▾
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} slotProps={{ paper: { sx: { maxHeight: 480 } } }}>
        {summary.pages.map((page) => (
          <MenuItem
            key={page.id}
            selected={page.id === tree.page.id}
            onClick={() => {
              setAnchor(null);
              onChange({ page: page.id, place: undefined, strand: undefined, closed: undefined });
            }}
          >
            {page.name}&nbsp;<span style={{ color: 'var(--faint)' }}>{page.path || page.file}</span>
          </MenuItem>
        ))}
      </Menu>
      <span style={{ color: 'var(--faint)' }}>{tree.page.path || (tree.page.why === 'alone' ? 'nothing in the project uses it' : '')}</span>
      <span style={{ marginLeft: 12 }}>Strands:</span>
      {strandKinds.map((kind) => (
        <button
          key={kind}
          type="button"
          className="chip"
          aria-pressed={!state.without.has(kind)}
          disabled={counts[kind] === 0}
          style={counts[kind] === 0 ? { opacity: 0.5, cursor: 'default' } : undefined}
          onClick={() => onChange({ without: strandKinds.filter((one) => state.without.has(one) !== (one === kind)).join('.') })}
        >
          <i className="dot" style={{ background: `var(--${kind})` }} />
          {strandWords[kind][1]} {counts[kind]}
        </button>
      ))}
      <button type="button" className="chip" aria-pressed={state.only === 'loose'} onClick={() => only('loose')}>
        only loose ends {loose}
      </button>
      <button
        type="button"
        className="chip"
        aria-pressed={state.only === 'through'}
        disabled={place === undefined}
        style={place === undefined ? { opacity: 0.5 } : undefined}
        onClick={() => only('through')}
      >
        only through selection
      </button>
    </div>
  );
}
