import { adoptParts, agreement, type Plan, type Sheet, type SuggestedPart, messageOf } from '@liana/core';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { askCarver } from '../../carving/client';
import type { ElementBoxes, ShownSheet } from './useSheet';

type Props = { plan: Plan; sheet: Sheet | undefined; shown: ShownSheet; boxes: ElementBoxes; onEdit: (plan: Plan) => void };

/** What Liana would make of a saved page: each part to take or to leave, with its reason. */
export function SuggestedPanel({ plan, sheet, shown, boxes, onEdit }: Props) {
  const [found, setFound] = useState<{ page: unknown; parts: readonly SuggestedPart[]; wrong?: string }>();
  const [tries, setTries] = useState(0);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const page = shown.kind === 'html' ? shown.page : undefined;

  useEffect(() => {
    if (!page) return;
    let isCurrent = true;
    askCarver((remote) => remote.suggest(page))
      .then((parts) => isCurrent && setFound({ page, parts }))
      .catch((error: unknown) => isCurrent && setFound({ page, parts: [], wrong: messageOf(error) }));
    return () => {
      isCurrent = false;
    };
  }, [page, tries]);

  if (!sheet || !page)
    return (
      <>
        <h2>Suggested parts</h2>
        <p>
          {shown.kind === 'picture'
            ? 'Parts are suggested for saved pages, whose elements say what they are. On a picture, N marks the next region, and R finds what is like it.'
            : 'No page to suggest parts for.'}
        </p>
      </>
    );
  if (found?.page !== page) return <p role="status">Looking for parts …</p>;
  if (found.wrong !== undefined)
    return (
      <>
        <h2>Suggested parts</h2>
        <p role="alert">No parts were looked for to the end. {found.wrong}</p>
        <Button variant="outlined" onClick={() => setTries(tries + 1)}>
          Try again
        </Button>
      </>
    );
  const isMarked = (part: SuggestedPart): boolean =>
    part.at.every((at) => {
      const box = boxes.get(at);
      return (
        box !== undefined &&
        plan.regions.some(
          (region) =>
            region.sheet === sheet.id &&
            agreement(region.box, box) > 0.98 &&
            plan.parts.some((one) => one.id === region.part && one.name === part.name),
        )
      );
    });
  const open = found.parts.filter((part) => part.at.some((at) => boxes.has(at)) && !isMarked(part) && !left.has(part.name));
  const take = (parts: readonly SuggestedPart[]): void => {
    const adopted = parts.map((part) => ({ name: part.name, at: part.at.filter((at) => boxes.has(at)) }));
    onEdit(adoptParts(plan, sheet.id, page, adopted, (at) => boxes.get(at) ?? { x: 0, y: 0, width: 1, height: 1 }));
  };
  return (
    <>
      <h2>Suggested parts</h2>
      {open.length === 0 ? (
        <p>{found.parts.length === 0 ? 'Nothing on this page stands out as a part.' : 'Nothing is left to take.'}</p>
      ) : (
        <>
          <p>
            <Button size="small" variant="contained" onClick={() => take(open)}>
              Take all {open.length}
            </Button>
          </p>
          <ul className="plain-list suggested">
            {open.map((part) => (
              <li key={part.name}>
                <span>
                  <b>{part.name}</b>
                  {part.at.length > 1 && <small className="rust"> ×{part.at.length}</small>}
                  {part.parent && <small> in {part.parent}</small>}
                  <small className="why">{part.reason}</small>
                </span>
                <Button size="small" onClick={() => take([part])} aria-label={`Take ${part.name}`}>
                  Take
                </Button>
                <Button
                  size="small"
                  color="inherit"
                  onClick={() => setLeft(new Set([...left, part.name]))}
                  aria-label={`Leave ${part.name}`}
                >
                  Leave
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
