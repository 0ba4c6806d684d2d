import {
  callbackName,
  changePart,
  checkName,
  joinParts,
  nameOf,
  type Part,
  type PartId,
  pascalCase,
  type Plan,
  type PlanTree,
} from '@liana/core';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { CheckList } from '../../parts/controls/CheckList';
import { Choice } from '../../parts/controls/Choice';

type Props = { plan: Plan; tree: PlanTree; part: Part; onEdit: (plan: Plan) => void; onPart: (part: PartId) => void };

/** Lines of `name: type`, with `?` for what may be left out. */
function propsText(part: Part): string {
  return part.props.map((prop) => `${prop.name}${prop.optional ? '?' : ''}: ${prop.type}`).join('\n');
}

const identifier = /^[A-Za-z_$][\w$]*$/;

/** Reads props as they are written above; a line that is none is named. */
export function readProps(text: string): { readonly props: Part['props'] } | { readonly wrong: string } {
  const props: Part['props'][number][] = [];
  for (const line of text
    .split('\n')
    .map((one) => one.trim().replace(/[;,]$/, ''))
    .filter(Boolean)) {
    const [, name = '', mark, type] = /^([^:?]+?)(\?)?\s*(?::\s*(.+))?$/.exec(line) ?? [];
    if (!identifier.test(name)) return { wrong: `“${line}” is no prop: write a name, a colon and a type, such as name: string.` };
    if (props.some((prop) => prop.name === name)) return { wrong: `${name} stands twice.` };
    props.push({ name, type: type ?? 'string', optional: mark !== undefined });
  }
  return { props };
}

function readEvents(text: string): { readonly events: Part['events'] } | { readonly wrong: string } {
  const read = readProps(text.replace(/^([^:\n]+)$/gm, '$1: void'));
  if ('wrong' in read) return { wrong: read.wrong.replace('is no prop', 'is no event').replace('name: string', 'select: string') };
  return { events: read.props.map((prop) => ({ name: prop.name, payload: prop.type === 'void' ? '' : prop.type })) };
}

type FieldProps = {
  label: string;
  value: string;
  rows?: number;
  hint?: string;
  placeholder?: string;
  id?: string;
  onSave: (text: string) => string | undefined;
};

/** A field that keeps what was written when it is left, or says why it cannot. */
function Field({ label, value, rows = 1, hint, placeholder, id, onSave }: FieldProps) {
  const [text, setText] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const save = (): void => {
    if (text === undefined || text === value) return setText(undefined);
    const says = onSave(text);
    setWrong(says);
    if (says === undefined) setText(undefined);
  };
  return (
    <TextField
      id={id}
      label={label}
      className="plan-field"
      fullWidth
      size="small"
      margin="dense"
      multiline={rows > 1}
      {...(rows > 1 ? { rows } : {})}
      value={text ?? value}
      placeholder={placeholder}
      error={wrong !== undefined}
      helperText={wrong ?? hint}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { spellCheck: false, className: 'mono' },
        formHelperText: wrong === undefined ? {} : { role: 'alert' },
      }}
      onBlur={save}
      onChange={(event) => setText(event.target.value)}
      onKeyDown={(event) => rows === 1 && event.key === 'Enter' && save()}
    />
  );
}

