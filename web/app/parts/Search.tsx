import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import type { SearchHit } from '../analysis/answers';
import { getAnalyst } from '../analysis/client';
import { traceLink } from '../views/trace/state';

const traced = new Set<SearchHit['kind']>(['prop', 'event', 'state', 'context', 'hook']);

/** In the trace view a value leads to its trace; undefined where no page has it. */
async function traceTo(projectId: string, hit: SearchHit, page: string | undefined): Promise<string | undefined> {
  if (!traced.has(hit.kind)) return undefined;
  const analyst = getAnalyst();
  const own = hit.component ? await analyst.subject(projectId, page, `${hit.component}~${hit.name}`) : undefined;
  const found = own ?? (await analyst.subjectAt(projectId, page, hit.at.file, hit.at.start, undefined));
  return found && traceLink(projectId, found.page, found.id, found.place);
}

/** Where a hit leads: to its component's first place in a tree, else to the code it stands in. */
async function targetOf(projectId: string, hit: SearchHit, page: string | undefined): Promise<string> {
  const found = hit.component ? await getAnalyst().placeOf(projectId, hit.component, page) : undefined;
  const params = new URLSearchParams();
  if (found) {
    params.set('page', found.pageId);
    params.set('place', found.place);
  } else if (page) params.set('page', page);
  params.set('code', `${hit.at.file}:${hit.at.start}-${hit.at.end}`);
  return `/projects/${projectId}/tree?${params}`;
}

/** Finds any component, prop, event, state, context, hook or file; `/` leads here from anywhere. */
export function Search({ projectId }: { projectId: string }) {
  const [found, setFound] = useState<{ readonly asked: string; readonly hits: readonly SearchHit[] }>({ asked: '', hits: [] });
  const [question, setQuestion] = useState('');
  const [isOpen, setIsOpen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { pathname } = useLocation();

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
      .then((hits) => {
        if (!isLate) setFound({ asked: question, hits });
      })
      .catch(() => {
        if (!isLate) setFound({ asked: '', hits: [] });
      });
    return () => {
      isLate = true;
    };
  }, [projectId, question]);

  return (
    <Autocomplete<SearchHit>
      forcePopupIcon={false}
      open={isOpen && question.trim() !== '' && found.asked.trim() !== ''}
      onOpen={() => setIsOpen(true)}
      onClose={() => setIsOpen(false)}
      noOptionsText="Nothing in the project has a name like this."
      size="small"
      options={found.hits}
      filterOptions={(all) => all}
      getOptionLabel={(hit) => hit.name}
      getOptionKey={(hit) => `${hit.kind} ${hit.name} ${hit.at.file} ${hit.at.start}`}
      inputValue={question}
      onInputChange={(_, value) => setQuestion(value)}
      value={null}
      autoHighlight
      onChange={(_, hit) => {
        if (!hit) return;
        const page = params.get('page') ?? undefined;
        const inTrace = pathname.endsWith('/trace') ? traceTo(projectId, hit, page) : Promise.resolve(undefined);
        void inTrace.then(async (to) => navigate(to ?? (await targetOf(projectId, hit, page))));
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
