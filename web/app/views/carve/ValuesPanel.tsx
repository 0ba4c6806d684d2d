import {
  candidatesOf,
  homeOf,
  homeWords,
  hopWords,
  type LooksLike,
  nameOf,
  type PartId,
  type Plan,
  type PlannedValue,
  type PlanTree,
  putValue,
  removeValue,
  whoWords,
} from '@liana/core';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { CheckList } from '../../parts/controls/CheckList';

type Props = { plan: Plan; tree: PlanTree; looksLike: LooksLike; onEdit: (plan: Plan) => void };

const fresh: Omit<PlannedValue, 'id'> = {
  name: '',
  type: 'string',
  readBy: [],
  changedBy: [],
  fromServer: false,
  perItem: false,
  otherPages: false,
};

/** What the page knows, who shows and changes it, and where it should live. */
export function ValuesPanel({ plan, tree, looksLike, onEdit }: Props) {
  const [open, setOpen] = useState<string>();
  const homes = useMemo(() => plan.values.map((value) => homeOf(plan, tree, value)), [plan, tree]);
  const candidates = useMemo(() => candidatesOf(plan, tree, looksLike), [plan, tree, looksLike]);
  return (
    <>
      <h2>What it knows, and where that should live</h2>
      {plan.values.length === 0 ? (
        <p>No value yet. Name one that several parts show or change, and Liana says where it should live and who would carry it.</p>
      ) : (
        <div className="value-scroll">
          <Table size="small" className="value-table">
            <TableHead>
              <TableRow>
                <TableCell>Value</TableCell>
                <TableCell>Read by</TableCell>
                <TableCell>Changed by</TableCell>
                <TableCell>Best home</TableCell>
                <TableCell>Hops</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {plan.values.map((value, index) => {
                const home = homes[index];
                return (
                  home && (
                    <TableRow key={value.id}>
                      <TableCell>
                        <ButtonBase aria-expanded={open === value.id} onClick={() => setOpen(open === value.id ? undefined : value.id)}>
                          <code>{value.name}</code>
                        </ButtonBase>
                      </TableCell>
                      <TableCell>{whoWords(plan, value.readBy)}</TableCell>
                      <TableCell>{whoWords(plan, value.changedBy, value.fromServer)}</TableCell>
                      <TableCell>
                        <b>{homeWords(plan, home)}</b>
                        <small>{home.why.join(' ')}</small>
                      </TableCell>
                      <TableCell>{hopWords(home)}</TableCell>
                    </TableRow>
                  )
                );
              })}
            </TableBody>
          </Table>
        </div>
      )}
      {plan.values
        .filter((value) => value.id === open)
        .map((value) => (
          <ValueForm key={value.id} plan={plan} value={value} onEdit={onEdit} onClose={() => setOpen(undefined)} />
        ))}
      {open === 'new' ? (
        <ValueForm plan={plan} value={fresh} onEdit={onEdit} onClose={() => setOpen(undefined)} />
      ) : (
        <Button size="small" variant="outlined" disabled={plan.parts.length === 0} onClick={() => setOpen('new')}>
          Add a value
        </Button>
      )}
      {candidates.length > 0 && (
        <>
          <h3>To think about</h3>
          <ul className="plain-list">
            {candidates.map((candidate) => (
              <li key={candidate.says}>{candidate.says}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

type FormProps = {
  plan: Plan;
  value: Omit<PlannedValue, 'id'> & { id?: PlannedValue['id'] };
  onEdit: (plan: Plan) => void;
  onClose: () => void;
};

const marks = [
  ['fromServer', 'It comes from the server'],
  ['perItem', 'Each item of a list has its own'],
  ['otherPages', 'Pages that are not here need it too'],
] as const;

/** One value: name, type, who shows it and who changes it. */
function ValueForm({ plan, value, onEdit, onClose }: FormProps) {
  const [draft, setDraft] = useState(value);
  const taken = plan.values.some((one) => one.name === draft.name && one.id !== value.id);
  const isName = /^[A-Za-z_$][\w$]*$/.test(draft.name);
  const toggle = (field: 'readBy' | 'changedBy', part: PartId): void =>
    setDraft({ ...draft, [field]: draft[field].includes(part) ? draft[field].filter((one) => one !== part) : [...draft[field], part] });
  return (
    <form
      className="value-form"
      onSubmit={(event) => {
        event.preventDefault();
        onEdit(putValue(plan, { ...draft, type: draft.type.trim() || 'string' }).plan);
        onClose();
      }}
    >
      <TextField
        label="Value"
        fullWidth
        size="small"
        margin="dense"
        autoFocus
        value={draft.name}
        error={(draft.name !== '' && !isName) || taken}
        helperText={
          draft.name !== '' && !isName
            ? 'A value’s name has letters and digits only.'
            : taken
              ? `Another value is called ${draft.name}.`
              : undefined
        }
        slotProps={{
          inputLabel: { shrink: true },
          htmlInput: { spellCheck: false, className: 'mono' },
          formHelperText: { role: 'alert' },
        }}
        onChange={(event) => setDraft({ ...draft, name: event.target.value.trim() })}
      />
      <TextField
        label="Type"
        fullWidth
        size="small"
        margin="dense"
        value={draft.type}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, className: 'mono' } }}
        onChange={(event) => setDraft({ ...draft, type: event.target.value })}
      />
      {(['readBy', 'changedBy'] as const).map((field) => (
        <CheckList
          key={field}
          title={field === 'readBy' ? 'Who shows it, or decides by it' : 'Where a user changes it'}
          entries={plan.parts.map((part) => ({ key: part.id, words: nameOf(plan, part.id), isOn: draft[field].includes(part.id) }))}
          onToggle={(id) => toggle(field, id)}
        />
      ))}
      <CheckList
        title="About it"
        entries={marks.map(([key, words]) => ({ key, words, isOn: draft[key] }))}
        onToggle={(key, isOn) => setDraft({ ...draft, [key]: isOn })}
      />
      <Button type="submit" size="small" variant="contained" disabled={!isName || taken}>
        Keep
      </Button>
      <Button size="small" onClick={onClose}>
        Cancel
      </Button>
      {value.id !== undefined && (
        <Button
          size="small"
          color="error"
          onClick={() => {
            if (value.id !== undefined) onEdit(removeValue(plan, value.id));
            onClose();
          }}
        >
          Delete
        </Button>
      )}
    </form>
  );
}
