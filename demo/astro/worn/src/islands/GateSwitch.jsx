import { $moved, raise } from '../stores/levels';

/** Fills and drains one lock. */
export default function GateSwitch({ lockId, step = 0.1 }) {
  return (
    <span className="gate">
      <button
        type="button"
        onClick={() => {
          raise(lockId, step);
          $moved.set(lockId);
        }}
      >
        Fill
      </button>
      <button type="button" onClick={() => raise(lockId, -step)}>
        Drain
      </button>
    </span>
  );
}
