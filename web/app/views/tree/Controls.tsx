import TextField from '@mui/material/TextField';
import type { Summary, TreeAnswer } from '../../analysis/answers';
import { strandWords } from '../../theme/Glyph';
import { countKinds, isLarge } from './drawing';
import { PageChooser } from './PageChooser';
import { sizeWords } from './page-words';
import { strandKinds, type TreeState } from './state';

type Props = {
  summary: Summary;
  tree: TreeAnswer;
  state: TreeState;
  place: number | undefined;
  onChange: (change: Record<string, string | undefined>, replace?: boolean) => void;
};

/** The tree view's own line of controls: the page, and which strands are drawn. */
export function Controls({ summary, tree, state, place, onChange }: Props) {
  const counts = countKinds(tree.strands);
  const loose = tree.strands.filter((strand) => strand.loose !== undefined).length;
  const only = (value: TreeState['only']): void => onChange({ only: state.only === value ? undefined : value });

  return (
    <div className="controls">
      <PageChooser
        pages={summary.pages}
        page={tree.page}
        onChoose={(page) =>
          onChange({ page, place: undefined, strand: undefined, closed: undefined, open: undefined, apart: undefined, rows: undefined })
        }
      />
      <span style={{ color: 'var(--faint)' }}>{sizeWords(tree)}</span>
      <TextField
        size="small"
        type="search"
        placeholder="Filter rows"
        value={state.rows}
        onChange={(event) => onChange({ rows: event.target.value }, true)}
        slotProps={{ htmlInput: { 'aria-label': 'Filter rows by name' } }}
        sx={{
          width: 98,
          '& .MuiOutlinedInput-root': { borderRadius: '14px', background: 'var(--card)', fontSize: 13 },
          '& input': { padding: '4px 10px' },
        }}
      />
      <span>{isLarge(tree.strands) ? 'In view:' : 'Strands:'}</span>
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
        loose ends {loose}
      </button>
      <button
        type="button"
        className="chip"
        aria-pressed={state.only === 'through'}
        disabled={place === undefined}
        style={place === undefined ? { opacity: 0.5 } : undefined}
        onClick={() => only('through')}
      >
        through selection
      </button>
    </div>
  );
}
