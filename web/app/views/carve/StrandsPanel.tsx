import { nameOf, nodeWords, orderColumns, type PartId, type Plan, planStrands, type PlanTree } from '@liana/core';
import { useMemo, useState } from 'react';
import type { Row } from '../../analysis/answers';
import { strandColour, strandWords } from '../../theme/Glyph';
import { columnWidth, drawStrands, headHeight, layoutRows, rowHeight, shortName, allShown, unbundled } from '../tree/drawing';
import { StrandLayer } from '../tree/StrandLayer';

type Props = { plan: Plan; tree: PlanTree; chosen: PartId | undefined; onPart: (part: PartId) => void };

const names = 230;

/** The planned values and events as strands beside the planned tree. */
export function StrandsPanel({ plan, tree, chosen, onPart }: Props) {
  const [strand, setStrand] = useState<string>();
  const rows = useMemo(
    () =>
      tree.nodes.map((node): Row => ({
        place: node.index,
        parent: node.parent,
        depth: node.depth,
        name: nameOf(plan, node.part),
        file: '',
        role: node.parent < 0 ? 'page' : 'component',
        guard: nodeWords(node),
        step: '',
      })),
    [plan, tree],
  );
  const strands = useMemo(() => orderColumns(planStrands(plan, tree)), [plan, tree]);
  const layout = useMemo(() => layoutRows(rows, allShown), [rows]);
  const column = columnWidth(strands.length, 280);
  const drawn = useMemo(() => drawStrands(unbundled(strands), layout, column), [strands, layout, column]);
  const width = 26 + drawn.length * column + 64;
  if (strands.length === 0)
    return (
      <>
        <h2>Strands</h2>
        <p>No value and no event is planned yet. Each will be a line here, from where it lives to who needs it.</p>
      </>
    );
  return (
    <>
      <h2>Strands</h2>
      <div className="plan-strands">
        <div
          className="labels"
          role="group"
          aria-label="Planned strands"
          style={{ height: headHeight, marginLeft: names, width, position: 'relative' }}
        >
          {drawn.map(({ strand: one, x }) => (
            <button
              key={one.id}
              type="button"
              className="plain strand-label"
              aria-pressed={one.id === strand}
              aria-label={`${strandWords[one.kind][0]} ${one.name}`}
              style={{ left: x + 4, color: strandColour(one.kind, false) }}
              onClick={() => setStrand(one.id === strand ? undefined : one.id)}
            >
              {shortName(one.name)}
            </button>
          ))}
        </div>
        <div className="tree-body" style={{ height: rows.length * rowHeight, width: names + width }}>
          {rows.map((row, index) => {
            const part = tree.nodes[row.place]?.part;
            return (
              <button
                key={row.place}
                type="button"
                className="plain plan-row"
                aria-current={part === chosen}
                style={{ top: index * rowHeight, height: rowHeight, width: names, paddingLeft: 6 + row.depth * 14 }}
                onClick={() => part && onPart(part)}
              >
                <b>{row.name}</b> <small>{row.guard}</small>
              </button>
            );
          })}
          <StrandLayer
            strands={drawn}
            left={names}
            width={width}
            first={0}
            last={rows.length - 1}
            chosen={strand}
            bright={strand === undefined ? undefined : new Set([strand])}
            onChoose={(one, place) => {
              setStrand(one);
              const part = tree.nodes[place]?.part;
              if (part) onPart(part);
            }}
          />
        </div>
      </div>
    </>
  );
}
