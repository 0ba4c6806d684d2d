import { type Box, nameOf, type Plan, planTree, type Region, type RegionId, type Sheet } from '@liana/core';
import { useMemo } from 'react';
import { placeLabels } from './labels';
import { handles, type Side } from './useDragging';

/** How each region is drawn: whether its part repeats, and which of the repeats bears the name. */
function looksOf(plan: Plan): ReadonlyMap<RegionId, { readonly times: number; readonly isFirst: boolean; readonly optional: boolean }> {
  const looks = new Map<RegionId, { times: number; isFirst: boolean; optional: boolean }>();
  for (const node of planTree(plan).nodes)
    node.regions.forEach((region, index) => looks.set(region, { times: node.times, isFirst: index === 0, optional: node.optional }));
  return looks;
}

type Props = {
  plan: Plan;
  sheet: Sheet;
  regions: readonly Region[];
  chosen: ReadonlySet<RegionId>;
  scale: number;
  /** Where a mark is, while it is dragged too; and the box that is being drawn. */
  boxOf: (region: Region) => Box;
  drawn: Box | undefined;
  onChoose: (region: RegionId | undefined, adds: boolean) => void;
};

const classNames = (...names: readonly (string | false | undefined)[]): string => names.filter(Boolean).join(' ');
const placedAt = ({ x, y, width, height }: Box): React.CSSProperties => ({ left: x, top: y, width, height });

/** The marks of a page, with the names of their parts; a chosen one has handles. */
export function Marks({ plan, sheet, regions, chosen, scale, boxOf, drawn, onChoose }: Props) {
  const looks = useMemo(() => looksOf(plan), [plan]);
  const onScreen = ({ x, y, width, height }: Box): Box => ({ x: x * scale, y: y * scale, width: width * scale, height: height * scale });
  const named = regions
    .filter((region) => looks.get(region.id)?.isFirst || chosen.has(region.id))
    .toSorted(
      (a, b) =>
        Number(chosen.has(b.id)) - Number(chosen.has(a.id)) || a.box.y - b.box.y || b.box.width * b.box.height - a.box.width * a.box.height,
    );
  const wordsOf = (region: Region): string => {
    const look = looks.get(region.id);
    return `${nameOf(plan, region.part)}${look && look.times > 1 && look.isFirst ? ` ×${look.times}` : ''}`;
  };
  const labels = placeLabels(
    named.map((region) => ({ id: region.id, text: wordsOf(region), box: onScreen(boxOf(region)), isChosen: chosen.has(region.id) })),
    sheet.width * scale,
  );
  return (
    <div className="marks">
      {regions.map((region) => {
        const look = looks.get(region.id);
        return (
          <div
            key={region.id}
            className={classNames(
              'mark',
              look && look.times > 1 && 'repeats',
              look && (!look.isFirst || look.optional) && 'dashed',
              look?.optional && 'optional',
              chosen.has(region.id) && 'chosen',
            )}
            style={placedAt(onScreen(boxOf(region)))}
          />
        );
      })}
      {drawn && <div className="mark drawn" style={placedAt(onScreen(drawn))} />}
      {labels.map((label) => {
        const region = regions.find((one) => one.id === label.id);
        const look = region && looks.get(region.id);
        if (!region || label.isHidden) return null;
        return (
          <button
            key={label.id}
            type="button"
            className={classNames(
              'mark-label',
              look && look.times > 1 && 'repeats',
              look?.optional && 'optional',
              chosen.has(region.id) && 'chosen',
            )}
            data-region={region.id}
            aria-pressed={chosen.has(region.id)}
            title={wordsOf(region)}
            style={{ left: label.x, top: label.y, width: label.width }}
            onClick={(event) => event.detail === 0 && onChoose(region.id, event.shiftKey)}
          >
            {wordsOf(region)}
          </button>
        );
      })}
      {chosen.size === 1 &&
        regions.flatMap((region) =>
          chosen.has(region.id) ? [<Handles key={region.id} region={region} box={onScreen(boxOf(region))} />] : [],
        )}
    </div>
  );
}

function cursorOf({ left, right, top, foot }: Side): string {
  if (left === right) return 'ns-resize';
  if (top === foot) return 'ew-resize';
  return left === top ? 'nwse-resize' : 'nesw-resize';
}

/** By these a mark is sized. */
function Handles({ region, box }: { region: Region; box: Box }) {
  return handles.map((side) => (
    <span
      key={side.name}
      className="handle"
      data-region={region.id}
      data-handle={side.name}
      style={{
        left: box.x + (side.left ? 0 : side.right ? box.width : box.width / 2) - 5,
        top: box.y + (side.top ? 0 : side.foot ? box.height : box.height / 2) - 5,
        cursor: cursorOf(side),
      }}
    />
  ));
}
