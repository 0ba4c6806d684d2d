import {
  adoptParts,
  adoptPictureParts,
  agreement,
  type Box,
  messageOf,
  type PicturePart,
  type Plan,
  type Sheet,
  type SuggestedPart,
} from '@liana/core';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { askCarver } from '../../carving/client';
import type { StoredLook } from '../../storage/database';
import type { ElementBoxes, ShownSheet } from './useSheet';

type Props = {
  plan: Plan;
  sheet: Sheet | undefined;
  shown: ShownSheet;
  looks: readonly StoredLook[];
  boxes: ElementBoxes;
  onEdit: (plan: Plan) => void;
};

/** What is suggested for what is shown: parts of a saved page, at its elements, or of a picture, at boxes. */
type Suggested =
  { readonly of: 'page'; readonly parts: readonly SuggestedPart[] } | { readonly of: 'picture'; readonly parts: readonly PicturePart[] };

async function suggestedFor(shown: ShownSheet, file: string, looks: readonly StoredLook[]): Promise<Suggested> {
  if (shown.kind === 'html') return { of: 'page', parts: await askCarver((remote) => remote.suggest(shown.page)) };
  const look = looks.find((one) => one.file === file);
  if (!look) return { of: 'picture', parts: [] };
  const picture = new Blob([look.bytes], { type: look.type });
  return { of: 'picture', parts: await askCarver((remote) => remote.suggestFromPicture(file, picture)) };
}

/** The suggestion for what is shown, or what went wrong; undefined while it is looked for. `again` looks once more. */
function useSuggested({ shown, sheet, looks }: Pick<Props, 'shown' | 'sheet' | 'looks'>) {
  const [found, setFound] = useState<{ of: ShownSheet; value: Suggested; wrong?: string }>();
  const [tries, setTries] = useState(0);
  const file = sheet?.file ?? '';
  useEffect(() => {
    if (!isShown(shown)) return;
    let isCurrent = true;
    suggestedFor(shown, file, looks)
      .then((value) => isCurrent && setFound({ of: shown, value }))
      .catch((error: unknown) => isCurrent && setFound({ of: shown, value: { of: 'page', parts: [] }, wrong: messageOf(error) }));
    return () => {
      isCurrent = false;
    };
  }, [shown, file, looks, tries]);
  return { found: found && found.of === shown ? found : undefined, again: () => setTries(tries + 1) };
}

/** Tells whether there is something to suggest parts for. */
const isShown = (shown: ShownSheet): boolean => shown.kind === 'html' || shown.kind === 'picture';

/** What Liana would make of a page: each part to take or to leave, with its reason. */
export function SuggestedPanel({ plan, sheet, shown, looks, boxes, onEdit }: Props) {
  const { found, again } = useSuggested({ shown, sheet, looks });
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());

  if (!sheet || !isShown(shown)) return <Words says="No page to suggest parts for." />;
  if (!found) return <p role="status">Looking for parts …</p>;
  if (found.wrong !== undefined)
    return (
      <>
        <h2>Suggested parts</h2>
        <p role="alert">No parts were looked for to the end. {found.wrong}</p>
        <Button variant="outlined" onClick={again}>
          Try again
        </Button>
      </>
    );
  const regions = plan.regions.filter((region) => region.sheet === sheet.id);
  const isAt = (box: Box, name?: string): boolean =>
    regions.some(
      (region) =>
        agreement(region.box, box) > 0.98 && (name === undefined || plan.parts.some((one) => one.id === region.part && one.name === name)),
    );
  const places = found.value.of === 'page' ? placesOnPage(found.value.parts, boxes) : placesInPicture(found.value.parts);
  // Parts of a picture may have got other names; those of a page have the names of what stands there.
  const named = found.value.of === 'page';
  const open = places.filter(
    (part) => part.boxes.length > 0 && !part.boxes.every((box) => isAt(box, named ? part.name : undefined)) && !left.has(part.name),
  );
  const take = (names: ReadonlySet<string>): void => {
    const { value } = found;
    if (value.of === 'picture')
      return onEdit(
        adoptPictureParts(
          plan,
          sheet.id,
          value.parts.filter((part) => names.has(part.name)),
        ),
      );
    if (shown.kind !== 'html') return;
    const adopted = value.parts.flatMap((part) =>
      names.has(part.name) ? [{ name: part.name, at: part.at.filter((at) => boxes.has(at)) }] : [],
    );
    onEdit(adoptParts(plan, sheet.id, shown.page, adopted, (at) => boxes.get(at) ?? { x: 0, y: 0, width: 1, height: 1 }));
  };
  if (open.length === 0)
    return (
      <Words
        says={
          places.length > 0
            ? 'Nothing is left to take.'
            : shown.kind === 'picture'
              ? 'Nothing in this picture stands out as a part. Draw a box around one; R then finds what is like it.'
              : 'Nothing on this page stands out as a part.'
        }
      />
    );
  return (
    <OfferedParts
      parts={open}
      isPicture={shown.kind === 'picture'}
      onTake={(names) => take(new Set(names))}
      onLeave={(name) => setLeft(new Set([...left, name]))}
    />
  );
}

type OfferedProps = {
  parts: readonly Place[];
  isPicture: boolean;
  onTake: (names: readonly string[]) => void;
  onLeave: (name: string) => void;
};

/** Parts that can be taken, all at once or one by one. */
function OfferedParts({ parts, isPicture, onTake, onLeave }: OfferedProps) {
  return (
    <>
      <h2>Suggested parts</h2>
      {isPicture && (
        <p>
          These are told from the picture alone, by what stands out and what repeats. Their names say what they look like; give them yours.
        </p>
      )}
      <p>
        <Button size="small" variant="contained" onClick={() => onTake(parts.map((part) => part.name))}>
          Take all {parts.length}
        </Button>
      </p>
      <ul className="plain-list suggested">
        {parts.map((part) => (
          <li key={part.name}>
            <span>
              <b>{part.name}</b>
              {part.boxes.length > 1 && <small className="rust"> ×{part.boxes.length}</small>}
              {part.parent && <small> in {part.parent}</small>}
              <small className="why">{part.reason}</small>
            </span>
            <Button size="small" onClick={() => onTake([part.name])} aria-label={`Take ${part.name}`}>
              Take
            </Button>
            <Button size="small" color="inherit" onClick={() => onLeave(part.name)} aria-label={`Leave ${part.name}`}>
              Leave
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}

function Words({ says }: { says: string }) {
  return (
    <>
      <h2>Suggested parts</h2>
      <p>{says}</p>
    </>
  );
}

/** A suggestion as it is listed: its places are boxes, whatever it is of. */
type Place = { readonly name: string; readonly parent: string | null; readonly reason: string; readonly boxes: readonly Box[] };

const placesOnPage = (parts: readonly SuggestedPart[], boxes: ElementBoxes): Place[] =>
  parts.map(({ name, parent, reason, at }) => ({ name, parent, reason, boxes: at.flatMap((one) => boxes.get(one) ?? []) }));

const placesInPicture = (parts: readonly PicturePart[]): Place[] =>
  parts.map(({ name, parent, reason, boxes }) => ({ name, parent, reason, boxes }));
