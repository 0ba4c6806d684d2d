import Button from '@mui/material/Button';
import { counted, listed, type MarkState, type RuleSetting } from '@liana/core';
import { Link } from 'react-router';
import type { Excerpt, ProposalAnswer } from '../../analysis/answers';
import { Code } from '../../parts/Code';
import { useTraceName } from '../../parts/useTraceName';
import { Choice } from '../../parts/controls/Choice';
import { FixDiff } from './FixDiff';
import { treeLink } from '../tree/state';
import type { Told } from './state';
import { Triage } from './Triage';

type Props = {
  told: Told;
  /** The certain fix; empty where there is none. */
  patch: string;
  /** The change that Liana proposes, or why there is none; undefined for rules without one. */
  proposal: ProposalAnswer | undefined;
  setting: RuleSetting | undefined;
  code: readonly (Excerpt | undefined)[];
  projectId: string;
  place: { readonly pageId: string; readonly place: string } | undefined;
  /** The link to its trace, where there is one. */
  traceTo: string | undefined;
  /** The link to the comparison with its twin, where there is one. */
  compareTo: string | undefined;
  onMark: (state: MarkState | undefined, reason: string) => void;
  onRule: (setting: RuleSetting | undefined) => void;
  /** From which likeness on two components are twins here; undefined for Liana's own. */
  twinsFrom: number | undefined;
  onTwins: (likeness: string) => void;
};

/** One finding: what is wrong, what comes of it, the evidence rung by rung, and what to do. */
export function FindingDetail({
  told,
  code,
  patch,
  proposal,
  setting,
  projectId,
  place,
  traceTo,
  compareTo,
  onMark,
  onRule,
  twinsFrom,
  onTwins,
}: Props) {
  const { finding } = told;
  const { places } = finding.touches;
  const trace = useTraceName(projectId, place?.pageId);
  return (
    <>
      <h2>{finding.message.replace(/\.$/, '')}</h2>
      <p>{finding.consequence}</p>
      <h3>Evidence</h3>
      <div className="rungs">
        {finding.evidence.map((rung, index) => {
          const excerpt = code[index];
          return (
            <div key={`${rung.at.file}:${rung.at.start}:${rung.text}`}>
              <p className="rung-says">{rung.text}</p>
              {excerpt && (
                <Code excerpt={excerpt} loose={finding.severity === 'fault'} onName={(offset) => trace({ file: excerpt.file, offset })} />
              )}
            </div>
          );
        })}
      </div>
      <h3>What to do</h3>
      <p>{finding.fix}</p>
      {patch !== '' && <FixDiff patch={patch} />}
      {proposal && 'patch' in proposal && (
        <>
          <p>{proposal.says}</p>
          <FixDiff patch={proposal.patch} />
        </>
      )}
      {proposal && 'wrong' in proposal && <p>Liana cannot write this change for you. {proposal.wrong}</p>}
      <h3>Where it touches</h3>
      <p>
        {places > 0 ? `${counted(places, 'place')} in the trees of all pages.` : 'No page that is mounted in this project.'}
        {finding.pages.length > 0 ? ` It breaks on ${listed(finding.pages)}.` : ''}
      </p>
      <div style={{ display: 'flex', gap: 8, marginTop: 14 }}>
        {place && (
          <Button
            component={Link}
            variant={compareTo === undefined ? 'contained' : 'outlined'}
            to={treeLink(projectId, place.pageId, place.place)}
          >
            See in tree
          </Button>
        )}
        {traceTo !== undefined && (
          <Button component={Link} variant="outlined" to={traceTo}>
            Trace it
          </Button>
        )}
        {compareTo !== undefined && (
          <Button component={Link} variant="contained" to={compareTo}>
            Compare them
          </Button>
        )}
        <Button component={Link} variant="outlined" to={`/help/${finding.rule}`}>
          About this rule
        </Button>
      </div>
      <Triage told={told} setting={setting} onMark={onMark} onRule={onRule} />
      {finding.rule === 'twins' && <TwinsFrom twinsFrom={twinsFrom} onTwins={onTwins} />}
    </>
  );
}

const likenesses = [0.6, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1];

function TwinsFrom({ twinsFrom, onTwins }: Pick<Props, 'twinsFrom' | 'onTwins'>) {
  return (
    <p className="rule-setting">
      In this project two components are twins from{' '}
      <Choice
        label="In this project two components are twins from"
        value={twinsFrom === undefined ? '' : String(twinsFrom)}
        options={[
          { value: '', words: '80 %, as Liana has it' },
          ...likenesses.map((one) => ({ value: String(one), words: `${Math.round(100 * one)} %` })),
        ]}
        onChoose={onTwins}
      />{' '}
      alike on.
    </p>
  );
}
