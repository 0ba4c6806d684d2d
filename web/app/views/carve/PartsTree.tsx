import { nameOf, nodeWords, type Part, type PartId, type Plan, partOf, type PlanNode, type PlanTree } from '@liana/core';
import type { KeyboardEvent } from 'react';

type Props = { plan: Plan; tree: PlanTree; chosen: PartId | undefined; onChoose: (node: PlanNode) => void };

function propWords(part: Part | undefined): string {
  return part?.props.map((prop) => prop.name).join(', ') ?? '';
}

/** Other parents of a part that stands in several: the same part, used again. */
function alsoIn(plan: Plan, tree: PlanTree, node: PlanNode): string {
  const parents = new Set(tree.nodes.filter((one) => one.part === node.part && one.parent >= 0).map((one) => tree.nodes[one.parent]?.part));
  parents.delete(tree.nodes[node.parent]?.part);
  return [...parents].flatMap((part) => (part ? [nameOf(plan, part)] : [])).join(', ');
}

/** The planned parts as a tree, in step with the page. */
export function PartsTree({ plan, tree, chosen, onChoose }: Props) {
  const at = tree.nodes.findIndex((node) => node.part === chosen);
  const onKeyDown = (event: KeyboardEvent): void => {
    const step: Readonly<Record<string, number>> = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: tree.nodes.length - 1 };
    const next = tree.nodes[Math.max(0, Math.min(step[event.key] ?? -1, tree.nodes.length - 1))];
    if (!(event.key in step) || !next) return;
    onChoose(next);
    event.preventDefault();
  };
  return (
    <section className="card parts-card" aria-label="Parts">
      <h2>Parts</h2>
      {tree.nodes.length === 0 ? (
        <p>No page yet.</p>
      ) : (
        <div
          role="tree"
          className="parts-tree"
          tabIndex={0}
          aria-label="Planned parts. Arrow keys move."
          onKeyDown={onKeyDown}
          {...(at < 0 ? {} : { 'aria-activedescendant': `part-${at}` })}
        >
          {tree.nodes.map((node) => {
            const part = partOf(plan, node.part);
            const also = alsoIn(plan, tree, node);
            return (
              <div
                key={node.index}
                id={`part-${node.index}`}
                role="treeitem"
                aria-level={node.depth + 1}
                aria-selected={node.part === chosen}
                className={`part-row${node.part === chosen ? ' chosen' : ''}${node.optional ? ' optional' : ''}`}
                style={{ paddingLeft: 10 + node.depth * 20 }}
                onClick={() => onChoose(node)}
              >
                <b>{part?.name}</b>
                {part?.role === 'page' && <small>page</small>}
                {nodeWords(node) && <small className={node.times > 1 ? 'rust' : undefined}>{nodeWords(node)}</small>}
                {also && <small className="rust">also in {also}</small>}
                <small>{propWords(part)}</small>
              </div>
            );
          })}
        </div>
      )}
    </section>
  );
}
