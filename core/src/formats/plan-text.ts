import { candidatesOf } from '../carve/plan/candidates';
import { homeOf, homeWords, hopWords, whoWords } from '../carve/plan/home';
import { nameOf, partOf, type Plan, type Sheet } from '../carve/plan/plan';
import { type PlanNode, type PlanTree, planTree } from '../carve/plan/plan-tree';
import { append } from '../model/append';

/** What is said of a node beside its name: `×3`, `optional`, the slot. */
export function nodeWords({ times, optional, slot }: PlanNode): string {
  return [times > 1 && `×${times}`, optional && 'not always there', slot !== '' && `in ${slot}`].filter(Boolean).join(', ');
}

const cell = (text: string): string => text.replace(/\|/g, '\\|').replace(/\s*\n\s*/g, ' ');

/** The plan as Markdown: its tree, its parts, its values. `picture` gives the address of a sheet's picture. */
export function planMarkdown(plan: Plan, picture: (sheet: Sheet) => string | undefined = () => undefined): string {
  const tree = planTree(plan);
  const lines = [`# ${plan.name}`, ''];
  for (const sheet of plan.sheets) {
    const address = picture(sheet);
    if (address) lines.push(`![${cell(`${nameOf(plan, sheet.page)} ${sheet.title}`.trim())}](${address})`, '');
  }
  lines.push('## Parts', '');
  for (const node of tree.nodes) {
    const part = partOf(plan, node.part);
    const words = [nodeWords(node), part?.props.map((prop) => `\`${prop.name}\``).join(' ')].filter(Boolean).join('; ');
    lines.push(`${'  '.repeat(node.depth)}- **${part?.name ?? ''}**${words === '' ? '' : ` ${words}`}`);
  }
  const noted = plan.parts.filter((part) => part.note !== '' || part.props.length > 0 || part.events.length > 0);
  if (noted.length > 0) {
    lines.push('', '| Part | Props | Events | Note |', '| --- | --- | --- | --- |');
    for (const part of noted) {
      const props = part.props.map((prop) => `\`${prop.name}${prop.optional ? '?' : ''}: ${cell(prop.type)}\``).join('<br>');
      const events = part.events.map((event) => `\`${event.name}\``).join('<br>');
      lines.push(`| ${part.name} | ${props} | ${events} | ${cell(part.note)} |`);
    }
  }
  if (plan.values.length > 0) {
    lines.push(
      '',
      '## What it knows, and where that should live',
      '',
      '| Value | Read by | Changed by | Best home | Hops | Why |',
      '| --- | --- | --- | --- | --- | --- |',
    );
    for (const value of plan.values) {
      const home = homeOf(plan, tree, value);
      lines.push(
        `| \`${value.name}\` | ${whoWords(plan, value.readBy)} | ${whoWords(plan, value.changedBy, value.fromServer)} | ${homeWords(plan, home)} | ${hopWords(home)} | ${cell(home.why.join(' '))} |`,
      );
    }
  }
  const candidates = candidatesOf(plan, tree);
  if (candidates.length > 0) append(lines, ['', '## To think about', '', ...candidates.map((one) => `- ${one.says}`)]);
  return `${lines.join('\n')}\n`;
}

const quoted = (text: string): string => text.replace(/"/g, "'");

/** Nodes with their names, and pairs of parent and child. */
function edges(tree: PlanTree): [from: number, to: PlanNode][] {
  return tree.nodes.flatMap((node): [number, PlanNode][] => (node.parent < 0 ? [] : [[node.parent, node]]));
}

/** The plan's tree as a Mermaid flowchart. */
export function planMermaid(plan: Plan): string {
  const tree = planTree(plan);
  return [
    'flowchart TD',
    ...tree.nodes.map((node) => `  n${node.index}["${quoted([nameOf(plan, node.part), nodeWords(node)].filter(Boolean).join('<br>'))}"]`),
    ...edges(tree).map(([from, to]) => `  n${from} ${to.optional ? '-.->' : '-->'} n${to.index}`),
    '',
  ].join('\n');
}

/** The plan's tree as a graph in DOT. */
export function planDot(plan: Plan): string {
  const tree = planTree(plan);
  const label = (node: PlanNode): string => [nameOf(plan, node.part), nodeWords(node)].filter(Boolean).join('\\n').replace(/"/g, '\\"');
  return [
    `digraph "${plan.name.replace(/["\\]/g, '\\$&')}" {`,
    '  node [shape=box];',
    ...tree.nodes.map((node) => `  n${node.index} [label="${label(node)}"];`),
    ...edges(tree).map(([from, to]) => `  n${from} -> n${to.index}${to.optional ? ' [style=dashed]' : ''};`),
    '}',
    '',
  ].join('\n');
}
