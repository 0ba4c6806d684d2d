import { shiftOf } from './large';
import { MoveLines } from './MoveLines';
import { type ShownStand, standingAs } from './stands';
import { StrandLayer } from './StrandLayer';
import { type KeyContext, onTreeKey } from './tree-keys';
import { TreeRow } from './TreeRow';
import type { TreeDrawing } from './useTreeDrawing';

type Props = Pick<KeyContext, 'tree' | 'place'> & {
  drawing: TreeDrawing;
  strand: string | undefined;
  stands: readonly ShownStand[];
  acts: Pick<KeyContext, 'choosePlace' | 'chooseKnot' | 'fold' | 'go'> & { readonly moveTo: (from: number, to: number) => void };
  onHover: (place: number | undefined) => void;
};

/** The rows that are in view, with the strands beside them; moved through by keys. */
export function TreeBody({ tree, drawing, place, strand, stands, acts, onHover }: Props) {
  const { layout, lines, items, names, area, top, bottom, touched } = drawing;
  return (
    <div
      className="tree tree-body"
      role="tree"
      tabIndex={0}
      aria-label={`Tree of ${tree.page.name}. Arrow keys move and fold, with Alt they go along the chosen strand, N goes to the next loose end, M to the next place of the component, with Shift back, Enter goes to the card.`}
      {...(place === undefined ? {} : { 'aria-activedescendant': `row-${place}` })}
      style={{
        height: drawing.height,
        width: names + area,
        ['--names' as string]: `${names}px`,
        ['--shift' as string]: `${-shiftOf(layout, top, bottom, names)}px`,
      }}
      onKeyDown={(event) => onTreeKey(event, { tree, drawing, place, ...acts })}
      onMouseLeave={() => onHover(undefined)}
    >
      {items.map((item) => {
        const visible = layout.rows[item.index];
        if (!visible) return null;
        const { key, row, y, isOpen, stands: standsHow } = visible;
        const own = standingAs(row);
        return (
          <div key={key} role="presentation" onMouseEnter={() => onHover(own)}>
            <TreeRow
              row={row}
              y={y}
              isOpen={isOpen}
              isChosen={row.place === place}
              stands={standsHow}
              isFaded={touched !== undefined && !touched.has(row.place)}
              lines={lines[item.index] ?? []}
              hasChildrenShown={isOpen === true && row.sameAs === undefined}
              position={item.index + 1}
              count={layout.rows.length}
              onChoose={acts.choosePlace}
              onMove={acts.moveTo}
              onFold={acts.fold}
            />
          </div>
        );
      })}
      <MoveLines stands={stands} drawing={drawing} />
      <StrandLayer
        strands={drawing.drawn}
        left={names}
        width={area}
        first={drawing.first}
        last={drawing.last}
        chosen={strand}
        bright={drawing.bright}
        onChoose={acts.chooseKnot}
      />
    </div>
  );
}
