const keys: readonly (readonly [key: string, does: string])[] = [
  ['N', 'next thing'],
  ['Enter', 'name'],
  ['R', 'repeats'],
  ['S', 'rows'],
  ['C', 'columns'],
  ['W', 'wrap'],
  ['L', 'lift'],
  ['O', 'lower'],
  ['Arrows', 'move, with Alt size'],
];

/** How to mark, in a line below the page. */
export function StageHelp() {
  return (
    <p className="legend">
      <span>Draw, or double-click, to mark</span>
      {keys.map(([key, does]) => (
        <span key={key}>
          <kbd>{key}</kbd> {does}
        </span>
      ))}
    </p>
  );
}
