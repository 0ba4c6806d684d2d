import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { SearchHit } from '../analysis/answers';
import { getAnalyst } from '../analysis/client';

/** Where a hit leads: to its component's first place in a tree, else to the code it stands in. */
async function targetOf(projectId: string, hit: SearchHit, page: string | undefined): Promise<string> {
  const found = hit.component ? await getAnalyst().placeOf(projectId, hit.component, page) : undefined;
  const params = new URLSearchParams();
  if (found) {
    params.set('page', found.pageId);
    params.set('at', String(found.place));
  } else if (page) params.set('page', page);
  params.set('code', `${hit.at.file}:${hit.at.start}-${hit.at.end}`);
  return `/projects/${projectId}/tree?${params}`;
}

/** Finds any component, prop, event, state, context, hook or file; `/` leads here from anywhere. */
export function Search({ projectId }: { projectId: string }) {
  const [hits, setHits] = useState<readonly SearchHit[]>([]);
  const [question, setQuestion] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const [params] = useSearchParams();

  useEffect(() => {
    const focus = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key !== '/' || typing || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', focus);
    return () => window.removeEventListener('keydown', focus);
  }, []);

  useEffect(() => {
    let isLate = false;
    void getAnalyst()
      .search(projectId, question)
      .then((found) => {
        if (!isLate) setHits(found);
      });
    return () => {
      isLate = true;
    };
  }, [projectId, question]);

  return (
    <Autocomplete<SearchHit, false, false, true>
      freeSolo
      size="small"
      options={hits}
      filterOptions={(all) => all}
      getOptionLabel={(hit) => (typeof hit === 'string' ? hit : hit.name)}
      getOptionKey={(hit) => (typeof hit === 'string' ? hit : `${hit.kind} ${hit.name} ${hit.at.file} ${hit.at.start}`)}
      inputValue={question}
      onInputChange={(_, value) => setQuestion(value)}
      value={null}
      autoHighlight
      onChange={(_, hit) => {
        if (!hit || typeof hit === 'string') return;
        void targetOf(projectId, hit, params.get('page') ?? undefined).then((to) => navigate(to));
        setQuestion('');
        field.current?.blur();
      }}
      renderOption={({ key, ...props }, hit) => (
        <li key={key} {...props} style={{ display: 'block' }}>
          <b>{hit.name}</b> <span style={{ color: 'var(--faint)' }}>{hit.kind}</span>
          <div className="mono" style={{ color: 'var(--faint)', fontSize: 12, overflowWrap: 'anywhere' }}>
            {hit.where}
          </div>
        </li>
      )}
      renderInput={(props) => (
        <TextField
          {...props}
          inputRef={field}
          placeholder="Find a component, prop or event  /"
          slotProps={{ htmlInput: { ...props.inputProps, 'aria-label': 'Find a component, prop, event, state, context, hook or file' } }}
        />
      )}
      sx={{ width: 260, flex: 'none', '& .MuiOutlinedInput-root': { borderRadius: '18px', background: 'var(--card)', fontSize: 13 } }}
    />
  );
}
