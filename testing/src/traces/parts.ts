/** Shows what it is given. */
export const leaf = `function Leaf({ a }) { return <p>{a}</p>; }\n`;
/** Raises an event with a 1 on a click. */
export const pick = `function Pick({ onPick }) { return <button onClick={() => onPick(1)}>x</button>; }\n`;
