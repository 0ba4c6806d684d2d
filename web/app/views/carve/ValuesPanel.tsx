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
import { useMemo, useState } from 'react';

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
          <table className="value-table">
            <thead>
              <tr>
                <th>Value</th>
                <th>Read by</th>
                <th>Changed by</th>
                <th>Best home</th>
                <th>Hops</th>
              </tr>
            </thead>
            <tbody>
              {plan.values.map((value, index) => {
                const home = homes[index];
                return (
                  home && (
                    <tr key={value.id}>
                      <td>
                        <button
                          type="button"
                          className="plain"
                          aria-expanded={open === value.id}
                          onClick={() => setOpen(open === value.id ? undefined : value.id)}
                        >
                          <code>{value.name}</code>
                        </button>
                      </td>
                      <td>{whoWords(plan, value.readBy)}</td>
                      <td>{whoWords(plan, value.changedBy, value.fromServer)}</td>
                      <td>
                        <b>{homeWords(plan, home)}</b>
                        <small>{home.why.join(' ')}</small>
                      </td>
                      <td>{hopWords(home)}</td>
                    </tr>
                  )
                );
              })}
            </tbody>
          </table>
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
      <label className="plan-field">
        <span>Value</span>
        <input
          value={draft.name}
          autoFocus
          spellCheck={false}
          onChange={(event) => setDraft({ ...draft, name: event.currentTarget.value.trim() })}
        />
        {draft.name !== '' && !isName && <em role="alert">A value’s name has letters and digits only.</em>}
        {taken && <em role="alert">Another value is called {draft.name}.</em>}
      </label>
      <label className="plan-field">
        <span>Type</span>
        <input value={draft.type} spellCheck={false} onChange={(event) => setDraft({ ...draft, type: event.currentTarget.value })} />
      </label>
      {(['readBy', 'changedBy'] as const).map((field) => (
        <fieldset key={field} className="plan-choice">
          <legend>{field === 'readBy' ? 'Who shows it, or decides by it' : 'Where a user changes it'}</legend>
          {plan.parts.map((part) => (
            <label key={part.id}>
              <input type="checkbox" checked={draft[field].includes(part.id)} onChange={() => toggle(field, part.id)} />{' '}
              {nameOf(plan, part.id)}
            </label>
          ))}
        </fieldset>
      ))}
      <fieldset className="plan-choice">
        <legend>About it</legend>
        {marks.map(([field, words]) => (
          <label key={field}>
            <input type="checkbox" checked={draft[field]} onChange={() => setDraft({ ...draft, [field]: !draft[field] })} /> {words}
          </label>
        ))}
      </fieldset>
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
