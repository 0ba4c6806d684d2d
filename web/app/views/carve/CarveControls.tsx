import { counted, nameOf, type Plan, type PlanTree, type Sheet, type SheetId } from '@liana/core';
import { exportKinds, type ExportKind, exportWords } from './exports';

type Props = {
  plan: Plan;
  tree: PlanTree;
  sheet: Sheet | undefined;
  isBusy: boolean;
  canUndo: boolean;
  canRedo: boolean;
  hasChoice: boolean;
  says: string;
  onSheet: (id: SheetId) => void;
  onBring: (how: 'new' | 'replace' | 'look') => void;
  onRemove: () => void;
  onRepeats: () => void;
  onSuggest: () => void;
  onSplit: (across: 'rows' | 'columns') => void;
  onWrap: () => void;
  onLift: () => void;
  onLower: () => void;
  onDelete: () => void;
  onUndo: () => void;
  onRedo: () => void;
  onSave: (kind: ExportKind) => void;
  onWidth: (width: number) => void;
};

const widths = [375, 768, 1024, 1280, 1440, 1920];

function summary(plan: Plan, tree: PlanTree): string {
  const parts = plan.parts.filter((part) => part.role === 'part').length;
  const levels = Math.max(0, ...tree.nodes.map((node) => node.depth));
  const repeated = new Set(tree.nodes.filter((node) => node.times > 1).map((node) => node.part)).size;
  return [counted(parts, 'part'), counted(levels, 'level'), `${repeated} repeated`].join(' · ');
}

/** The line of what can be done with the page and its marks. */
export function CarveControls(props: Props) {
  const { plan, tree, sheet, isBusy, says } = props;
  if (!sheet) return null;
  const chip = (words: string, act: () => void, isOff = false) => (
    <button type="button" className="chip" disabled={isOff || isBusy} onClick={act}>
      {words}
    </button>
  );
  return (
    <div className="controls">
      <select aria-label="Page" className="chip" value={sheet.id} onChange={(event) => props.onSheet(event.currentTarget.value as SheetId)}>
        {plan.sheets.map((one) => (
          <option key={one.id} value={one.id}>
            {nameOf(plan, one.page)}
            {one.title ? `, ${one.title}` : ''}
          </option>
        ))}
      </select>
      {sheet.kind === 'html' ? (
        <select
          aria-label="Width of the page"
          className="chip"
          value={sheet.width}
          onChange={(event) => props.onWidth(Number(event.currentTarget.value))}
        >
          {[...new Set([...widths, sheet.width])]
            .sort((a, b) => a - b)
            .map((width) => (
              <option key={width} value={width}>
                {width} wide
              </option>
            ))}
        </select>
      ) : (
        sheet.file !== '' && (
          <span>
            {sheet.width} × {sheet.height}
          </span>
        )
      )}
      {chip('Add a page', () => props.onBring('new'))}
      {sheet.kind === 'html' && chip('Suggest parts', props.onSuggest)}
      {chip('Find repeats', props.onRepeats, !props.hasChoice)}
      {chip('Rows', () => props.onSplit('rows'), !props.hasChoice)}
      {chip('Columns', () => props.onSplit('columns'), !props.hasChoice)}
      {chip('Wrap', props.onWrap, !props.hasChoice)}
      {chip('Lift', props.onLift, !props.hasChoice)}
      {chip('Lower', props.onLower, !props.hasChoice)}
      {chip('Delete', props.onDelete, !props.hasChoice)}
      {chip('Undo', props.onUndo, !props.canUndo)}
      {chip('Redo', props.onRedo, !props.canRedo)}
      <select
        aria-label="More to do with the page"
        className="chip more"
        value=""
        onChange={(event) => {
          const { value } = event.currentTarget;
          const kind = exportKinds.find((one) => one === value);
          if (kind) props.onSave(kind);
          else if (value === 'replace' || value === 'look') props.onBring(value);
          else if (value === 'remove') props.onRemove();
        }}
      >
        <option value="">More …</option>
        <optgroup label="This page">
          <option value="replace">Show it from another file, marks stay</option>
          <option value="remove">Take it out of the plan</option>
        </optgroup>
        <optgroup label="Export">
          {exportKinds.map((kind) => (
            <option key={kind} value={kind}>
              {exportWords[kind]}
            </option>
          ))}
        </optgroup>
      </select>
      <span className="controls-end">
        {summary(plan, tree)}. <span role="status">{isBusy ? 'Working …' : says}</span>
      </span>
    </div>
  );
}
