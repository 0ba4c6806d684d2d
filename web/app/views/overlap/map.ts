import { hierarchy, pack } from 'd3-hierarchy';
import type { AlikeAnswer, AlikeMember } from '../../analysis/answers';

export type Circle = { readonly x: number; readonly y: number; readonly r: number };
export type MemberCircle = Circle & { readonly member: AlikeMember };
export type MapLine = { readonly from: MemberCircle; readonly to: MemberCircle; readonly likeness: number };
export type MapGroup = Circle & {
  readonly circles: readonly MemberCircle[];
  readonly lines: readonly MapLine[];
  readonly likeness: number;
};

type Node = { readonly group?: AlikeAnswer['groups'][number]; readonly member?: AlikeMember; readonly children?: readonly Node[] };

/** Lays the groups out as circles of circles, their size by lines of code; in pixels of a sheet. */
export function layMap({ groups }: AlikeAnswer, width: number, height: number): { readonly groups: readonly MapGroup[] } {
  if (groups.length === 0) return { groups: [] };
  const root: Node = { children: groups.map((group) => ({ group, children: group.members.map((member) => ({ member })) })) };
  // A few groups need no more room than their names.
  const side = Math.min(width, 430 * Math.sqrt(groups.length));
  const [wide, high] = [Math.min(width, Math.max(side, 420)), Math.min(height, side)];
  const [left, top] = [(width - wide) / 2, (height - high) / 2];
  const laid = pack<Node>()
    .size([wide, high])
    // Lines between members need room, and so do names around a group.
    .padding((node) => (node.depth === 0 ? (groups.length > 6 ? 10 : 26) : groups.length > 6 ? 9 : 22))(
    hierarchy<Node>(root, (node) => node.children).sum((node) => (node.member ? Math.sqrt(node.member.lines + 12) : 0)),
  );
  return {
    groups: (laid.children ?? []).map((node): MapGroup => {
      const circles = (node.children ?? []).flatMap(({ x, y, r, data }): MemberCircle[] =>
        data.member ? [{ x: left + x, y: top + y, r, member: data.member }] : [],
      );
      const byId = new Map(circles.map((one) => [one.member.id, one]));
      const lines = (node.data.group?.pairs ?? []).flatMap(({ a, b, likeness }): MapLine[] => {
        const [from, to] = [byId.get(a), byId.get(b)];
        return from && to ? [{ from, to, likeness }] : [];
      });
      return { x: left + node.x, y: top + node.y, r: node.r, circles, lines, likeness: node.data.group?.likeness ?? 0 };
    }),
  };
}
