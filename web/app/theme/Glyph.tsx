import type { KnotKind, Severity, StrandKind } from '@liana/core';
import type { ReactElement } from 'react';

/** What a knot says, in words. */
export const knotWords: Readonly<Record<KnotKind, string>> = {
  owns: 'owns it',
  passes: 'passes on unread',
  renames: 'renames it',
  narrows: 'takes a part',
  reads: 'reads it',
  changes: 'changes it',
  raises: 'raises it',
  catches: 'catches it',
  loose: 'loose end',
  ground: 'should pass it',
};

/** Names of the kinds of strands, one and many. */
export const strandWords: Readonly<Record<StrandKind, readonly [one: string, many: string]>> = {
  state: ['state', 'state'],
  prop: ['prop', 'props'],
  event: ['event', 'events'],
  store: ['store', 'stores'],
  context: ['context', 'contexts'],
};

export function strandColour(kind: StrandKind, loose: boolean): string {
  return loose ? 'var(--loose)' : `var(--${kind})`;
}

type KnotProps = { kind: KnotKind; x: number; y: number; colour: string };

/** One knot's glyph, centred at a point. */
export function KnotGlyph({ kind, x, y, colour }: KnotProps): ReactElement {
  const ground = 'var(--sheet)';
  switch (kind) {
    case 'owns':
      return <circle cx={x} cy={y} r={6.5} fill={colour} />;
    case 'passes':
      return <circle cx={x} cy={y} r={4} fill={ground} stroke={colour} strokeWidth={1.8} />;
    case 'renames':
      return <path d={`M${x},${y - 7} l7,7 -7,7 -7,-7z`} fill={ground} stroke={colour} strokeWidth={2} />;
    case 'narrows':
      return <path d={`M${x - 7},${y - 6} h14 l-5,6 v6 h-4 v-6z`} fill={ground} stroke={colour} strokeWidth={1.8} strokeLinejoin="round" />;
    case 'reads':
      return (
        <g fill={colour}>
          <path d={`M${x},${y} h3 c9,-9 13,-4 13,-4 c0,0 -3,8 -13,5`} />
          <circle cx={x} cy={y} r={3} />
        </g>
      );
    case 'changes':
      return <path d={`M${x - 7},${y + 6} h14 l-7,-12z`} fill={colour} />;
    case 'raises':
      return (
        <g fill={colour}>
          <path d={`M${x - 6},${y + 3} l6,-10 6,10z`} />
          <circle cx={x} cy={y + 6.5} r={2} />
        </g>
      );
    case 'catches':
      return <path d={`M${x - 7},${y + 5} v-4 a7,7 0 0 1 14,0 v4`} fill="none" stroke={colour} strokeWidth={2.6} strokeLinecap="round" />;
    case 'loose':
      return (
        <g stroke={colour} strokeWidth={2}>
          <circle cx={x} cy={y} r={6.5} fill={ground} />
          <path d={`M${x - 3},${y - 3} l6,6 M${x + 3},${y - 3} l-6,6`} />
        </g>
      );
    case 'ground':
      return (
        <g stroke={colour}>
          <path d={`M${x - 6},${y} h12`} strokeWidth={2.4} />
          <path d={`M${x - 3},${y + 4} h6`} strokeWidth={1.6} />
        </g>
      );
  }
}

/** Of all that happens at a knot, the glyph that stands on the line, and whether a leaf hangs beside it. */
export function drawnKinds(kinds: readonly KnotKind[]): { readonly kind: KnotKind; readonly leaf: boolean } {
  const kind = kinds.find((one) => one !== 'reads') ?? kinds[0] ?? 'passes';
  return { kind, leaf: kinds.includes('reads') && (kind === 'renames' || kind === 'narrows' || kind === 'changes') };
}

/** The leaf of a knot that does something else as well. */
export function LeafGlyph({ x, y, colour }: { x: number; y: number; colour: string }): ReactElement {
  return <path d={`M${x + 6},${y} c9,-9 13,-4 13,-4 c0,0 -3,8 -13,5z`} fill={colour} />;
}

/** A knot's glyph on its own, for lists and the legend. */
export function KnotMark({ kind, colour = 'currentColor' }: { kind: KnotKind; colour?: string }): ReactElement {
  return (
    <svg width={22} height={18} viewBox="-2 0 22 18" aria-hidden="true">
      <KnotGlyph kind={kind} x={7} y={9} colour={colour} />
    </svg>
  );
}

export const severityWords: Readonly<Record<Severity, { group: string; one: string }>> = {
  fault: { group: 'Does not work', one: 'fault' },
  risk: { group: 'Breaks in a case that can happen', one: 'risk' },
  tidy: { group: 'Works, and is too much', one: 'to tidy' },
};

/** A finding's severity: a cross in a ring, a swaying plumb, two links of a chain. */
export function SeverityMark({ severity }: { severity: Severity }): ReactElement {
  return (
    <svg width={18} height={18} viewBox="0 0 18 18" role="img" aria-label={severityWords[severity].one}>
      {severity === 'fault' && (
        <g stroke="var(--loose)" strokeWidth={2} fill="none">
          <circle cx={9} cy={9} r={6.5} />
          <path d="M6,6 l6,6 M12,6 l-6,6" />
        </g>
      )}
      {severity === 'risk' && (
        <g stroke="var(--state)" strokeWidth={2} fill="none">
          <path d="M9,1 v3.5 M9,13.5 v3.5" />
          <circle cx={9} cy={9} r={4.2} />
        </g>
      )}
      {severity === 'tidy' && (
        <g stroke="var(--faint)" strokeWidth={1.8} fill="none">
          <rect x={6} y={1.5} width={6} height={7} rx={3} />
          <rect x={6} y={9.5} width={6} height={7} rx={3} />
          <path d="M9,6.5 v5" />
        </g>
      )}
    </svg>
  );
}

const changeWords = { breaks: 'No longer holds', changed: 'Changed', same: 'As it was' } as const;

/** What became of something from one version to the next: it breaks, it changed, or it is what it was. */
export function ChangeMark({ kind }: { kind: keyof typeof changeWords }): ReactElement {
  return (
    <svg width={18} height={18} viewBox="0 0 18 18" role="img" aria-label={changeWords[kind]}>
      {kind === 'breaks' && (
        <g stroke="var(--loose)" strokeWidth={2} fill="none">
          <circle cx={9} cy={9} r={6.5} />
          <path d="M6,6 l6,6 M12,6 l-6,6" />
        </g>
      )}
      {kind === 'changed' && <path d="M9,3 l6,6 l-6,6 l-6,-6 Z" stroke="var(--state)" strokeWidth={2} fill="none" />}
      {kind === 'same' && <path d="M3.5,6.5 h11 M3.5,11.5 h11" stroke="var(--faint)" strokeWidth={2} fill="none" />}
    </svg>
  );
}
