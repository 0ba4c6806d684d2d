import { matchWords, type PartMatch, type Plan, type PlanMatch, type Skeleton, messageOf } from '@liana/core';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useTell } from '../../parts/Notices';
import { getAnalyst } from '../../analysis/client';

type Props = {
  projectId: string;
  hasSource: boolean;
  skeleton: Skeleton;
  plan: Plan;
  onPlan: (plan: Plan) => void;
  onPart: (name: string) => void;
};

const foundWords: Readonly<Record<PartMatch['found'], string>> = {
  'by name': '',
  'by what it renders': 'by what it renders',
  'by contract': 'by its contract',
  missing: 'not in the code',
};

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How a component was found for a part, and how alike is what both render. */
function howFound({ found, alike }: PartMatch): string {
  const share = alike === undefined ? '' : `${percent(alike)} alike`;
  return [foundWords[found], share].filter((one) => one !== '').join(', ');
}

/** The plan against the project's code: what is there, what is missing, what differs. */
export function MatchPanel({ projectId, hasSource, skeleton, plan, onPlan, onPart }: Props) {
  const [match, setMatch] = useState<PlanMatch>();
  const tell = useTell();
  useEffect(() => {
    if (!hasSource) return;
    let isCurrent = true;
    void getAnalyst()
      .matchPlan(projectId, skeleton)
      .then((found) => isCurrent && setMatch(found))
      .catch((error: unknown) => isCurrent && tell(messageOf(error)));
    return () => {
      isCurrent = false;
    };
  }, [projectId, hasSource, skeleton, tell]);

  if (!hasSource)
    return (
      <>
        <h2>In the code</h2>
        <p>This project has no source yet. Choose its folder on the first page with “Read again”, and the plan is compared with it here.</p>
      </>
    );
  const fromCode = async (): Promise<void> => {
    const made = await getAnalyst().planFromCode(projectId, plan.name);
    onPlan(made);
  };
  return (
    <>
      <h2>In the code</h2>
      {skeleton.parts.length > 0 && match && <p role="status">{matchWords(match)}</p>}
      {match && skeleton.parts.length > 0 && (
        <ul className="plain-list">
          {match.parts.map((part) => (
            <li key={part.part}>
              <ButtonBase onClick={() => onPart(part.part)}>
                <b>{part.part}</b>
              </ButtonBase>{' '}
              {part.component === undefined ? (
                <small className="missing">{foundWords[part.found]}</small>
              ) : (
                <Link to={`/projects/${projectId}/tree?component=${encodeURIComponent(part.component)}`}>
                  {part.componentName} in the tree
                </Link>
              )}{' '}
              {part.component !== undefined && <small>{howFound(part)}</small>}
              {part.near && (
                <small className="why">
                  What it renders is {percent(part.near.alike)} alike with{' '}
                  <Link to={`/projects/${projectId}/tree?component=${encodeURIComponent(part.near.component)}`}>{part.near.name}</Link>.
                </small>
              )}
              {part.differs.map((says) => (
                <small key={says} className="why">
                  {says}
                </small>
              ))}
            </li>
          ))}
        </ul>
      )}
      {plan.regions.length === 0 && (
        <p>
          <Button size="small" variant="outlined" onClick={() => void fromCode()}>
            Make a plan from the code
          </Button>
        </p>
      )}
    </>
  );
}
