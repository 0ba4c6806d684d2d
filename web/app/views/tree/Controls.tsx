import type { Summary, TreeAnswer } from '../../analysis/answers';
import { SearchField } from '../../parts/controls/SearchField';
import { Toggle } from '../../parts/controls/Toggle';
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
          onChange({
            page,
            place: undefined,
            strand: undefined,
            closed: undefined,
            open: undefined,
            apart: undefined,
            rows: undefined,
            move: undefined,
            slot: undefined,
            stands: undefined,
          })
        }
      />
      <span style={{ color: 'var(--faint)' }}>{sizeWords(tree)}</span>
      <SearchField
        label="Filter rows by name"
        placeholder="Filter rows"
        value={state.rows}
        width={98}
        onChange={(rows) => onChange({ rows }, true)}
      />
      <span>{isLarge(tree.strands) ? 'In view:' : 'Strands:'}</span>
      {strandKinds.map((kind) => (
        <Toggle
          key={kind}
          isOn={!state.without.has(kind)}
          isOff={counts[kind] === 0}
          onToggle={() => onChange({ without: strandKinds.filter((one) => state.without.has(one) !== (one === kind)).join('.') })}
        >
          <i className="dot" style={{ background: `var(--${kind})` }} />
          {strandWords[kind][1]} {counts[kind]}
        </Toggle>
      ))}
      <Toggle isOn={state.only === 'loose'} onToggle={() => only('loose')}>
        loose ends {loose}
      </Toggle>
      <Toggle isOn={state.only === 'through'} isOff={place === undefined} onToggle={() => only('through')}>
        through selection
      </Toggle>
    </div>
  );
}