/** One part: its name, what it takes, tells and leaves open. */
export function PartPanel({ plan, tree, part, onEdit, onPart }: Props) {
  const nodes = tree.nodes.filter((node) => node.part === part.id);
  const others = plan.parts.filter((one) => one.id !== part.id);
  const repeats = nodes.some((node) => node.times > 1);
  const advice = checkName(
    part.name,
    others.map((one) => one.name),
    repeats,
  );
  const inside = [...new Set(tree.nodes.filter((node) => nodes.some((own) => own.index === node.parent)).map((node) => node.part))];
  const slot = part.slots[0];
  const stands = nodes.reduce((sum, node) => sum + node.regions.length, 0);
  const change: Change = (next) => {
    onEdit(changePart(plan, part.id, next));
    return undefined;
  };
  const sometimes = nodes.find((node) => node.optional);
  return (
    <div key={part.id}>
      <h2>{part.name}</h2>
      <p>
        {part.role === 'page'
          ? 'A page.'
          : `It stands ${stands === 1 ? 'once' : `${stands} times`}${nodes[0] && nodes[0].parent >= 0 ? `, in ${[...new Set(nodes.map((node) => nameOf(plan, tree.nodes[node.parent]?.part ?? part.id)))].join(', ')}` : ''}.`}
      </p>
      <Field
        label="Name"
        id="part-name"
        value={part.name}
        {...(advice[0] ? { hint: advice[0].says } : {})}
        onSave={(text) => {
          // A name in another spelling is written as components are.
          const meant = /^[A-Z][A-Za-z0-9]*$/.test(text.trim()) ? text.trim() : pascalCase(text);
          const taken = others.map((one) => one.name);
          const fault = checkName(meant, taken, repeats).find((one) => one.weight === 'fault');
          return fault ? fault.says : change({ name: meant });
        }}
      />
      {part.role === 'part' && <ContractFields part={part} repeats={repeats} change={change} />}
      <Field label="Note" rows={2} value={part.note} onSave={(text) => change({ note: text.trim() })} />
      {part.role === 'part' && inside.length > 0 && (
        <CheckList
          title="What stands inside comes from its owner (a slot)"
          entries={inside.map((id) => ({ key: id, words: nameOf(plan, id), isOn: slot?.parts.includes(id) ?? false }))}
          onToggle={(id, isOn) => {
            const parts = isOn ? [...(slot?.parts ?? []), id] : (slot?.parts ?? []).filter((one) => one !== id);
            change({ slots: parts.length > 0 ? [{ name: slot?.name ?? 'children', parts }] : [] });
          }}
        />
      )}
      {sometimes && <p>{optionalWords(plan, tree, part)}</p>}
      {part.role === 'part' && <SamePart plan={plan} part={part} onEdit={onEdit} onPart={onPart} />}
      <Button
        size="small"
        href="#"
        onClick={(event) => {
          event.preventDefault();
          document.querySelector<HTMLElement>('.stage-scroll')?.focus();
        }}
      >
        Back to the page
      </Button>
    </div>
  );
}

type Change = (next: Parameters<typeof changePart>[2]) => undefined;

/** What a part takes and tells, and the list that it is made from. */
function ContractFields({ part, repeats, change }: { part: Part; repeats: boolean; change: Change }) {
  return (
    <>
      <Field
        label="Props"
        rows={Math.min(8, Math.max(2, part.props.length + 1))}
        value={propsText(part)}
        placeholder="name: string"
        hint="What it is given. Find repeats proposes them from what varies."
        onSave={(text) => {
          const read = readProps(text);
          return 'wrong' in read ? read.wrong : change({ props: read.props });
        }}
      />
      <Field
        label="Events"
        rows={2}
        value={part.events.map((event) => `${event.name}${event.payload === '' ? '' : `: ${event.payload}`}`).join('\n')}
        placeholder="select: string"
        hint={
          part.events.length > 0
            ? `Its owner hears ${part.events.map((event) => callbackName(event.name)).join(', ')}.`
            : 'What a user does there that others must hear of.'
        }
        onSave={(text) => {
          const read = readEvents(text);
          return 'wrong' in read ? read.wrong : change({ events: read.events });
        }}
      />
      {repeats && (
        <Field
          label="List"
          value={part.list}
          placeholder="locks"
          hint="The list that it is made from."
          onSave={(text) =>
            text.trim() === '' || identifier.test(text.trim())
              ? change({ list: text.trim() })
              : 'A list’s name has letters and digits only.'
          }
        />
      )}
    </>
  );
}

/** The choice of the part that this one is the same as; nothing where there is no other. */
function SamePart({ plan, part, onEdit, onPart }: Omit<Props, 'tree'>) {
  const others = plan.parts.filter((one) => one.id !== part.id && one.role === 'part');
  if (others.length === 0) return null;
  return (
    <p>
      Same part as{' '}
      <Choice
        label="Same part as"
        value=""
        placeholder="…"
        options={others.map((one) => ({ value: one.id, words: one.name }))}
        onChoose={(id) => {
          const other = others.find((one) => one.id === id);
          if (!other) return;
          onEdit(joinParts(plan, other.id, part.id));
          onPart(other.id);
        }}
      />
    </p>
  );
}

/** A part that is not always there: a flag, or a slot, with why. */
function optionalWords(plan: Plan, tree: PlanTree, part: Part): string {
  const parents = [...new Set(tree.nodes.filter((node) => node.part === part.id && node.optional).map((node) => node.parent))];
  const [parent] = parents;
  const around = nameOf(plan, tree.nodes[parent ?? -1]?.part ?? part.id);
  const beside = tree.nodes.filter((node) => node.parent === parent && node.part !== part.id && node.optional);
  return beside.length > 0
    ? `In ${around} it stands where elsewhere ${beside.map((node) => nameOf(plan, node.part)).join(' or ')} stands: other content in one place is a slot.`
    : `In ${around} it is there or not, and that is all: one switch of presence is a flag (has${part.name}).`;
}
