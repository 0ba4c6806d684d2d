import { counted } from '@liana/core';
import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { AlikeAnswer } from '../../analysis/answers';
import { Choice } from '../../parts/controls/Choice';
import { useUrlParams } from '../../parts/useUrlParams';
import { layMap, type MapGroup, type MemberCircle } from './map';
import { comparisonLink, likenessSteps } from './state';

const width = 860;
const height = 560;

type Props = { readonly project: { readonly id: string }; readonly alike: AlikeAnswer; readonly from: number };

/** What a name leaves of itself in a circle. */
const fitting = (name: string, r: number): string => {
  const most = Math.floor((2 * r - 8) / 7.2);
  return name.length <= most ? name : most < 3 ? '' : `${name.slice(0, most - 1)}…`;
};

/** The components of a project that are like others, in groups; each group leads to its comparison. */
export function LikenessMap({ project, alike, from }: Props) {
  const [, change] = useUrlParams();
  const map = useMemo(() => layMap(alike, width, height), [alike]);
  return (
    <>
      <div className="controls">
        <b>Components by likeness</b>
        <span>
          Together from{' '}
          <Choice
            label="Together from"
            value={String(from)}
            options={likenessSteps.map((step) => ({ value: String(step), words: `${step} % on` }))}
            onChoose={(value) =>
              change((before) => {
                const next = new URLSearchParams(before);
                next.set('from', value);
                return next;
              })
            }
          />
        </span>
        <span className="findings-more">
          {counted(alike.groups.length, 'group')}; {counted(alike.others, 'component')} {alike.others === 1 ? 'is' : 'are'} like no other.
          <Link to={`/projects/${project.id}/findings?rule=twins`} style={{ color: 'inherit' }}>
            Findings of twins
          </Link>
        </span>
      </div>
      {alike.groups.length === 0 ? (
        <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
          <section className="sheet empty">
            <h2>No two are alike</h2>
            <p>None of the components shares {from} % of the smaller one with another.</p>
          </section>
        </div>
      ) : (
        <div className="overlap-map">
          <section className="sheet" aria-label="Map of likeness">
            <svg viewBox={`0 0 ${width} ${height}`} role="presentation">
              {map.groups.map((group) => (
                <Group key={group.circles[0]?.member.id ?? ''} group={group} projectId={project.id} />
              ))}
            </svg>
          </section>
          <section className="card detail" aria-label="Groups">
            <h2>Groups</h2>
            <ul className="alike-list">
              {alike.groups.map(({ members, pairs, likeness }) => (
                <li key={members[0]?.id ?? ''}>
                  <b>
                    {Math.round(100 * likeness)} %{' '}
                    <small>
                      {counted(members.length, 'component')},{' '}
                      {counted(
                        members.reduce((sum, one) => sum + one.lines, 0),
                        'line',
                      )}
                    </small>
                  </b>
                  {pairs.slice(0, 6).map(({ a, b, likeness: alikeness }) => {
                    const name = (id: string): string => members.find((one) => one.id === id)?.name ?? '';
                    return (
                      <Link key={`${a} ${b}`} to={comparisonLink(project.id, a, b)}>
                        {name(a)} and {name(b)}, {Math.round(100 * alikeness)} %
                      </Link>
                    );
                  })}
                  {pairs.length > 6 && <small>and {counted(pairs.length - 6, 'pair')} more</small>}
                </li>
              ))}
            </ul>
          </section>
        </div>
      )}
    </>
  );
}

function Group({ group, projectId }: { group: MapGroup; projectId: string }) {
  const navigate = useNavigate();
  const [first] = group.lines;
  const partner = (circle: MemberCircle): string =>
    group.lines.find((line) => line.to === circle)?.from.member.id ?? first?.to.member.id ?? '';
  return (
    <g>
      <circle cx={group.x} cy={group.y} r={group.r} className="map-group" />
      {group.lines.map((line) => (
        <line
          key={`${line.from.member.id} ${line.to.member.id}`}
          x1={line.from.x}
          y1={line.from.y}
          x2={line.to.x}
          y2={line.to.y}
          className="map-line"
          strokeWidth={1 + 5 * Math.max(0, line.likeness - 0.6)}
        />
      ))}
      {group.circles.map((circle) => {
        const to = comparisonLink(projectId, partner(circle), circle.member.id);
        const isFirst = partner(circle) === circle.member.id;
        return (
          <a
            key={circle.member.id}
            href={isFirst ? comparisonLink(projectId, circle.member.id, first?.to.member.id ?? '') : to}
            onClick={(event) => {
              if (event.metaKey || event.ctrlKey || event.shiftKey) return;
              event.preventDefault();
              void navigate(
                isFirst || partner(circle) === '' ? comparisonLink(projectId, circle.member.id, first?.to.member.id ?? '') : to,
              );
            }}
          >
            <title>
              {circle.member.name}, {counted(circle.member.lines, 'line')}, {counted(circle.member.uses, 'use')}
            </title>
            <circle cx={circle.x} cy={circle.y} r={circle.r} className="map-member" />
            <text x={circle.x} y={circle.y + 4} textAnchor="middle">
              {fitting(circle.member.name, circle.r)}
            </text>
          </a>
        );
      })}
    </g>
  );
}
