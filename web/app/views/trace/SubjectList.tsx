import { type SubjectKind } from '@liana/core';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Link } from 'react-router';
import type { SubjectEntry, Summary } from '../../analysis/answers';
import { pageToBegin } from '../../analysis/page-order';
import { SearchField } from '../../parts/controls/SearchField';
import { PageChooser } from '../tree/PageChooser';
import { subjectColour } from './colours';
import { traceLink } from './state';

type Props = {
  projectId: string;
  summary: Summary;
  page: string | undefined;
  subjects: readonly SubjectEntry[];
  missing: string | undefined;
};

const groups: readonly { readonly kinds: readonly SubjectKind[]; readonly title: string }[] = [
  { kinds: ['state'], title: 'State' },
  { kinds: ['store'], title: 'Stores' },
  { kinds: ['context'], title: 'Contexts that are taken' },
  { kinds: ['value'], title: 'Asked for outside' },
  { kinds: ['event', 'prop', 'function'], title: 'Events' },
  { kinds: ['listener'], title: 'What people do' },
];

/** Of each group, so many before one asks for all. */
const firstShown = 14;

/** What a trace may start from, where nothing is chosen yet: what matters at the most places first. */
export function SubjectList({ projectId, summary, page, subjects, missing }: Props) {
  const [params, change] = useSearchParams();
  const [whole, setWhole] = useState<ReadonlySet<string>>(new Set());
  const current = summary.pages.find((one) => one.id === page) ?? pageToBegin(summary.pages);
  const [filter, setFilter] = useState(params.get('find') ?? '');
  const shown = useMemo(() => {
    const asked = filter.trim().toLowerCase();
    return subjects.filter((one) => asked === '' || one.name.toLowerCase().includes(asked) || one.home.toLowerCase().includes(asked));
  }, [subjects, filter]);
  return (
    <section className="sheet subjects" aria-label="What to trace">
      <h1>{missing === undefined ? 'What do you want to follow?' : 'This is not in the project any more'}</h1>
      {missing === undefined ? (
        <p>
          Choose a value or an event of the page, or find one with the search above. In the tree, every prop, event and state of a card
          leads here too.
        </p>
      ) : (
        <p>
          The link asks for <code>{missing}</code>, and no page has it: it may have been renamed or removed. Choose something else to
          follow.
        </p>
      )}
      <div className="subject-tools">
        <SearchField
          label="Show only names that contain this"
          placeholder="Only names with …"
          value={filter}
          width={220}
          onChange={setFilter}
        />
        {current && (
          <PageChooser
            pages={summary.pages}
            page={current}
            onChoose={(id) => change((before) => new URLSearchParams([...[...before].filter(([name]) => name !== 'page'), ['page', id]]))}
          />
        )}
      </div>
      {shown.length === 0 && (
        <p role="status">
          {subjects.length === 0 ? 'This page holds no state, store, context or event.' : `Nothing on this page is named like “${filter}”.`}
        </p>
      )}
      <div className="subject-groups">
        {groups.map(({ kinds, title }) => {
          const own = shown.filter((one) => kinds.includes(one.kind));
          const most = whole.has(title) ? own.length : firstShown;
          return own.length === 0 ? null : (
            <div key={title}>
              <h2>{title}</h2>
              <ul>
                {own.slice(0, most).map((one) => (
                  <li key={one.id}>
                    <Link
                      to={traceLink(
                        projectId,
                        page,
                        one.id,
                        one.place,
                        one.kind === 'context' ? 'comes' : one.kind === 'listener' ? undefined : 'goes',
                      )}
                    >
                      <code style={{ color: subjectColour(one.kind) }}>{one.name}</code>{' '}
                      <span>
                        {one.home.split('/').at(-1)}
                        {(one.places ?? 1) > 1 && ` · ${one.places ?? 1} places`}
                      </span>
                    </Link>
                  </li>
                ))}
              </ul>
              {own.length > most && (
                <Button size="small" onClick={() => setWhole(new Set([...whole, title]))}>
                  {`All ${own.length}`}
                </Button>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}
