import { counted, nameOf, type Plan, type PlanTree, type Sheet, type SheetId } from '@liana/core';
import Button from '@mui/material/Button';
import { ActMenu } from '../../parts/controls/ActMenu';
import { Choice } from '../../parts/controls/Choice';
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
  const act = (words: string, run: () => void, isOff = false) => (
    <Button variant="outlined" color="inherit" disabled={isOff || isBusy} onClick={run}>
      {words}
    </Button>
  );
  return (
    <div className="controls">
      <Choice
        label="Page"
        value={sheet.id}
        options={plan.sheets.map((one) => ({ value: one.id, words: `${nameOf(plan, one.page)}${one.title ? `, ${one.title}` : ''}` }))}
        onChoose={(id) => props.onSheet(id as SheetId)}
      />
      {sheet.kind === 'html' ? (
        <Choice
          label="Width of the page"
          value={String(sheet.width)}
          options={[...new Set([...widths, sheet.width])]
            .sort((a, b) => a - b)
            .map((width) => ({ value: String(width), words: `${width} wide` }))}
          onChoose={(width) => props.onWidth(Number(width))}
        />
      ) : (
        sheet.file !== '' && (
          <span>
            {sheet.width} × {sheet.height}
          </span>
        )
      )}
      {act('Add a page', () => props.onBring('new'))}
      {act('Suggest parts', props.onSuggest)}
      {act('Find repeats', props.onRepeats, !props.hasChoice)}
      {act('Rows', () => props.onSplit('rows'), !props.hasChoice)}
      {act('Columns', () => props.onSplit('columns'), !props.hasChoice)}
      {act('Wrap', props.onWrap, !props.hasChoice)}
      {act('Lift', props.onLift, !props.hasChoice)}
      {act('Lower', props.onLower, !props.hasChoice)}
      {act('Delete', props.onDelete, !props.hasChoice)}
      {act('Undo', props.onUndo, !props.canUndo)}
      {act('Redo', props.onRedo, !props.canRedo)}
      <ActMenu
        label="More to do with the page"
        words="More …"
        acts={[
          { group: 'This page', words: 'Show it from another file, marks stay', run: () => props.onBring('replace') },
          { group: 'This page', words: 'Take it out of the plan', run: props.onRemove },
          ...exportKinds.map((kind) => ({ group: 'Export', words: exportWords[kind], run: () => props.onSave(kind) })),
        ]}
      />
      <span className="controls-end">
        {summary(plan, tree)}. <span role="status">{isBusy ? 'Working …' : says}</span>
      </span>
    </div>
  );
}
